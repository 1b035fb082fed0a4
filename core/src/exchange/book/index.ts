export { bookOf, writeBook } from './book';
export type { Book } from './book';
