/** What the boat has to come through, stand in and be carried on: set once, and checked with every change. */
import { LIMITS_PATH, type InsideValue, type Limits } from '@kalotrope/core/fitout';
import { formatWithUnit } from '@kalotrope/core/measure';
import { LengthField } from '../../../controls/LengthField';
import { Section } from '../../../controls/Section';
import { edited } from '../../../state/document-slice';
import { selectNotation } from '../../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import { LIMITS_SECTION } from './words';

type Props = { readonly limits: Limits; readonly overAll: InsideValue['overAll'] };

const FIELDS = [
  ['shopLong', 'Shop, long'],
  ['shopWide', 'Shop, wide'],
  ['walk', 'Room to work all round'],
  ['doorWide', 'Door, wide'],
  ['doorHigh', 'Door, high'],
  ['trailerLong', 'Trailer takes, long'],
  ['trailerWide', 'Trailer takes, wide'],
] as const;

export function LimitFields({ limits, overAll: { long, wide, high } }: Props) {
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const length = (mm: number) => formatWithUnit(mm, notation);
  return (
    <Section title={LIMITS_SECTION}>
      <p className="quiet">
        The boat is {length(long)} long, {length(wide)} wide and {length(high)} high with what stands on her. 0: not
        said.
      </p>
      <div className="field-grid no-print">
        {FIELDS.map(([key, label]) => (
          <LengthField
            key={key}
            label={label}
            mm={limits[key]}
            onCommit={(value) =>
              dispatch(edited({ label: label.toLowerCase(), edits: [{ path: [...LIMITS_PATH, key], value }] }))
            }
            path={[...LIMITS_PATH, key]}
          />
        ))}
      </div>
    </Section>
  );
}
