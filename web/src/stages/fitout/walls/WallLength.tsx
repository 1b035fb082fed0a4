import { WALLS_PATH, type WallPlan } from '@kalotrope/core/fitout';
import { ListLength, type LengthOf } from '../ListLength';

/** A length of a wall. */
export const WallLength = (props: LengthOf<WallPlan>) => <ListLength list={WALLS_PATH} {...props} />;
