/** The lines of two revisions on each other, profile over plan: the older broken, the newer in ink. */
import { useTheme } from '@mui/material/styles';
import { useMemo } from 'react';
import { bendLines, drawLine, type LinesPart } from '@kalotrope/core/lines';
import { COLOURS } from './colours';
import { pathOf } from './DrawingSurface';
import { viewBoxAround } from './view-box';

type Curve = readonly (readonly [number, number])[];
type Props = { readonly was: LinesPart['longitudinals']; readonly now: LinesPart['longitudinals'] };

const SPACE = 0.06;

export function LinesOver({ was, now }: Props) {
  const { palette } = useTheme();
  const c = COLOURS[palette.mode];
  const [before, after] = useMemo(() => [viewsOf(was), viewsOf(now)], [was, now]);
  const all = [...before, ...after].flat();
  if (all.length === 0) return null;
  const { width, viewBox } = viewBoxAround(all);
  return (
    <svg
      viewBox={viewBox}
      width="100%"
      role="img"
      aria-label="The lines of both, profile and plan: the older broken"
      fill="none"
    >
      {after.map((curve, i) => (
        <path key={i} d={pathOf(curve)} stroke={c.ink} strokeWidth={width / 400} />
      ))}
      {before.map((curve, i) => (
        <path
          key={i}
          d={pathOf(curve)}
          stroke={palette.secondary.main}
          strokeWidth={width / 400}
          strokeDasharray={`${width / 90} ${width / 150}`}
        />
      ))}
    </svg>
  );
}

function viewsOf(longitudinals: LinesPart['longitudinals']): Curve[] {
  const hull = bendLines({ longitudinals }).value;
  const lines = hull.lines.map(drawLine);
  const breadth = Math.max(0, ...lines.flatMap(({ curve }) => curve.map((p) => p[1])));
  const up = breadth + SPACE * (hull.toX - hull.fromX);
  return [
    ...lines.map(({ curve }): Curve => curve.map(([x, , z]) => [x, up + z])),
    ...lines.map(({ curve }): Curve => curve.map(([x, y]) => [x, y])),
  ];
}
