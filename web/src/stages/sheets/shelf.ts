import type { NestBatch, NestResult } from '@kalotrope/core/sheets';

/** A laid-out sheet, with where it is drawn. */
export type Shelf = {
  readonly batch: NestBatch;
  readonly sheet: NestResult['sheets'][number];
  readonly width: number;
  readonly height: number;
  readonly dy: number;
};
