import { useTheme } from '@mui/material/styles';
import { useMemo } from 'react';
import { bendLines, drawLine, type LinesPart } from '@kalotrope/core/lines';
import { COLOURS } from './colours';
import { pathOf } from './DrawingSurface';

/** Seen from the quarter, a little from above. */
const TURN = (28 * Math.PI) / 180;
const RISE = (17 * Math.PI) / 180;
const MARGIN = 0.05;

type Point = readonly [number, number];
type Shape = { readonly outline: readonly Point[]; readonly isInside: boolean };

const seen = ([x, y, z]: readonly [number, number, number]): Point => {
  const across = x * Math.cos(TURN) + y * Math.sin(TURN);
  const away = y * Math.cos(TURN) - x * Math.sin(TURN);
  return [across, z * Math.cos(RISE) + away * Math.sin(RISE)];
};

/** A small picture of a boat, drawn from its lines alone: the far side from within, the near one from without. */
export function HullSketch({ longitudinals }: Pick<LinesPart, 'longitudinals'>) {
  const c = COLOURS[useTheme().palette.mode];
  const shapes = useMemo(() => shapesOf(longitudinals), [longitudinals]);
  const all = shapes.flatMap(({ outline }) => outline);
  if (all.length === 0)
    return (
      <svg viewBox="0 0 160 60" width="100%" height="100%" aria-hidden="true">
        <path d="M20 38h120M20 30h120M20 22h120M44 16v28M80 16v28M116 16v28" stroke={c.line} strokeWidth={1.5} />
      </svg>
    );
  const [us, vs] = [all.map(([u]) => u), all.map(([, v]) => v)];
  const [left, bottom] = [Math.min(...us), Math.min(...vs)];
  const [width, height] = [Math.max(...us) - left, Math.max(...vs) - bottom];
  const margin = MARGIN * width;
  const box = [left - margin, -bottom - height - margin, width + 2 * margin, height + 2 * margin];
  return (
    <svg viewBox={box.map((n) => n.toFixed(1)).join(' ')} width="100%" height="100%" aria-hidden="true">
      {shapes.map(({ outline, isInside }, i) => (
        <path
          key={i}
          d={pathOf(outline, true)}
          fill={isInside ? c.plyLine : c.ply}
          stroke={c.ink}
          strokeWidth={width / 320}
          strokeLinejoin="round"
        />
      ))}
    </svg>
  );
}

/** Panels between each line and the next, on both hands, and the ends; what lies further off comes first. */
function shapesOf(longitudinals: LinesPart['longitudinals']): Shape[] {
  const lines = bendLines({ longitudinals }).value.lines.map(drawLine);
  const hand = (sign: 1 | -1) => lines.map(({ curve }) => curve.map(([x, y, z]) => seen([x, sign * y, z])));
  const strips = (curves: readonly (readonly Point[])[], isInside: boolean): Shape[] =>
    curves.slice(1).map((upper, i) => ({ outline: [...(curves[i] ?? []), ...[...upper].reverse()], isInside }));
  const [far, near] = [hand(1), hand(-1)];
  const end = (index: 0 | -1, isInside: boolean): Shape => {
    const round = [...far.map((curve) => curve.at(index)), ...near.map((curve) => curve.at(index)).reverse()];
    return { outline: round.filter((point) => point !== undefined), isInside };
  };
  const shapes = [end(0, true), ...strips(far, true), ...strips(near, false), end(-1, false)];
  return shapes.filter(({ outline }) => outline.length > 2);
}
