/** What things weigh, until the builder has weighed a piece of them. */
import { house } from '../stage';

export const PLY_DENSITY = house(560, 'kg/m³', 'marine plywood between the lightest and the heaviest sold');
export const TIMBER_DENSITY = house(480, 'kg/m³', 'softwood as it is bought for stringers and rails');
export const PAINT_DRY = house(0.6, 'g/ml', 'what is left of a millilitre of paint or varnish when it is dry');
export const PERSON_KG = house(80, 'kg', 'one aboard, in working clothes');
export const SITTING_OVER = house(250, 'mm', 'of one who sits: the middle of the weight, over the seat');
export const BOTTOM_OVER = house(150, 'mm', 'over the bottom: the middle of gear that lies in her');
export const LOW_FREEBOARD = house(150, 'mm', 'less, and the wash of another boat comes over it');
export const HEEL_TOLD = house(2, '°', 'seen by who stands on the shore');
export const TRIM_TOLD = house(2, '°', 'she steers badly, or drags her stern');
