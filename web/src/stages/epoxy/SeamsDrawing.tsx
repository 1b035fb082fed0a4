/**
 * Where the glass goes: the boat from the side and half of it from above, every seam as wide as its tape, what is under
 * cloth tinted. A seam is picked by a press, or from the list.
 */
import { useTheme } from '@mui/material/styles';
import { useMemo } from 'react';
import { scheduleOf, seamOfThing, seamThing, type Seam, type Takeoff } from '@kalotrope/core/epoxy';
import type { Project } from '@kalotrope/core/project';
import { COLOURS } from '../../drawing/colours';
import { pathOf } from '../../drawing/DrawingSurface';
import { picked } from '../../state/screen-slice';
import { selectDerived, selectPicked } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

type Point = readonly [number, number];
type Space = readonly [number, number, number];
type Props = { readonly takeoff: Takeoff; readonly epoxy: Project['epoxy'] };

const BETWEEN = 0.04;
const MARGIN = 0.03;
/** A tape of nothing is still drawn, mm. */
const LEAST_MM = 12;

export function SeamsDrawing({ takeoff, epoxy }: Props) {
  const c = COLOURS[useTheme().palette.mode];
  const dispatch = useAppDispatch();
  const choice = seamOfThing(useAppSelector(selectPicked));
  const panels = useAppSelector((state) => selectDerived(state)?.panels.value.panels);
  const shapes = useMemo(
    () =>
      (panels ?? []).map(({ id, rulings }) => ({
        id,
        edge: [...rulings.map(({ p }) => p), ...[...rulings].reverse().map(({ q }) => q)] as readonly Space[],
      })),
    [panels],
  );
  const all = shapes.flatMap(({ edge }) => edge);
  if (all.length === 0) return null;
  const range = (of: (p: Space) => number): Point => [Math.min(...all.map(of)), Math.max(...all.map(of))];
  const [[x0, x1], [, half], [low, high]] = [range(([x]) => x), range(([, y]) => y), range(([, , z]) => z)];
  const long = x1 - x0;
  const views: readonly ((p: Space) => Point)[] = [
    // up is up
    ([x, , z]) => [x, z - high],
    ([x, y]) => [x, low - high - BETWEEN * long - Math.abs(y)],
  ];
  const height = high - low + BETWEEN * long + half;
  const margin = MARGIN * long;
  const box = [x0 - margin, -margin, long + 2 * margin, height + 2 * margin];
  const wide = (seam: Seam) => Math.max(LEAST_MM, scheduleOf(seam, epoxy).tapeWidth);
  return (
    <svg
      viewBox={box.map((n) => n.toFixed(1)).join(' ')}
      width="100%"
      style={{ maxHeight: 330, display: 'block' }}
      role="group"
      aria-label="Seams, from the side and from above"
    >
      {views.map((view, i) => (
        <g key={i}>
          {shapes.map(({ id, edge }) => (
            <path
              key={id}
              d={pathOf(edge.map(view), true)}
              fill={takeoff.sheathed.includes(id) ? c.plyLine : c.ply}
              stroke={c.quiet}
              strokeWidth={long / 900}
            />
          ))}
          {takeoff.seams.map((seam) => (
            <g
              key={seam.id}
              role="button"
              aria-label={`${seam.name}, from ${i === 0 ? 'the side' : 'above'}`}
              aria-pressed={seam.id === choice}
              onClick={() => dispatch(picked(seamThing(seam.id)))}
              style={{ cursor: 'pointer' }}
              fill="none"
              strokeLinecap="butt"
              strokeLinejoin="round"
            >
              {seam.paths.map((path, k) => (
                <path
                  key={k}
                  d={pathOf(path.map(view), false)}
                  stroke={seam.id === choice ? c.picked : c.main}
                  strokeOpacity={0.34}
                  strokeWidth={wide(seam)}
                />
              ))}
              {seam.paths.map((path, k) => (
                <path
                  key={k}
                  d={pathOf(path.map(view), false)}
                  stroke={seam.id === choice ? c.picked : c.main}
                  strokeWidth={long / 450}
                />
              ))}
              <title>{seam.name}</title>
            </g>
          ))}
        </g>
      ))}
    </svg>
  );
}
