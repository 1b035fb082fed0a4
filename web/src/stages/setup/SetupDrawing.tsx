/**
 * The set-up from the side and from above: the strongback, its legs, every frame where it should stand, and what is out
 * drawn twentyfold with the way that it is to be moved.
 */
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { at } from '@kalotrope/core/geometry';
import { drawnOut, setupConstants, standThing, type SetupValue, type Stood } from '@kalotrope/core/setup';
import type { Hull } from '@kalotrope/core/lines';
import { COLOURS } from '../../drawing/colours';
import { picked as pickedThing } from '../../state/screen-slice';
import { useAppDispatch } from '../../state/store';

type Props = { readonly value: SetupValue; readonly hull: Pick<Hull, 'lines'>; readonly picked: string };
type Space = readonly [number, number, number];
type Point = readonly [number, number];

const MARGIN = 0.03;
const BETWEEN = 0.06;

export function SetupDrawing({ value, hull, picked }: Props) {
  const c = COLOURS[useTheme().palette.mode];
  const dispatch = useAppDispatch();
  const isWide = useMediaQuery(useTheme().breakpoints.up('md'));
  const {
    frames,
    solids,
    jig: { fromX, toX },
  } = value;
  const long = toX - fromX;
  const { from, sign } = value.heights;
  const curves = hull.lines.map(({ curve }) => curve.map(([x, y, z]): Space => [x, y, from + sign * z]));
  const sheer = curves[curves.length - 1] ?? [];
  const high = Math.max(...curves.flatMap((curve) => curve.map(([, , z]) => z)), 1);
  const deep = Math.max(
    0,
    ...solids.filter(({ runs: way }) => way === 'athwart').flatMap(({ outline }) => outline.map(([, z]) => -z)),
  );
  const half = Math.max(...sheer.map(([, y]) => Math.abs(y)), 1);
  const gap = BETWEEN * long + deep;
  const views = [
    { name: 'the side', see: ([x, , z]: Space): Point => [x, -z] },
    // port is up, as one who looks down on it with the bow to the left
    { name: 'above', see: ([x, y]: Space): Point => [x, gap + half + y] },
  ] as const;
  const margin = MARGIN * long;
  const letters = long / (isWide ? 42 : 22);

  const rows = rowsOf(frames, letters);
  const top = margin + (0.5 + Math.max(1, ...rows.map((row) => row + 1))) * letters;
  const box = [fromX - margin, -high - top, long + 2 * margin, high + gap + 2 * half + margin + top];
  const thin = long / 700;
  const runs = [
    ...curves.map((curve) => [0, curve] as const),
    ...[1, -1].map((side) => [1, sheer.map(([x, y, z]): Space => [x, side * y, z])] as const),
  ];
  const line = (a: Point, b: Point) => `M${a.map(round).join(' ')}L${b.map(round).join(' ')}`;
  const round = (n: number) => n.toFixed(1);
  const outOf = (frame: Stood) =>
    frame.result.advised.readings > 0 && frame.result.cause !== 'true'
      ? drawnOut(frame, setupConstants.TWENTYFOLD.value)
      : undefined;
  return (
    <Box sx={{ bgcolor: 'background.paper', mb: 2, maxWidth: 860 }}>
      <svg
        viewBox={box.map(round).join(' ')}
        width="100%"
        style={{ maxHeight: 340, display: 'block' }}
        role="group"
        aria-label="The set-up, from the side and from above"
      >
        {solids.map((solid) => (
          <SolidSeen key={solid.name} solid={solid} above={gap + half} colour={c.line} edge={c.quiet} thin={thin} />
        ))}
        <path d={line([fromX, 0], [toX, 0])} stroke={c.ink} strokeWidth={2 * thin} />
        <path
          d={line([fromX, gap + half], [toX, gap + half])}
          stroke={c.quiet}
          strokeWidth={thin}
          strokeDasharray={`${8 * thin} ${4 * thin}`}
        />
        {runs.map(([view, run], i) => (
          <polyline
            key={i}
            points={run.map((p) => views[view].see(p).map(round).join(',')).join(' ')}
            fill="none"
            stroke={c.quiet}
            strokeWidth={thin}
          />
        ))}
        {frames.map((frame, k) => {
          const { set, id, name } = frame;
          const out = outOf(frame);
          const colour = id === picked ? c.picked : c.main;
          return (
            <g
              key={id}
              role="button"
              aria-label={`${name}, as it stands`}
              aria-pressed={id === picked}
              style={{ cursor: 'pointer' }}
              onClick={() => dispatch(pickedThing(standThing(id)))}
            >
              {views.map(({ name: from, see }, i) => {
                const [a, b] = i === 0 ? [set.foot, set.centre] : [set.port, set.starboard];
                const moved =
                  out && (i === 0 ? ([out.foot, out.centre] as const) : ([out.port, out.starboard] as const));
                return (
                  <g key={from}>
                    {/* wide enough for a finger */}
                    <path d={line(see(a), see(b))} stroke="transparent" strokeWidth={long / 30} />
                    <path d={line(see(a), see(b))} stroke={colour} strokeWidth={2.5 * thin} />
                    {moved && (
                      <>
                        <path
                          d={line(see(moved[0]), see(moved[1]))}
                          stroke={c.check}
                          strokeWidth={2.5 * thin}
                          strokeDasharray={`${5 * thin} ${3 * thin}`}
                        />
                        {[0, 1].map((end) => (
                          <Arrow
                            key={end}
                            from={see(moved[end]!)}
                            to={see(end === 0 ? a : b)}
                            colour={c.check}
                            size={thin}
                          />
                        ))}
                      </>
                    )}
                  </g>
                );
              })}
              <text
                x={set.centre[0]}
                y={-high - (0.5 + at(rows, k)) * letters}
                fontSize={letters}
                textAnchor="middle"
                fill={colour}
              >
                {name}
              </text>
            </g>
          );
        })}
      </svg>
      <Typography variant="body2" color="text.secondary" sx={{ p: 1 }}>
        From the side, and from above with port up. Broken lines: what is out, twentyfold; arrows: which way it goes.
      </Typography>
    </Box>
  );
}

