/** Before glue: what each panel measures once it is bent, and what has to be at hand. */
import { useMemo } from 'react';
import { formatFine, unitLabel } from '@kalotrope/core/measure';
import type { Panel, PanelsPart } from '@kalotrope/core/panels';
import { dryFits, smallFigure } from '@kalotrope/core/setup';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { DRY_SECTION } from './labels';

const COLUMNS = [
  { name: 'panel, straight from end to end' },
  ...['flat', 'bent', 'short by'].map((name) => ({ name, isFigure: true })),
];

type Props = { readonly panels: readonly Panel[]; readonly part: PanelsPart };

export function DryFitting(props: Props) {
  return (
    <Section title={DRY_SECTION}>
      <Fits {...props} />
    </Section>
  );
}

/** Worked out when it is opened. */
function Fits({ panels, part }: Props) {
  const fits = useMemo(() => dryFits(panels, part), [panels, part]);
  const notation = useAppSelector(selectNotation);
  return (
    <>
      <p className="quiet">
        Clamp every part in place dry and measure before any glue is mixed. A bend brings a panel’s ends together: its
        after end falls short of its flat length by so much, and that is right.
      </p>
      <PlainTable
        label={`Panels in place, in ${unitLabel(notation)}`}
        columns={COLUMNS}
        rows={fits.flatMap(({ id, name, edges, diagonals }) => [
          ...edges.map(({ line, isUpper, flatMm, bentMm, shortMm }) => ({
            key: `${id} ${isUpper}`,
            cells: [
              `${name}, ${isUpper ? 'upper' : 'lower'} (${line})`,
              ...[formatFine(flatMm, notation), formatFine(bentMm, notation), smallFigure(shortMm, notation)],
            ],
          })),
          ...diagonals.map(({ flatMm, bentMm }, k) => ({
            key: `${id} diagonal ${k}`,
            cells: [
              `${name}, ${k === 0 ? 'fore lower to aft upper' : 'fore upper to aft lower'}`,
              ...[formatFine(flatMm, notation), formatFine(bentMm, notation), smallFigure(flatMm - bentMm, notation)],
            ],
          })),
        ])}
      />
      <ul>
        {fits.map(({ id, name, isPair, ties, clamps }) => (
          <li key={id}>
            {name}: {isPair ? 'both of the pair' : 'the one'} at hand; {tieWords(ties)}; {clamps} clamps along its upper
            edge.
          </li>
        ))}
      </ul>
    </>
  );
}

const tieWords = (ties: number): string => (ties > 0 ? `${ties} ties on each` : 'no ties');
