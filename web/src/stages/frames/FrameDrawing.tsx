import { useTheme } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { cutOutline, type Frame } from '@kalotrope/core/frames';
import { pointOnTape } from '@kalotrope/core/lines';
import { formatDeg, formatWithUnit } from '@kalotrope/core/measure';
import { selectNotation, selectPicked } from '../../state/selectors';
import { useTape } from '../../state/bench';
import { useAppSelector } from '../../state/store';
import { Dimension } from '../../drawing/Dimension';
import { boxAround, DrawingSurface, pathOf } from '../../drawing/DrawingSurface';
import { GrainPattern, PlyShape } from '../../drawing/Ply';

type Props = {
  readonly frame: Frame;
  readonly school: 'filleted' | 'framed';
  readonly gap: number;
  readonly corner: ReactNode;
};

const bothHalves = (half: readonly (readonly [number, number])[]) => [
  ...[...half].reverse().map(([y, z]) => [-y, z] as const),
  ...half,
];

/** One frame in true shape, seen from its station face: the blank to cut, the section of the skin round it, bevels. */
export function FrameDrawing({ frame, school, gap, corner }: Props) {
  const { palette } = useTheme();
  const notation = useAppSelector(selectNotation);
  const tape = useTape();
  const choice = useAppSelector(selectPicked);
  const mark = useAppSelector((state) => state.screen.tapeMm);
  const skin = bothHalves(frame.skin);
  const box = boxAround(skin);
  const bead = choice?.kind === 'frame' && tape && mark !== null ? pointOnTape(tape, mark) : null;
  return (
    <DrawingSurface label={frame.name} of={frame.id} bounds={box} corner={corner}>
      {({ px }) => (
        <>
          <GrainPattern px={px} />
          <g fill="none">
            <PlyShape outline={cutOutline(frame, school, gap)} px={px} label={frame.name} />
            <path d={pathOf(skin)} stroke={palette.text.secondary} strokeWidth={1.2 * px} />
            <path
              d={pathOf(bothHalves(frame.outline))}
              stroke={palette.primary.main}
              strokeWidth={1.2 * px}
              strokeDasharray={`${6 * px} ${3 * px}`}
            />
            <path
              d={pathOf([
                [0, box.minY],
                [0, box.maxY],
              ])}
              stroke={palette.text.secondary}
              strokeWidth={px}
              strokeDasharray={`${12 * px} ${3 * px} ${2 * px} ${3 * px}`}
            />
            {frame.edges.map((edge) => {
              const p = edge.points[Math.floor(edge.points.length / 2)];
              return (
                p && (
                  <text
                    key={edge.panel}
                    x={p.y - 12 * px}
                    y={-p.z - 8 * px}
                    fontSize={13 * px}
                    textAnchor="end"
                    fill={palette.text.primary}
                  >
                    {edge.panelName} {formatDeg(p.bevelDeg)}
                  </text>
                )
              );
            })}
            <text
              x={8 * px}
              y={-(box.minY + box.maxY) / 2 - 30 * px}
              fontSize={15 * px}
              fontWeight={600}
              fill={palette.text.primary}
            >
              {frame.face === 'fore' ? 'FORE face' : 'AFT face'}
            </text>
            <Dimension
              from={[box.minX, box.minY - 16 * px]}
              to={[box.maxX, box.minY - 16 * px]}
              text={formatWithUnit(box.maxX - box.minX, notation)}
              px={px}
            />
            <Dimension
              from={[box.minX - 16 * px, box.minY]}
              to={[box.minX - 16 * px, box.maxY]}
              text={formatWithUnit(box.maxY - box.minY, notation)}
              px={px}
            />
            {bead && <circle cx={bead[1]} cy={-bead[2]} r={5.5 * px} fill={palette.secondary.main} />}
          </g>
        </>
      )}
    </DrawingSurface>
  );
}
