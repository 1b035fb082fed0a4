/** Every part with its weight and how far its middle lies from the stem. */
import { memo } from 'react';
import { formatFine, formatMass, unitLabel } from '@kalotrope/core/measure';
import type { Item } from '@kalotrope/core/weights';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { PARTS_SECTION } from './words';

export const PartsTable = memo(function PartsTable({ items }: { readonly items: readonly Item[] }) {
  const notation = useAppSelector(selectNotation);
  const columns = [
    { name: 'part' },
    { name: 'weighs', isFigure: true },
    { name: `from the stem, ${unitLabel(notation)}`, isFigure: true },
  ];
  const rows = [...items]
    .sort((a, b) => b.grams - a.grams)
    .map(({ id, name, grams, at: [x] }) => ({
      key: id,
      cells: [name, formatMass(grams, notation), formatFine(x, notation)],
    }));
  return (
    <Section title={PARTS_SECTION} aside={String(items.length)}>
      <PlainTable label={PARTS_SECTION} columns={columns} rows={rows} />
      <p className="quiet">
        What has no place of its own in the drawing (paint, fittings, pieces of your own) lies where the skin does.
      </p>
    </Section>
  );
});
