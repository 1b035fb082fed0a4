export { WORDS, wordsIn } from './glossary';
export type { Word } from './glossary';
export { glossaryPages, pictureSvg } from './guide';
export { PICTURES } from './pictures';
export type { PicturePath } from './pictures';
