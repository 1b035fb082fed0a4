import { INSIDE_PATH, type InsidePlan } from '@kalotrope/core/fitout';
import { ListLength, type LengthOf } from './ListLength';

/** A length of a part. */
export const InsideLength = (props: LengthOf<InsidePlan>) => <ListLength list={INSIDE_PATH} {...props} />;
