import { formatFine, isImperial, MM_PER_INCH, unitLabel, type Notation } from '@kalotrope/core/measure';
import { seamsOf, type Panel, type PanelsPart } from '@kalotrope/core/panels';
import { Section } from '../../controls/Section';
import { PlainTable } from '../../controls/PlainTable';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { useNames } from './SheetSettings';

const COLUMNS = [
  { name: 'edge' },
  { name: 'length', isFigure: true },
  { name: 'on the lines', isFigure: true },
  { name: 'after trimming', isFigure: true },
];

type Props = { readonly panels: readonly Panel[]; readonly part: PanelsPart };

/** That the edges of neighbouring panels are equally long. */
export function Seams({ panels, part }: Props) {
  const notation = useAppSelector(selectNotation);
  const nameOf = useNames();
  const seams = seamsOf(panels, part.roundedChines);
  if (seams.length === 0) return null;
  const rows = seams.map(({ line, panels: [below], lengths, difference, cutDifference }) => ({
    key: `${line} ${below}`,
    cells: [
      nameOf(line),
      formatFine(lengths[0], notation),
      fine(Math.abs(difference), notation),
      fine(cutDifference, notation),
    ],
  }));
  return (
    <Section title="Edges that meet">
      <p className="quiet">
        Length in {unitLabel(notation)}; the difference between the two edges in {isImperial(notation) ? 'in' : 'mm'},
        on the lines and after trimming. With thick sheet the upper edge may truly be longer or shorter than the lower:
        one runs outside the other, and a pointed panel is trimmed at its tip.
      </p>
      <PlainTable label="Edges that meet" columns={COLUMNS} rows={rows} />
    </Section>
  );
}

/** Differences of a hundredth of a millimetre, or of half a thousandth of an inch. */
const fine = (mm: number, notation: Notation): string =>
  isImperial(notation) ? (mm / MM_PER_INCH).toFixed(4) : mm.toFixed(3);
