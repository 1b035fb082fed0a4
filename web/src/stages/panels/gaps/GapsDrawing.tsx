import { useTheme } from '@mui/material/styles';
import { memo, useMemo } from 'react';
import type { Station } from '@kalotrope/core/lines';
import { formatSmall } from '@kalotrope/core/measure';
import {
  cutLineOf,
  fieldBands,
  gapReader,
  mostOf,
  panelOfThing,
  panelThing,
  stationMarks,
  type Gaps,
  type Panel,
} from '@kalotrope/core/panels';
import { picked } from '../../../state/screen-slice';
import { selectNotation, selectPicked } from '../../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import { bandColour, LIMITS, OVER } from '../../../drawing/bands';
import { boxAround, DrawingSurface, pathOf } from '../../../drawing/DrawingSurface';
import { GrainPattern, PlyShape } from '../../../drawing/Ply';
import { longest, stack, wholeBox } from '../../../drawing/shelves';
import { stationStyle } from '../../../drawing/station-style';
import { OverPattern } from '../FieldPicture';

type Props = {
  readonly panels: readonly Panel[];
  readonly stations: readonly Station[];
  readonly gaps: Gaps | undefined;
  /** The widest gap that is left as it is, mm. */
  readonly widest: number;
  readonly isOld: boolean;
};

/** The flat panels with what is foretold of their edges: pale where they meet well, a nail as large as it matters. */
export function GapsDrawing({ panels, stations, gaps, widest, isOld }: Props) {
  const shelves = useMemo(() => stack(panels, longest(panels) * 0.1), [panels]);
  return (
    <DrawingSurface label="Gaps foretold, on the flat panels" bounds={wholeBox(shelves)}>
      {({ px }) => (
        <g opacity={isOld ? 0.55 : 1}>
          <GrainPattern px={px} />
          <OverPattern px={px} />
          {shelves.map(({ item, dx, dy }) => (
            <g key={item.id} transform={`translate(${dx} ${-dy})`} fill="none">
              <ToldPanel panel={item} stations={stations} gaps={gaps} widest={widest} px={px} />
            </g>
          ))}
        </g>
      )}
    </DrawingSurface>
  );
}

type PanelProps = Pick<Props, 'stations' | 'gaps' | 'widest'> & { readonly panel: Panel; readonly px: number };

/** Radius of a nail on the screen: the least, and of one that alone makes the widest gap foretold by nails. */
const NAIL_PX = [1.6, 5] as const;

const ToldPanel = memo(function ToldPanel({ panel, stations, gaps, widest, px }: PanelProps) {
  const { palette } = useTheme();
  const notation = useAppSelector(selectNotation);
  const choice = useAppSelector(selectPicked);
  const dispatch = useAppDispatch();
  const marks = useMemo(() => stationMarks(panel, stations), [panel, stations]);
  const bands = useMemo(
    () =>
      gaps
        ? fieldBands(panel, gapReader(panel, gaps.edges, widest), { thickness: 0, limits: LIMITS }).map((polygons) =>
            polygons.map((polygon) => pathOf(polygon, true)).join(''),
          )
        : [],
    [panel, gaps, widest],
  );
  const own = gaps?.edges.filter((edge) => edge.panel === panel.id) ?? [];
  const most = Math.max(0, ...(gaps?.edges ?? []).flatMap(({ nails }) => nails.map(({ mm }) => mm)));
  const box = boxAround(panel.outline);
  const worst = gaps?.worst === undefined ? undefined : gaps.seams[gaps.worst];
  const ring = worst?.above === panel.id ? worst : undefined;
  return (
    <>
      <PlyShape
        outline={cutLineOf(panel)}
        px={px}
        isPicked={panelOfThing(choice) === panel.id}
        label={panel.name}
        onPick={() => dispatch(picked(panelThing(panel.id)))}
      />
      <g pointerEvents="none">
        {bands.map((d, i) => {
          const isOver = i === bands.length - 1;
          return (
            d !== '' && (
              <path
                key={i}
                d={d}
                fill={isOver ? 'url(#over)' : bandColour(i)}
                stroke={isOver ? OVER : bandColour(i)}
                strokeWidth={0.6 * px}
              />
            )
          );
        })}
        {marks.map((station) => {
          const index = stations.findIndex((other) => other.label === station.label);
          const end = station.curve[station.curve.length - 1] ?? [0, 0];
          const style = stationStyle(index, px);
          return (
            <g key={station.label}>
              <path d={pathOf(station.curve)} strokeWidth={1.2 * px} {...style} />
              <text x={end[0]} y={-end[1] - 9 * px} fontSize={13 * px} textAnchor="middle" fill={style.stroke}>
                {station.label}
              </text>
            </g>
          );
        })}
        {own.flatMap(({ end, nails }) =>
          nails.map(({ at, mm }, k) => (
            <circle
              key={`${end} ${k}`}
              cx={at[0]}
              cy={-at[1]}
              r={(NAIL_PX[0] + (NAIL_PX[1] - NAIL_PX[0]) * (most > 0 ? mm / most : 0)) * px}
              fill={palette.background.paper}
              stroke={palette.text.primary}
              strokeWidth={1.2 * px}
            >
              <title>{formatSmall(mm, notation)}</title>
            </circle>
          )),
        )}
        <text
          x={(box.minX + box.maxX) / 2}
          y={-(box.minY + box.maxY) / 2}
          fontSize={15 * px}
          fontWeight={600}
          textAnchor="middle"
          fill={palette.text.primary}
          stroke={palette.background.default}
          strokeWidth={3 * px}
          paintOrder="stroke"
        >
          {panel.name}
          {own.length === 0 && gaps && ': meets none that is not made to fit'}
        </text>
        <text
          x={box.minX - 8 * px}
          y={-(box.minY + box.maxY) / 2}
          fontSize={13 * px}
          textAnchor="end"
          fill={palette.text.secondary}
        >
          fore
        </text>
        {ring && (
          <>
            <circle
              cx={ring.worstAt[0]}
              cy={-ring.worstAt[1]}
              r={13 * px}
              stroke={palette.text.primary}
              strokeWidth={2 * px}
            />
            <text
              x={ring.worstAt[0]}
              y={-ring.worstAt[1] + 30 * px}
              fontSize={14 * px}
              fontWeight={600}
              textAnchor={ring.worstAt[0] > (box.minX + box.maxX) / 2 ? 'end' : 'start'}
              fill={palette.text.primary}
              stroke={palette.background.default}
              strokeWidth={3 * px}
              paintOrder="stroke"
            >
              {`worst: within ${formatSmall(mostOf(ring), notation)}`}
            </text>
          </>
        )}
      </g>
    </>
  );
});
