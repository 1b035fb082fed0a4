/** Values from outside the program, each with where it comes from. A builder's own lie in the project. */

export type Constant<T = unknown> = {
  readonly value: T;
  readonly unit: string;
  readonly source: string;
  readonly note: string;
};
export type Constants = Readonly<Record<string, Constant>>;

/** A guess of ours, and why. */
export const house = <const T>(value: T, unit: string, note: string): Constant<T> => ({
  value,
  unit,
  source: 'house estimate',
  note,
});
