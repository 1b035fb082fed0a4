import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import {
  plotSection,
  tickOf,
  type Half,
  type Hull,
  type LinesPart,
  type PlottedPoint,
  type Station,
  sectionCurves,
} from '@kalotrope/core/lines';
import { formatWithUnit, unitLabel } from '@kalotrope/core/measure';
import { edited } from '../../state/document-slice';
import { PlainTable } from '../../controls/PlainTable';
import { rounded } from '../../controls/rounded';
import { selectDerived, selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { Dimension } from '../../drawing/Dimension';
import { boxAround, DrawingSurface, pathOf } from '../../drawing/DrawingSurface';
import { stationStyle } from '../../drawing/station-style';

export type Board = { readonly station: number; readonly half: Half };
type Props = {
  readonly hull: Hull;
  readonly part: LinesPart;
  readonly board: Board;
  readonly onBoard: (board: Board) => void;
};

/** What is being marked out: the station, its points, which of them are done, and the next one. */
function useBoard({ hull, part, board }: Pick<Props, 'hull' | 'part' | 'board'>) {
  const index = Math.min(board.station, hull.stations.length - 1);
  const station = hull.stations[index];
  const points = station ? plotSection(hull, station, part.heightsFrom) : [];
  const ticked = new Set(part.plotted ?? []);
  const isDone = (point: PlottedPoint) => station !== undefined && ticked.has(tickOf(station.label, board.half, point));
  return { index, station, points, isDone, next: points.find((point) => !isDone(point)) };
}

/** One station on its board: the next point to plot is dimensioned; no other station is drawn. */
export function MarkOutDrawing({ hull, part, board }: Omit<Props, 'onBoard'>) {
  const notation = useAppSelector(selectNotation);
  const derived = useAppSelector(selectDerived);
  const { palette } = useTheme();
  const { index, station, points, isDone, next } = useBoard({ hull, part, board });
  if (!station) return <NoStation />;
  const side = board.half === 'starboard' ? 1 : -1;
  const curves = sectionCurves(hull, derived?.panels.value.panels ?? [], station.x);
  const z = (point: PlottedPoint) => (part.heightsFrom === null ? point.up : part.heightsFrom - point.up);
  const datum = part.heightsFrom ?? 0;
  const wide = Math.max(100, ...points.map((p) => p.out)) * 1.12;
  const heights = [0, datum, ...points.map(z)];
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  const bounds = boxAround([
    [-wide, low],
    [wide, high],
  ]);
  return (
    <DrawingSurface label={`Station ${station.label}, to mark out`} bounds={bounds}>
      {({ px }) => (
        <g fill="none">
          <text x={-wide} y={-high} fontSize={22 * px} fontWeight={650} fill={stationStyle(index, px).stroke}>
            Station {station.label}
          </text>
          <path
            d={pathOf([
              [0, low],
              [0, high],
            ])}
            stroke={palette.text.secondary}
            strokeWidth={px}
            strokeDasharray={`${12 * px} ${3 * px} ${3 * px} ${3 * px}`}
          />
          <path
            d={pathOf([
              [-wide, datum],
              [wide, datum],
            ])}
            stroke={palette.text.secondary}
            strokeWidth={px}
          />
          {curves.map((curve, i) => (
            <g key={i} strokeWidth={2 * px} {...stationStyle(index, px)}>
              <path d={pathOf(curve.map(([y, h]) => [side * y, h] as const))} />
              <path d={pathOf(curve.map(([y, h]) => [-side * y, h] as const))} opacity={0.25} />
            </g>
          ))}
          {points.map((point) => {
            const [x, y] = [side * point.out, z(point)];
            const isNext = point === next;
            return (
              <g key={point.line}>
                <circle
                  cx={x}
                  cy={-y}
                  r={(isNext ? 8 : 5) * px}
                  fill={isDone(point) ? palette.primary.main : palette.background.paper}
                  stroke={isNext ? palette.secondary.main : palette.text.primary}
                  strokeWidth={(isNext ? 2.5 : 1.2) * px}
                />
                <text
                  x={x + side * 14 * px}
                  y={-y - 8 * px}
                  fontSize={14 * px}
                  textAnchor={side > 0 ? 'start' : 'end'}
                  fill={palette.text.primary}
                >
                  {point.name}
                </text>
              </g>
            );
          })}
          {next && (
            <g>
              {next.out > 0 && (
                <Dimension
                  from={[Math.min(0, side * next.out), z(next)]}
                  to={[Math.max(0, side * next.out), z(next)]}
                  text={formatWithUnit(next.out, notation)}
                  px={px}
                />
              )}
              <Dimension
                from={[side * next.out, Math.min(datum, z(next))]}
                to={[side * next.out, Math.max(datum, z(next))]}
                text={formatWithUnit(next.up, notation)}
                px={px}
              />
              {next.diagonal !== null && (
                <path
                  d={pathOf([
                    [0, datum],
                    [side * next.out, z(next)],
                  ])}
                  stroke={palette.secondary.main}
                  strokeWidth={px}
                  strokeDasharray={`${4 * px} ${4 * px}`}
                />
              )}
            </g>
          )}
        </g>
      )}
    </DrawingSurface>
  );
}

function NoStation() {
  return (
    <Typography sx={{ flex: 1, p: 3 }}>
      No station yet: points of two lines or more that share a name and an x make one. Give the columns of the table
      names.
    </Typography>
  );
}

/** The list to plot from: out, then up, then the diagonal to check; a tick as each is on the board. */
export function MarkOutList({ hull, part, board, onBoard }: Props) {
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const { index, station, points, isDone, next } = useBoard({ hull, part, board });
  if (!station) return null;
  const left = points.filter((point) => !isDone(point)).length;
  const tick = (point: PlottedPoint, isOn: boolean) => {
    const own = tickOf(station.label, board.half, point);
    const others = (part.plotted ?? []).filter((kept) => kept !== own);
    dispatch(
      edited({
        label: `Station ${station.label}, ${point.name}: ${isOn ? 'marked out' : 'not marked out'}`,
        edits: [{ path: ['lines', 'plotted'], value: isOn ? [...others, own] : others }],
      }),
    );
  };
  const go = (to: number) => onBoard({ ...board, station: (to + hull.stations.length) % hull.stations.length });
  return (
    <Box component="section" aria-label="Mark out" sx={{ display: 'grid', gap: 1.25, my: 1 }}>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <TextField
          select
          label="Station"
          value={index}
          onChange={({ target }) => go(Number(target.value))}
          sx={{ flex: 1 }}
        >
          {hull.stations.map(({ label, x }: Station, i) => (
            <MenuItem key={label} value={i}>
              {label}, {formatWithUnit(x, notation)} from the stem
            </MenuItem>
          ))}
        </TextField>
        <Button variant="outlined" onClick={() => go(index - 1)} aria-label="The station before">
          ‹
        </Button>
        <Button variant="outlined" onClick={() => go(index + 1)} aria-label="The next station">
          ›
        </Button>
      </Box>
      <ToggleButtonGroup
        exclusive
        size="small"
        aria-label="Which half"
        value={board.half}
        onChange={(_event, half: Half | null) => half && onBoard({ ...board, half })}
      >
        <ToggleButton value="starboard">The half</ToggleButton>
        <ToggleButton value="port">Mirrored half</ToggleButton>
      </ToggleButtonGroup>
      <Typography variant="body2" color="text.secondary">
        Out from the centreline, then {part.heightsFrom === null ? 'up from the base line' : 'down from the line above'}
        , then across to check: the diagonal from where the two lines cross. In {unitLabel(notation)}.
      </Typography>
      <PlainTable
        label={`Points of station ${station.label}`}
        columns={[
          { name: 'done' },
          { name: 'line' },
          { name: 'out', isFigure: true },
          { name: part.heightsFrom === null ? 'up' : 'down', isFigure: true },
          { name: 'diagonal', isFigure: true },
        ]}
        rows={points.map((point) => ({
          key: point.line,
          cells: [
            <Checkbox
              key="done"
              size="small"
              checked={isDone(point)}
              onChange={(_event, isOn) => tick(point, isOn)}
              slotProps={{ input: { 'aria-label': `${point.name} marked out` } }}
              sx={{ p: 0.25 }}
            />,
            point.name,
            rounded(point.out, notation),
            rounded(point.up, notation),
            point.diagonal === null ? '' : rounded(point.diagonal, notation),
          ],
        }))}
      />
      <Typography variant="body2" role="status">
        {next
          ? `Next: ${next.name}. ${left} of ${points.length} to go.`
          : 'All on the board. Spring a batten through them before cutting.'}
      </Typography>
    </Box>
  );
}
