/** Words in which no length such as 0-2-4 is broken at the end of a line: a joiner of no width on either side. */
export const unbroken = (words: string): string => words.replace(/(?<=\d)-(?=\d)/g, '\u2060-\u2060');
