/** Where a part stops and how its edges are made, and the edges at the skin as a table. */
import type { Fitted, InsidePlan } from '@kalotrope/core/fitout';
import { edgeRows } from '@kalotrope/core/fitout';
import { formatDeg, formatFine, unitLabel } from '@kalotrope/core/measure';
import { OptionalLength } from '../../controls/OptionalLength';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { InsideLength } from './InsideLength';
import { useInsideEdit } from './use-inside-edit';
import { EDGES_SECTION, SCHOOLS, SKIN_SECTION } from './words';

type Props = { readonly plan: InsidePlan; readonly parts: readonly Fitted[] };

const OUTER_MM = 400;

export function EdgeFields({ plan }: Pick<Props, 'plan'>) {
  const { set, pathTo } = useInsideEdit(plan);
  const { fit, hand, hollow, inner, outer, school } = plan;
  const length = (label: string, mm: number, ...path: readonly string[]) => (
    <InsideLength plan={plan} label={label} mm={mm} path={path} />
  );
  return (
    <Section title={EDGES_SECTION} aside={fit === 'over' ? undefined : SCHOOLS[school ?? 'boat']}>
      <div className="field-grid no-print">
        {fit === 'inside' && (
          <SelectField
            label="Edge at the skin"
            value={school ?? 'boat'}
            names={SCHOOLS}
            onChange={(value) => set('its edge', 'school')(value === 'boat' ? null : value)}
          />
        )}
        {length('Gap all round', plan.gap, 'gap')}
        {fit === 'inside' && length('Core or lining', plan.lining, 'lining')}
        {fit === 'over' && length('Beyond the skin', plan.overhang, 'overhang')}
        {hand !== 'across' && length('Inner edge, fore end', inner.fore, 'inner', 'fore')}
        {hand !== 'across' && length('Inner edge, after end', inner.aft, 'inner', 'aft')}
        {length('Fore end hollowed by', hollow.fore, 'hollow', 'fore')}
        {length('After end hollowed by', hollow.aft, 'hollow', 'aft')}
        {hand !== 'across' && length('Inner edge hollowed by', hollow.inner, 'hollow', 'inner')}
        <OptionalLength
          label="Ends, out"
          mm={outer}
          offer="End it short of the skin"
          remove="To the skin"
          start={OUTER_MM}
          onChange={set('where it ends', 'outer')}
          path={pathTo('outer')}
        />
      </div>
    </Section>
  );
}

const COLUMNS = [
  { name: 'from the stem', isFigure: true },
  ...['out', 'up', 'bevel'].map((name) => ({ name, isFigure: true })),
];

/** To starboard, or of one to port alone to port. */
export function AlongSkin({ parts }: Pick<Props, 'parts'>) {
  const notation = useAppSelector(selectNotation);
  const rows = parts.flatMap((part) =>
    part.pieces.flatMap((piece) =>
      piece.atSkin
        .filter(({ points }) => part.hand === 'port' || (points[0]?.space[1] ?? 0) >= 0)
        .flatMap(({ points }, k) =>
          edgeRows(part, points).map(({ place: [x, y, z], bevelDeg }, i) => ({
            key: `${piece.id} ${k} ${i}`,
            cells: [...[x, Math.abs(y), z].map((mm) => formatFine(mm, notation)), formatDeg(bevelDeg, 1)],
          })),
        ),
    ),
  );
  if (rows.length === 0) return null;
  const isSquare = parts.every((part) => part.isSquare);
  return (
    <Section title={SKIN_SECTION} aside={isSquare ? 'cut square' : 'bevelled'}>
      <p className="quiet">
        In {unitLabel(notation)}: from the stem, out from the centreline, up from the base line.{' '}
        {isSquare
          ? 'The edge is square; the bevel is what the skin leans there, which the fillet fills.'
          : 'Plus: the under face is smaller, the saw tilts inward.'}
      </p>
      <PlainTable label="Edges at the skin" columns={COLUMNS} rows={rows} />
    </Section>
  );
}
