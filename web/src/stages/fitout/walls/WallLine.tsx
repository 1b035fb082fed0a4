/** A line of a wall: what it follows, or the points that it runs through. */
import Button from '@mui/material/Button';
import type { WallLine as Line, WallPlan } from '@kalotrope/core/fitout';
import { runsAcross } from '@kalotrope/core/fitout';
import { freeId } from '@kalotrope/core/frames';
import { Section } from '../../../controls/Section';
import { SelectField } from '../../../controls/SelectField';
import { plural } from '../../../controls/words';
import { useWallEdit } from './use-wall-edit';
import { WallLength } from './WallLength';
import { edgeWords, LOWER_FOLLOWS, UPPER_FOLLOWS } from './words';

type Props = { readonly plan: WallPlan; readonly edge: 'lower' | 'upper' };

/** The most points of a line. */
const MOST = 24;
/** From the last point to one that is added. */
const NEXT_MM = 300;

export function WallLine({ plan, edge }: Props) {
  const { set } = useWallEdit(plan);
  const line = plan[edge];
  const word = edgeWords(plan)[edge];
  const names: Readonly<Record<string, string>> = edge === 'lower' ? LOWER_FOLLOWS : UPPER_FOLLOWS;
  const length = (label: string, mm: number, ...path: readonly string[]) => (
    <WallLength plan={plan} label={`${word}${label}`} mm={mm} path={[edge, ...path]} />
  );
  return (
    <Section
      title={word}
      aside={line.follows === 'points' ? plural(line.points.length, 'point') : `follows ${names[line.follows]}`}
    >
      <div className="field-grid no-print">
        <SelectField
          label={`${word} follows`}
          value={line.follows}
          names={names}
          onChange={set(`what its ${word.toLowerCase()} follows`, edge, 'follows')}
        />
        {line.follows === 'sheer' && (
          <>
            {length(' begins', line.from, 'from')}
            {length(' ends', line.to, 'to')}
          </>
        )}
        {line.follows !== 'points' && (
          <>
            {length(', in', line.in, 'in')}
            {length(', up', line.up, 'up')}
          </>
        )}
      </div>
      {line.follows === 'points' && <Points plan={plan} edge={edge} line={line} />}
    </Section>
  );
}

function Points({ plan, edge, line: { points } }: Props & { readonly line: Line }) {
  const { set } = useWallEdit(plan);
  const put = set('its points', edge, 'points');
  const word = edgeWords(plan)[edge];
  const add = () => {
    const last = points[points.length - 1] ?? { x: 0, out: 0, height: 0 };
    const next = runsAcross(plan.kind) ? { out: last.out + NEXT_MM } : { x: last.x + NEXT_MM };
    put([...points, { ...last, ...next, id: freeId('p', points) }]);
  };
  return (
    <>
      <p className="quiet">
        {runsAcross(plan.kind)
          ? 'From the centreline out; the other side is the same.'
          : 'From forward aft. Two points are a straight line.'}
      </p>
      {points.map(({ id, x, out, height }, i) => (
        <div key={id} role="group" aria-label={`${word}, point ${i + 1}`}>
          <div className="field-grid no-print">
            <WallLength plan={plan} label={`Point ${i + 1}, from the stem`} mm={x} path={[edge, 'points', id, 'x']} />
            <WallLength plan={plan} label={`Point ${i + 1}, out`} mm={out} path={[edge, 'points', id, 'out']} />
            <WallLength
              plan={plan}
              label={`Point ${i + 1}, height`}
              mm={height}
              path={[edge, 'points', id, 'height']}
            />
          </div>
          <Button
            size="small"
            className="no-print"
            onClick={() => put(points.filter((point) => point.id !== id))}
            aria-label={`Take out point ${i + 1}`}
          >
            Take it out
          </Button>
        </div>
      ))}
      <Button className="no-print" disabled={points.length >= MOST} onClick={add}>
        Add a point
      </Button>
    </>
  );
}
