/** The boat from above: the sheer, what stands athwart, and every part where it lies, the highest over the others. */
import { useTheme } from '@mui/material/styles';
import { useMemo, type ReactNode } from 'react';
import {
  blockSeen,
  insideThing,
  kneeFromAbove,
  personFromAbove,
  seenFromAbove,
  stemFromAbove,
  type FittedBlock,
  type FittedKnee,
  type FittedStem,
  type InBoat,
  type InsideValue,
  type SeenFromAbove,
} from '@kalotrope/core/fitout';
import type { Hull } from '@kalotrope/core/lines';
import { boxAround, DrawingSurface, pathOf } from '../../drawing/DrawingSurface';
import { Overall } from '../../drawing/Dimension';
import { GrainPattern, PlyShape } from '../../drawing/Ply';
import { PersonShape } from './people/PersonShape';
import { picked } from '../../state/screen-slice';
import { selectDerived } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

type Props = {
  readonly hull: Hull;
  readonly value: InsideValue;
  /** The plan's id. */
  readonly picked: string | undefined;
  readonly corner: ReactNode;
};

type Ring = SeenFromAbove['outline'];
type Seen = SeenFromAbove & { readonly plan: string };

const over = (ring: Ring): Ring => ring.map(([x, y]) => [x, -y]);

/** Each piece as it is seen from above, of a pair both. */
function bothHands(part: InBoat): Seen[] {
  return seenFromAbove(part).flatMap((seen) => {
    const own = { ...seen, plan: part.plan };
    const port = { ...own, id: `${seen.id} port`, outline: over(seen.outline), holes: seen.holes.map(over) };
    if (part.fit === 'wall' && part.hand === 'port') return [port];
    return part.hand === 'pair' ? [own, port] : [own];
  });
}

/** A block from above, of a pair both. */
function blockHands(block: FittedBlock): Seen[] {
  const outline = blockSeen(block, 1);
  if (outline.length === 0) return [];
  const height = block.rows[0]?.place[2] ?? 0;
  const own = { id: block.id, plan: block.plan, name: block.name, outline, holes: [], height };
  return block.hand === 'pair' ? [own, { ...own, id: `${block.id} port`, outline: over(outline) }] : [own];
}

/** An outer stem from above. */
function stemSeen(stem: FittedStem): Seen[] {
  const outline = stemFromAbove(stem);
  if (outline.length === 0) return [];
  return [{ id: stem.id, plan: stem.plan, name: stem.name, outline, holes: [], height: stem.inner[0]?.[1] ?? 0 }];
}

/** A knee from above, of a pair both. */
function kneeHands(knee: FittedKnee): Seen[] {
  const own = kneeFromAbove(knee);
  if (own.length === 0) return [];
  const seen = (id: string, outline: Ring): Seen => ({
    ...{ id, plan: knee.plan, name: knee.name, outline, holes: [] },
    height: Math.max(...knee.cut.map(([, z]) => z)),
  });
  if (knee.hand === 'port') return [seen(knee.id, over(own))];
  return [seen(knee.id, own), ...(knee.hand === 'pair' ? [seen(`${knee.id} port`, over(own))] : [])];
}

export function PlanDrawing({
  hull,
  value: { parts, walls, blocks, stems, knees, people },
  picked: own,
  corner,
}: Props) {
  const { palette } = useTheme();
  const dispatch = useAppDispatch();
  const frames = useAppSelector((state) => selectDerived(state)?.frames.value.frames) ?? [];
  const sheer = hull.lines[hull.lines.length - 1];
  const edge = useMemo(() => (sheer?.curve ?? []).map(([x, y]) => [x, y] as const), [sheer]);
  const seen = useMemo(
    () =>
      [
        ...[...parts, ...walls].flatMap(bothHands),
        ...blocks.flatMap(blockHands),
        ...stems.flatMap(stemSeen),
        ...knees.flatMap(kneeHands),
      ].sort((a, b) => a.height - b.height),
    [parts, walls, blocks, stems, knees],
  );
  const box = boxAround([...edge, ...over(edge), ...seen.flatMap(({ outline }) => outline)]);
  const shown = seen.filter(({ plan }) => plan === own);
  const grey = palette.text.secondary;
  return (
    <DrawingSurface label="The boat from above" bounds={box} corner={corner}>
      {({ px }) => (
        <>
          <GrainPattern px={px} />
          <g fill="none">
            {[edge, over(edge)].map((line, i) => (
              <path key={i} d={pathOf(line)} stroke={grey} strokeWidth={1.2 * px} />
            ))}
            <path
              d={`M${box.minX} 0H${box.maxX}`}
              stroke={grey}
              strokeWidth={px}
              strokeDasharray={`${12 * px} ${3 * px} ${2 * px} ${3 * px}`}
            />
            {seen.map(({ id, plan, name, outline, holes }) => (
              <PlyShape
                key={id}
                outline={outline}
                holes={holes}
                px={px}
                label={name}
                isPicked={plan === own}
                onPick={() => dispatch(picked(insideThing(plan)))}
              />
            ))}
            {frames.map(({ id, x, outline }) => {
              const out = Math.max(...outline.map(([y]) => y));
              return (
                <path
                  key={id}
                  d={`M${x} ${-out}V${out}`}
                  stroke={grey}
                  strokeWidth={px}
                  strokeDasharray={`${5 * px} ${4 * px}`}
                />
              );
            })}
            {people.map((person) => (
              <PersonShape
                key={person.plan}
                rings={personFromAbove(person)}
                name={person.name}
                px={px}
                isPicked={person.plan === own}
                onPick={() => dispatch(picked(insideThing(person.plan)))}
              />
            ))}
            {shown.length > 0 && <Overall box={boxAround(shown.flatMap(({ outline }) => outline))} px={px} />}
          </g>
          <text x={box.minX} y={-box.maxY - 14 * px} fontSize={14 * px} fill={palette.text.primary}>
            From above; forward is left, starboard up
          </text>
        </>
      )}
    </DrawingSurface>
  );
}
