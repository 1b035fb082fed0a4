import { runThing, type TimberRun } from '@kalotrope/core/timber';
import { formatFine, unitLabel } from '@kalotrope/core/measure';
import { picked } from '../../state/screen-slice';
import { selectNotation } from '../../state/selectors';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { plural } from '../../controls/words';
import { useAppDispatch, useAppSelector } from '../../state/store';

const columnsIn = (unit: string) => [
  { name: `piece, ${unit}` },
  { name: 'no.', isFigure: true },
  { name: 'section', isFigure: true },
  { name: 'length', isFigure: true },
];

export function RunTable({ runs }: { readonly runs: readonly TimberRun[] }) {
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const rows = runs.map(({ id, name, qty, width, depth, length }) => ({
    key: id,
    cells: [
      <button key="pick" type="button" className="plain-link" onClick={() => dispatch(picked(runThing(id)))}>
        {name}
      </button>,
      qty,
      `${formatFine(width, notation)} × ${formatFine(depth, notation)}`,
      formatFine(length, notation),
    ],
  }));
  return (
    <Section
      title="All long pieces"
      aside={plural(
        runs.reduce((sum, { qty }) => sum + qty, 0),
        'piece',
      )}
    >
      <PlainTable label="Long pieces" columns={columnsIn(unitLabel(notation))} rows={rows} />
    </Section>
  );
}
