/** How thick a block is along it, at both its edges. */
import { blockRows, edgeNames, type FittedBlock } from '@kalotrope/core/fitout';
import { formatFine, unitLabel } from '@kalotrope/core/measure';
import { PlainTable } from '../../../controls/PlainTable';
import { Section } from '../../../controls/Section';
import { selectNotation } from '../../../state/selectors';
import { useAppSelector } from '../../../state/store';
import { THICK_SECTION } from './words';

export function BlockTable({ block }: { readonly block: FittedBlock | undefined }) {
  const notation = useAppSelector(selectNotation);
  if (!block || block.rows.length === 0) return null;
  return (
    <Section title={THICK_SECTION}>
      <p className="quiet">In {unitLabel(notation)}, from its first end; square to its straight face.</p>
      <PlainTable
        label="Its thickness"
        columns={['along it', ...edgeNames(block)].map((name) => ({ name, isFigure: true }))}
        rows={blockRows(block).map(({ along, low, high }) => ({
          key: String(along),
          cells: [along, low, high].map((mm) => formatFine(mm, notation)),
        }))}
      />
    </Section>
  );
}
