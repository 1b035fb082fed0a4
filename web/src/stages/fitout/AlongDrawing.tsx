/** The boat cut along: the skin, the frames, the parts, who is in it, and the clear lengths added up under it. */
import { useTheme } from '@mui/material/styles';
import { useMemo, type ReactNode } from 'react';
import {
  blockSeen,
  insideThing,
  kneeFromSide,
  personFromSide,
  sectionAlong,
  seenFromSide,
  stemFromSide,
  type InsideValue,
} from '@kalotrope/core/fitout';
import type { Frame } from '@kalotrope/core/frames';
import type { Hull } from '@kalotrope/core/lines';
import { formatWithUnit } from '@kalotrope/core/measure';
import { depthOfInside, type Panel } from '@kalotrope/core/panels';
import { boxAround, DrawingSurface, pathOf } from '../../drawing/DrawingSurface';
import { Dimension } from '../../drawing/Dimension';
import { GrainPattern, PlyShape } from '../../drawing/Ply';
import { picked } from '../../state/screen-slice';
import { selectNotation, selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { PersonShape } from './people/PersonShape';

type Props = {
  readonly hull: Hull;
  readonly panels: readonly Panel[];
  readonly frames: readonly Frame[];
  readonly value: InsideValue;
  /** Out from the centreline. */
  readonly out: number;
  /** The plan's id. */
  readonly picked: string | undefined;
  readonly corner: ReactNode;
};

/** The lengths stand so far under the boat, the whole under them. */
const UNDER_PX = 16;
const WHOLE_UNDER_PX = 38;
/** A shorter one has no room for its figure. */
const LEAST_PX = 46;

const closedRing = <T,>(ring: readonly T[]): readonly T[] => [...ring, ...ring.slice(0, 1)];

export function AlongDrawing({ hull, panels, frames, value, out, picked: own, corner }: Props) {
  const { palette } = useTheme();
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const skin = useAppSelector(selectProject)?.panels;
  const { parts, walls, blocks, stems, knees, people, lengths } = value;
  const section = useMemo(() => {
    const inside = skin ? depthOfInside(skin) : 0;
    return sectionAlong({ panels, frames, parts }, out, { inside, outside: inside - (skin?.thickness ?? 0) });
  }, [panels, frames, parts, out, skin]);
  const lines = useMemo(() => hull.lines.map(({ curve }) => curve.map(([x, , z]) => [x, z] as const)), [hull]);
  const behind = useMemo(
    () => [
      ...walls.map((wall) => ({ plan: wall.plan, line: seenFromSide(wall) })),
      ...blocks.map((block) => ({ plan: block.plan, line: blockSeen(block, 2) })),
      ...stems.map((stem) => ({ plan: stem.plan, line: closedRing(stemFromSide(stem)) })),
      ...knees.map((knee) => ({ plan: knee.plan, line: closedRing(kneeFromSide(knee)) })),
    ],
    [walls, blocks, stems, knees],
  );
  const bodies = useMemo(() => people.map((person) => ({ person, rings: personFromSide(person) })), [people]);
  const box = boxAround([
    ...lines.flat(),
    ...behind.flatMap(({ line }) => line),
    ...bodies.flatMap(({ rings }) => rings.flat()),
  ]);
  const grey = palette.text.secondary;
  const spaces = lengths.stretches.filter(({ kind }) => kind === 'space');
  const ends = [spaces[0], spaces[spaces.length - 1]];
  return (
    <DrawingSurface label="The boat cut along" of={`along ${out}`} bounds={box} corner={corner}>
      {({ px }) => (
        <>
          <GrainPattern px={px} />
          <g fill="none">
            {lines.map((line, i) => (
              <path key={i} d={pathOf(line)} stroke={grey} strokeWidth={px} strokeDasharray={`${6 * px} ${4 * px}`} />
            ))}
            {section.skin.map((line, i) => (
              <path key={i} d={pathOf(line)} stroke={palette.text.primary} strokeWidth={1.2 * px} />
            ))}
            {behind.map(({ plan, line }, i) => (
              <path
                key={i}
                d={pathOf(line)}
                stroke={plan === own ? palette.secondary.main : grey}
                strokeWidth={1.2 * px}
              />
            ))}
            {section.frames.map(({ name, outline }, i) => (
              <PlyShape key={i} outline={outline} px={px} label={name} />
            ))}
            {section.parts.map(({ plan, name, outline }, i) => (
              <PlyShape
                key={i}
                outline={outline}
                px={px}
                label={name}
                isPicked={plan === own}
                onPick={() => dispatch(picked(insideThing(plan)))}
              />
            ))}
            {bodies.map(({ person: { plan, name }, rings }) => (
              <PersonShape
                key={plan}
                rings={rings}
                name={name}
                px={px}
                isPicked={plan === own}
                onPick={() => dispatch(picked(insideThing(plan)))}
              />
            ))}
            {spaces.map(({ from, to }) => {
              const low = box.minY - UNDER_PX * px;
              const text = to - from > LEAST_PX * px ? formatWithUnit(to - from, notation) : '';
              return <Dimension key={from} from={[from, low]} to={[to, low]} text={text} px={px} />;
            })}
            {ends[0] && ends[1] && spaces.length > 1 && (
              <Dimension
                from={[ends[0].from, box.minY - WHOLE_UNDER_PX * px]}
                to={[ends[1].to, box.minY - WHOLE_UNDER_PX * px]}
                text={formatWithUnit(ends[1].to - ends[0].from, notation)}
                px={px}
              />
            )}
            {lengths.stretches.length > 0 && (
              <path
                d={`M${box.minX} ${-lengths.height}H${box.maxX}`}
                stroke={grey}
                strokeWidth={px}
                strokeDasharray={`${2 * px} ${5 * px}`}
              />
            )}
          </g>
          <text x={box.minX} y={-box.maxY - 14 * px} fontSize={14 * px} fill={palette.text.primary}>
            {out === 0 ? 'Along the middle' : `Along, ${formatWithUnit(out, notation)} out`}; forward is left
          </text>
        </>
      )}
    </DrawingSurface>
  );
}