/** Of a letter’s height that it is wide, about. */
const WIDE_FOR_HIGH = 0.62;

/** In which row above the drawing each frame’s name stands, counted up from it, so that none lies over another. */
function rowsOf(frames: readonly Stood[], letters: number): number[] {
  const ends: number[] = [];
  const along = frames.map((_, k) => k).sort((a, b) => at(frames, a).set.centre[0] - at(frames, b).set.centre[0]);
  const rows = frames.map(() => 0);
  for (const k of along) {
    const { set, name } = at(frames, k);
    const half = ((name.length + 1) * WIDE_FOR_HIGH * letters) / 2;
    const free = ends.findIndex((end) => end <= set.centre[0] - half);
    const row = free < 0 ? ends.length : free;
    [rows[k], ends[row]] = [row, set.centre[0] + half];
  }
  return rows;
}

type SolidProps = {
  readonly solid: SetupValue['solids'][number];
  /** Where the centreline lies in the view from above. */
  readonly above: number;
  readonly colour: string;
  readonly edge: string;
  readonly thin: number;
};

/** A piece of the strongback from the side, and from above. */
function SolidSeen({ solid: { runs, outline, from, to }, above, colour, edge, thin }: SolidProps) {
  const firsts = outline.map(([first]) => first);
  const seconds = outline.map(([, z]) => -z);
  const [low, high] = [Math.min(...firsts), Math.max(...firsts)];
  const box = (x: readonly [number, number], y: readonly [number, number]): readonly Point[] => [
    [x[0], y[0]],
    [x[1], y[0]],
    [x[1], y[1]],
    [x[0], y[1]],
  ];
  const side =
    runs === 'athwart'
      ? outline.map(([x, z]): Point => [x, -z])
      : box([from, to], [Math.min(...seconds), Math.max(...seconds)]);
  const plan =
    runs === 'athwart' ? box([low, high], [above + from, above + to]) : box([from, to], [above + low, above + high]);
  return (
    <>
      {[side, plan].map((points, k) => (
        <polygon
          key={k}
          points={points.map((p) => p.map((n) => n.toFixed(1)).join(',')).join(' ')}
          fill={colour}
          fillOpacity={0.6}
          stroke={edge}
          strokeWidth={thin / 2}
        />
      ))}
    </>
  );
}

type ArrowProps = { readonly from: Point; readonly to: Point; readonly colour: string; readonly size: number };

/** None where there is nothing to move. */
function Arrow({ from, to, colour, size }: ArrowProps) {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(dx, dy);
  if (length < 9 * size) return null;
  const [ux, uy] = [dx / length, dy / length];
  const head = 9 * size;
  const base: Point = [to[0] - head * ux, to[1] - head * uy];
  return (
    <>
      <path d={`M${from[0]} ${from[1]}L${base[0]} ${base[1]}`} stroke={colour} strokeWidth={size} />
      <path
        d={`M${to[0]} ${to[1]}L${base[0] - (head / 2) * uy} ${base[1] + (head / 2) * ux}L${base[0] + (head / 2) * uy} ${
          base[1] - (head / 2) * ux
        }Z`}
        fill={colour}
      />
    </>
  );
}
