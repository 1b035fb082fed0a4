import { PEOPLE_PATH, type PersonPlan } from '@kalotrope/core/fitout';
import { ListLength, type LengthOf } from '../ListLength';

/** A length of a person. */
export const PersonLength = (props: LengthOf<PersonPlan>) => <ListLength list={PEOPLE_PATH} {...props} />;
