export { bookOf, writeBook } from './book';
export { isGivenBackOf, readGivenBack, takeBack } from './give-back';
export type { GivenBack } from './give-back';
export { htmlBook } from './html';
