/** Screws and staples: how far apart, how many, how long at most, and what becomes of them. */
import Button from '@mui/material/Button';
import type { EditValue } from '@kalotrope/core/findings';
import {
  drillsFor,
  FASTENING_NAMES,
  framesStage,
  type FasteningUse,
  type FramesPart,
  type FramesValue,
} from '@kalotrope/core/frames';
import { formatFine, formatWithUnit, unitLabel } from '@kalotrope/core/measure';
import { Figure } from '../../controls/Figure';
import { LengthField } from '../../controls/LengthField';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { edited } from '../../state/document-slice';
import { spacingTurned } from '../../state/screen-slice';
import { selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { SCREW_LABELS, SCREW_USE, SCREWS_SECTION } from './frame-words';

const COLUMNS = [
  ...['through', 'into'].map((name) => ({ name })),
  ...['count', 'every', 'at most long'].map((name) => ({ name, isFigure: true })),
];

const OWN_NAMES = { all: 'as all', ...FASTENING_NAMES } as const;

type Props = { readonly part: FramesPart; readonly value: Pick<FramesValue, 'screws' | 'frames' | 'members'> };

export function Screws({ part: { screws }, value: { screws: rows, frames, members } }: Props) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const pathTo = (key: keyof typeof screws) => [framesStage.name, 'screws', key];
  const set = (key: keyof typeof screws) => (value: EditValue) =>
    void dispatch(edited({ label: 'Screws', edits: [{ path: pathTo(key), value }] }));
  const field = (key: keyof typeof SCREW_LABELS) => (
    <LengthField label={SCREW_LABELS[key]} mm={screws[key]} onCommit={set(key)} path={pathTo(key)} />
  );
  const count = rows.reduce((sum, row) => sum + row.count, 0);
  const isNone = screws.spacing === 0;
  const { pilotMm, clearanceMm } = drillsFor(screws.diameter);
  return (
    <Section title={SCREWS_SECTION} aside={isNone ? 'none' : String(count)}>
      <p className="quiet">
        Driven from outside, evenly along the timber of every frame and every member, to a whole number of gaps; none
        where a notch is. Marked on the panels. Those of cleats go through their frame.
      </p>
      <div className="field-grid no-print">
        {field('spacing')}
        {field('ends')}
        <SelectField label={SCREW_USE} value={screws.use} names={FASTENING_NAMES} onChange={set('use')} />
        {field('diameter')}
        {field('staples')}
        <Button onClick={() => dispatch(spacingTurned(true))}>Equal spacing</Button>
      </div>
      {rows.length > 0 && (
        <>
          <PlainTable
            label={`Screws and staples, in ${unitLabel(notation)}`}
            columns={COLUMNS}
            rows={rows.map(({ panelName, into, count: own, spacingMm, lengthMm }, i) => ({
              key: i,
              cells: [panelName, into, own, formatFine(spacingMm, notation), formatFine(lengthMm, notation)],
            }))}
          />
          <Figure
            name="Longest"
            value={formatWithUnit(Math.max(...rows.map(({ lengthMm }) => lengthMm)), notation)}
            why="Two and a half times what is held; less where 2 mm would not be left before the timber’s far face"
          />
          <Figure
            name="Drill into hard wood"
            value={`${formatFine(pilotMm, notation)} ${unitLabel(notation)}`}
            why="Seven tenths of the screw; six tenths in soft wood"
          />
          <Figure
            name="Drill through what is held"
            value={`${formatFine(clearanceMm, notation)} ${unitLabel(notation)}`}
          />
        </>
      )}
      {!isNone && <OwnUses screws={screws} things={thingsOf({ frames, members })} onUses={set('own')} />}
    </Section>
  );
}

type Fastened = { readonly id: string; readonly name: string };

const thingsOf = ({ frames, members }: Pick<FramesValue, 'frames' | 'members'>): Fastened[] => [
  ...frames.filter(({ timbered, cleats }) => timbered !== undefined || cleats.length > 0),
  ...members,
];

type OwnProps = {
  readonly screws: FramesPart['screws'];
  readonly things: readonly Fastened[];
  readonly onUses: (own: FramesPart['screws']['own']) => void;
};

/** One thing that is fastened into held otherwise than the rest. */
function OwnUses({ screws: { own }, things, onUses }: OwnProps) {
  if (things.length === 0) return null;
  const choose = (id: string) => (use: FasteningUse | 'all') => {
    const others = own.filter((other) => other.id !== id);
    onUses(use === 'all' ? others : [...others, { id, use }]);
  };
  return (
    <div className="field-grid no-print" role="group" aria-label="Held otherwise">
      {things.map(({ id, name }) => (
        <SelectField
          key={id}
          label={`Into ${name}`}
          value={own.find((other) => other.id === id)?.use ?? 'all'}
          names={OWN_NAMES}
          onChange={choose(id)}
        />
      ))}
    </div>
  );
}
