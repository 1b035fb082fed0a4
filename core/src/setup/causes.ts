/** What a frame can be out by, and a single motion that explains its readings. */
import type { Vec3 } from '../geometry';
import type { Fit } from './fit';

export type Cause = 'true' | 'rack' | 'wind' | 'lean' | 'shifted' | 'high' | 'aside' | 'several';

/** One of the six, by its index, turned about its pivot. */
export type Single = {
  readonly cause: Exclude<Cause, 'true' | 'several'>;
  readonly index: number;
  readonly pivot: Vec3;
};
export type Explained = Single & { readonly fit: Fit };
