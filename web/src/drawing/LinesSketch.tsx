import { useTheme } from '@mui/material/styles';
import { useMemo } from 'react';
import { bendLines, drawLine, sectionCurves, type LinesPart } from '@kalotrope/core/lines';
import { COLOURS } from './colours';
import { pathOf } from './DrawingSurface';
import { viewBoxAround } from './view-box';

type Curve = readonly (readonly [number, number])[];
const SPACE = 0.06;

/** The three views small, from the lines alone: profile, plan under it, and the stations beside the profile. */
export function LinesSketch({ longitudinals }: Pick<LinesPart, 'longitudinals'>) {
  const c = COLOURS[useTheme().palette.mode];
  const views = useMemo(() => viewsOf(longitudinals), [longitudinals]);
  const curves = [...views.lines, ...views.stations];
  if (curves.length === 0) return null;
  const { width, viewBox } = viewBoxAround(curves.flat());
  return (
    <svg viewBox={viewBox} width="100%" role="img" aria-label="Profile, plan and stations of this hull" fill="none">
      {views.lines.map((curve, i) => (
        <path key={i} d={pathOf(curve)} stroke={c.ink} strokeWidth={width / 300} />
      ))}
      {views.stations.map((curve, i) => (
        <path key={i} d={pathOf(curve)} stroke={c.note} strokeWidth={width / 450} />
      ))}
    </svg>
  );
}

function viewsOf(longitudinals: LinesPart['longitudinals']): { lines: Curve[]; stations: Curve[] } {
  const hull = bendLines({ longitudinals }).value;
  const lines = hull.lines.map(drawLine);
  const breadth = Math.max(0, ...lines.flatMap(({ curve }) => curve.map((p) => p[1])));
  const space = SPACE * (hull.toX - hull.fromX);
  const up = breadth + space;
  const middle = hull.toX + breadth + space;
  const midship = (hull.fromX + hull.toX) / 2;
  return {
    lines: [
      ...lines.map(({ curve }): Curve => curve.map(([x, , z]) => [x, up + z])),
      ...lines.map(({ curve }): Curve => curve.map(([x, y]) => [x, y])),
    ],
    stations: hull.stations.map(({ x }): Curve => {
      const side = x > midship ? -1 : 1;
      return sectionCurves(hull, [], x)
        .flat()
        .map(([y, z]) => [middle + side * y, up + z]);
    }),
  };
}
