/** With no jig: what holds the sides until the frames are in, and in what order. */
import { formatDeg, formatFine, unitLabel } from '@kalotrope/core/measure';
import type { NoJig } from '@kalotrope/core/setup';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { NO_JIG_SECTION } from './labels';

const COLUMNS = [
  { name: 'spreader at' },
  ...['length', 'ends in plan', 'ends lean', 'from the stem head'].map((name) => ({ name, isFigure: true })),
];

export function WithNoJig({ noJig }: { readonly noJig: NoJig }) {
  const notation = useAppSelector(selectNotation);
  const { first, spreaders, blocks, mayComeOut } = noJig;
  return (
    <Section title={NO_JIG_SECTION}>
      <ol>
        <li>Fasten both sides to {first ?? 'the middle frame'}, upright, on their marks.</li>
        <li>
          Draw the forward ends together on the stem, a turn of rope at a time, both sides alike; then the after ends.
        </li>
        <li>Wedge a spreader in at each other frame’s place, level, at the sheer.</li>
        <li>
          Block it up under the keel and level it. Measure from the stem head to the sheer on both sides: pull the
          longer diagonal until the two are equal, and only then go on.
        </li>
        <li>
          Fit the other frames from the middle outward. A spreader comes out when the frame beside it is fastened.
        </li>
        {mayComeOut.length > 0 && (
          <li>
            One at a time, and none beside another, these may come out to be glued: {mayComeOut.join(', ')}. The first
            and the last hold the ends.
          </li>
        )}
      </ol>
      <PlainTable
        label={`Spreaders, in ${unitLabel(notation)}`}
        columns={COLUMNS}
        rows={spreaders.map(({ id, name, lengthMm, planDeg, leanDeg, fromStemMm }) => ({
          key: id,
          cells: [
            name,
            formatFine(lengthMm, notation),
            formatDeg(planDeg, 1),
            formatDeg(leanDeg, 1),
            formatFine(fromStemMm, notation),
          ],
        }))}
      />
      <p className="quiet">
        Blocks under the keel, over the line on the floor:{' '}
        {blocks.map(({ name, highMm }) => `${name} ${formatFine(highMm, notation)}`).join(', ')} {unitLabel(notation)}.
        Ends in plan: wider aft is plus; ends lean: wider at the top is minus. A bent side springs: nobody stands in
        front of an end while it is drawn in.
      </p>
    </Section>
  );
}
