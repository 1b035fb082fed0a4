/** The usual settings of timber. */
import { house } from '../stage';

export const MATES_APART = house(
  600,
  'mm',
  'scarfs of one run on the two sides of a boat, so that neither side is soft',
);
