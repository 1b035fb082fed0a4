/** Strips of timber along the edges of a frame, for what is fastened to it. */
import Button from '@mui/material/Button';
import { plainCleat, TOP_EDGE, type CleatPlan, type Frame, type FramePlan } from '@kalotrope/core/frames';
import { formatDeg, formatFine, formatScantling, unitLabel } from '@kalotrope/core/measure';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { plural } from '../../controls/words';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { OneOfList } from './CutFields';
import { FrameLength } from './FrameLength';
import { useFrameEdit } from './frame-edit';
import { CLEAT_FACES, CLEAT_SECTION } from './frame-words';

/** The most that a frame takes. */
const MOST = 12;

const COLUMNS = [
  { name: 'along' },
  ...['how many', 'long'].map((name) => ({ name, isFigure: true })),
  ...[{ name: 'of' }, { name: 'bevel', isFigure: true }],
];

export function Cleats({ plan, frame }: { readonly plan: FramePlan; readonly frame: Frame }) {
  const notation = useAppSelector(selectNotation);
  const { set } = useFrameEdit(plan);
  const { cleats } = plan;
  return (
    <Section title={CLEAT_SECTION} aside={plural(cleats.length, 'cleat')}>
      {frame.cleats.length > 0 && (
        <PlainTable
          label={`Cleats, in ${unitLabel(notation)}`}
          columns={COLUMNS}
          rows={frame.cleats.flatMap(({ id, along, pieces, breadthMm, depthMm, bevel }) =>
            pieces.map(({ lengthMm, isPair }, i) => ({
              key: `${id}-${i}`,
              cells: [
                ...[along, isPair ? 2 : 1, formatFine(lengthMm, notation)],
                `${formatScantling(breadthMm, notation)} × ${formatScantling(depthMm, notation)}`,
                bevel ? `${formatDeg(bevel.fromDeg)} to ${formatDeg(bevel.toDeg)}` : 'square',
              ],
            })),
          )}
        />
      )}
      {cleats.map((cleat, i) => (
        <CleatFields key={cleat.id} plan={plan} frame={frame} cleat={cleat} number={i + 1} />
      ))}
      <Button
        className="no-print"
        disabled={cleats.length >= MOST}
        onClick={() => set('cleat', ['cleats'])([...cleats, plainCleat(cleats, notation)])}
      >
        Add a cleat
      </Button>
    </Section>
  );
}

type OneProps = {
  readonly plan: FramePlan;
  readonly frame: Frame;
  readonly cleat: CleatPlan;
  readonly number: number;
};

function CleatFields({ plan, frame, cleat, number }: OneProps) {
  const { set } = useFrameEdit(plan);
  const what = `cleat ${number}`;
  const field = (key: 'setIn' | 'breadth' | 'depth', label: string) => (
    <FrameLength plan={plan} label={label} mm={cleat[key]} what={what} path={['cleats', cleat.id, key]} />
  );
  const edges: Readonly<Record<string, string>> = {
    [TOP_EDGE]: 'the top',
    ...Object.fromEntries(frame.edges.map(({ panel, panelName }) => [panel, panelName.toLowerCase()])),
  };
  return (
    <OneOfList
      title={`Cleat ${number}`}
      onRemove={() => set(`${what} out`, ['cleats'])(plan.cleats.filter(({ id }) => id !== cleat.id))}
    >
      <SelectField
        label="Along"
        value={cleat.edge in edges ? cleat.edge : TOP_EDGE}
        names={edges}
        onChange={set(what, ['cleats', cleat.id, 'edge'])}
      />
      <SelectField
        label="On the"
        value={cleat.face}
        names={CLEAT_FACES}
        onChange={set(what, ['cleats', cleat.id, 'face'])}
      />
      {field('setIn', 'Set in from the edge')}
      {field('breadth', 'Broad, along the face')}
      {field('depth', 'Deep, off the face')}
    </OneOfList>
  );
}
