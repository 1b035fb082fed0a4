export { WORDS, wordsIn } from './glossary';
export type { Word } from './glossary';
export { glossaryPages } from './guide';
export { PICTURES } from './pictures';
export type { PicturePath } from './pictures';
