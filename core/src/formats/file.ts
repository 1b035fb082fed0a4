/**
 * Files as they go out, and the one place that makes their names: readable, each once, taken by any file system.
 *
 * A name is the boat's, then the thing's, in small letters of whatever alphabet, with a hyphen for all that is neither
 * letter nor figure. Names that differ in case alone count as one, as many file systems have it. With the boat's name
 * in front nothing is a name that a system keeps for itself, save that of a boat called so.
 */

export type ExportFile = {
  readonly name: string;
  readonly content: string | Uint8Array;
  /** The builder's own copy of the project, from which all is made again. */
  readonly isProject?: boolean;
};

/** A table that goes out as CSV: `name` is the file's, without its ending; `title` says in words what it is. */
export type ExportTable = { readonly name: string; readonly title: string; readonly csv: string };

/** A file's name may have 255 bytes on most systems: a boat's, a thing's, a number and an ending fit. */
const MOST_BYTES = { boat: 60, thing: 120 } as const;

/** Devices of some systems, which cannot be the name of a file there, whatever follows the first dot. */
const RESERVED = /^(con|prn|aux|nul|clock|com[0-9¹²³]|lpt[0-9¹²³])$/;

/** The start of all names of a boat's files. */
export function boatWord(boat: string): string {
  const word = fileWord(boat, MOST_BYTES.boat) || 'boat';
  return RESERVED.test(word) ? `${word}-boat` : word;
}

/** Names without their endings, in the order of `things`; none twice, not even in capitals. */
export function fileNames(boat: string, things: readonly string[]): string[] {
  const taken = new Set<string>();
  return things.map((thing) => {
    const plain = `${boatWord(boat)}-${fileWord(thing, MOST_BYTES.thing) || 'part'}`;
    let name = plain;
    for (let k = 2; taken.has(name); k++) name = `${plain}-${k}`;
    taken.add(name);
    return name;
  });
}

function fileWord(text: string, mostBytes: number): string {
  const word = text
    .normalize('NFC')
    .toLowerCase()
    .replace(/[^\p{L}\p{M}\p{N}.]+/gu, '-')
    .replace(/(?<!\d)\.|\.(?!\d)/g, '-') // a dot stays between figures only: 6.5mm
    .replace(/-{2,}/g, '-');
  return cutTo(word.replace(/^[-\p{M}]+/u, ''), mostBytes).replace(/[-.]+$/, '');
}

const bytesOf = (text: string): number => [...text].reduce((sum, letter) => sum + bytesOfLetter(letter), 0);
const bytesOfLetter = (letter: string): number => {
  const code = letter.codePointAt(0) ?? 0;
  return code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4;
};

/** The first letters that have no more bytes than this in UTF-8. */
function cutTo(text: string, mostBytes: number): string {
  const letters = [...text];
  while (bytesOf(letters.join('')) > mostBytes) letters.pop();
  return letters.join('');
}
