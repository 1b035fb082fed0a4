/** What was really mixed, and thrown away. */
import { formatMass, massFigure, massUnit } from '@kalotrope/core/measure';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { useNow } from '../../controls/use-now';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import type { MixedPot, PotRecord } from '../../storage/pots';
import { clockWords } from '../../controls/clock-words';

export function PotLog({ records }: { readonly records: readonly PotRecord[] }) {
  const notation = useAppSelector(selectNotation);
  const pots = records.filter((one): one is MixedPot => one.kind === 'mixed');
  const mixed = pots.reduce((sum, { a, b, filler }) => sum + a + b + filler, 0);
  const thrown = records.reduce((sum, one) => sum + (one.kind === 'emptied' ? one.thrown : 0), 0);
  return (
    <Section title="Mixed so far" aside={pots.length === 0 ? 'nothing' : formatMass(mixed, notation)}>
      {pots.length === 0 ? (
        <p className="quiet">Each pot that is weighed is kept here, with what was left of it.</p>
      ) : (
        <>
          <Rows pots={pots} records={records} />
          <p className="quiet">Thrown away: {formatMass(thrown, notation)}.</p>
        </>
      )}
    </Section>
  );
}

type RowsProps = { readonly pots: readonly MixedPot[]; readonly records: readonly PotRecord[] };

function Rows({ pots, records }: RowsProps) {
  const now = useNow();
  const notation = useAppSelector(selectNotation);
  const thrownOf = (pot: MixedPot) => {
    const ended = records.find((one) => one.kind === 'emptied' && one.of === pot.at);
    return ended?.kind === 'emptied' ? massFigure(ended.thrown, notation) : 'open';
  };
  const sampleOf = (pot: MixedPot) => {
    const looked = records.filter((one) => one.kind === 'sample' && one.of === pot.at);
    const last = looked[looked.length - 1];
    return last?.kind === 'sample' ? (last.isHard ? 'hard' : 'soft') : '';
  };
  return (
    <PlainTable
      label="Pots mixed"
      columns={[
        { name: 'pot' },
        { name: 'when' },
        { name: massUnit(notation), isFigure: true },
        { name: 'thrown', isFigure: true },
        { name: 'sample' },
      ]}
      rows={[...pots].reverse().map((pot) => ({
        key: pot.at,
        cells: [
          `${pot.job} ${pot.number}`,
          clockWords(pot.at, now),
          massFigure(pot.a + pot.b + pot.filler, notation),
          thrownOf(pot),
          sampleOf(pot),
        ],
      }))}
    />
  );
}
