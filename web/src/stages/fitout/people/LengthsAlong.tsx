/** The boat's inside along its middle, added up: spaces and frames in turn. */
import { type InsideValue } from '@kalotrope/core/fitout';
import { formatFine, formatWithUnit, unitLabel } from '@kalotrope/core/measure';
import { OptionalLength } from '../../../controls/OptionalLength';
import { PlainTable } from '../../../controls/PlainTable';
import { Section } from '../../../controls/Section';
import { edited } from '../../../state/document-slice';
import { selectNotation } from '../../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import { LENGTHS_SECTION } from './words';

type Props = { readonly lengths: InsideValue['lengths']; readonly at: number | null };

const COLUMNS = [{ name: 'what' }, { name: 'begins', isFigure: true }, { name: 'long', isFigure: true }];
const PATH = ['fitout', 'lengthsAt'];

export function LengthsAlong({ lengths: { height, stretches }, at }: Props) {
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const [first, last] = [stretches[0], stretches[stretches.length - 1]];
  const whole = first && last ? last.to - first.from : 0;
  const rows = stretches.flatMap(({ kind, name, from, to, within }, i) => [
    {
      key: `${i}`,
      cells: [kind === 'frame' ? name : 'clear', formatFine(from, notation), formatFine(to - from, notation)],
    },
    ...within.map((one, k) => ({
      key: `${i} ${k}`,
      cells: [`with ${one.name.toLowerCase()}`, '', formatFine(one.longMm, notation)],
    })),
  ]);
  return (
    <Section title={LENGTHS_SECTION} aside={whole > 0 ? formatWithUnit(whole, notation) : undefined}>
      <p className="quiet">
        Inside the skin on the centreline, {formatWithUnit(height, notation)} over the base line; in{' '}
        {unitLabel(notation)}.
      </p>
      <div className="no-print">
        <OptionalLength
          label="Taken at a height of"
          mm={at}
          offer="Take them at another height"
          remove="Half way up her side"
          start={Math.round(height)}
          onChange={(value) =>
            dispatch(edited({ label: 'Lengths taken at another height', edits: [{ path: PATH, value }] }))
          }
          path={PATH}
        />
      </div>
      {rows.length > 0 ? (
        <PlainTable
          label="Lengths along"
          columns={COLUMNS}
          rows={[...rows, { key: 'all', cells: ['in all', '', formatFine(whole, notation)] }]}
        />
      ) : (
        <p className="quiet">At that height nothing is inside the boat.</p>
      )}
    </Section>
  );
}
