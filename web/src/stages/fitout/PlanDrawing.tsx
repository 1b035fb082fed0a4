/** The boat from above: the sheer, what stands athwart, and every part where it lies, the highest over the others. */
import { useTheme } from '@mui/material/styles';
import { useMemo, type ReactNode } from 'react';
import { insideThing, placeOn, type Fitted } from '@kalotrope/core/fitout';
import type { Hull } from '@kalotrope/core/lines';
import { boxAround, DrawingSurface, pathOf } from '../../drawing/DrawingSurface';
import { Overall } from '../../drawing/Dimension';
import { GrainPattern, PlyShape } from '../../drawing/Ply';
import { picked } from '../../state/screen-slice';
import { selectDerived } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

type Props = {
  readonly hull: Hull;
  readonly parts: readonly Fitted[];
  /** The plan's id. */
  readonly picked: string | undefined;
  readonly corner: ReactNode;
};

type Ring = readonly (readonly [number, number])[];
type Seen = {
  readonly part: Fitted;
  readonly id: string;
  readonly name: string;
  readonly outline: Ring;
  readonly holes: readonly Ring[];
  readonly height: number;
};

const over = (ring: Ring): Ring => ring.map(([x, y]) => [x, -y]);

/** Each piece as it is seen from above, of a pair both. */
function seenFromAbove(part: Fitted): Seen[] {
  return part.pieces.flatMap((piece) => {
    const ring = (points: Ring): Ring =>
      points.map(([u, v]) => {
        const [x, y] = placeOn(part.lie, [u, v]);
        return [x, y] as const;
      });
    const [outline, holes] = [ring(piece.region.outline), piece.region.holes.map(ring)];
    const [u, v] = piece.region.outline[0] ?? [0, 0];
    const own = { part, id: piece.id, name: piece.name, outline, holes, height: placeOn(part.lie, [u, v])[2] };
    if (part.hand !== 'pair') return [own];
    return [own, { ...own, id: `${piece.id} port`, outline: over(outline), holes: holes.map(over) }];
  });
}

export function PlanDrawing({ hull, parts, picked: own, corner }: Props) {
  const { palette } = useTheme();
  const dispatch = useAppDispatch();
  const frames = useAppSelector((state) => selectDerived(state)?.frames.value.frames) ?? [];
  const sheer = hull.lines[hull.lines.length - 1];
  const edge = useMemo(() => (sheer?.curve ?? []).map(([x, y]) => [x, y] as const), [sheer]);
  const seen = useMemo(() => parts.flatMap(seenFromAbove).sort((a, b) => a.height - b.height), [parts]);
  const box = boxAround([...edge, ...over(edge), ...seen.flatMap(({ outline }) => outline)]);
  const shown = seen.filter(({ part }) => part.plan === own);
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
            {seen.map(({ id, part, name, outline, holes }) => (
              <PlyShape
                key={id}
                outline={outline}
                holes={holes}
                px={px}
                label={name}
                isPicked={part.plan === own}
                onPick={() => dispatch(picked(insideThing(part.plan)))}
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
