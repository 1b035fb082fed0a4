import { useTheme } from '@mui/material/styles';
import { useMemo, type ReactNode } from 'react';
import {
  asSeen,
  bevelLines,
  cutAsSeen,
  netAsSeen,
  faceCurves,
  pinsOnFrame,
  placeInPlane,
  fittedLines,
  type Frame,
} from '@kalotrope/core/frames';
import { pointOnTape } from '@kalotrope/core/lines';
import { formatDeg } from '@kalotrope/core/measure';
import { selectPicked, selectProject } from '../../state/selectors';
import { useTape } from '../../state/bench';
import { useAppSelector } from '../../state/store';
import { Overall } from '../../drawing/Dimension';
import { boxAround, DrawingSurface, pathOf } from '../../drawing/DrawingSurface';
import { COLOURS } from '../../drawing/colours';
import { NetLines } from '../../drawing/NetLines';
import { GrainPattern, PlyShape } from '../../drawing/Ply';

type Props = { readonly frame: Frame; readonly corner: ReactNode };

/** From the edge to what is said of it. */
const LABEL_PX = 30;
const FACE_WORDS = { fore: 'FORE face', aft: 'AFT face' } as const;

/**
 * One frame in true shape, as it is seen from its station face: what is cut, the section of the skin round it, the edge
 * of the station face, bevels.
 */
export function FrameDrawing({ frame, corner }: Props) {
  const { palette } = useTheme();
  const pins = useAppSelector((state) => selectProject(state)?.frames.pins) ?? 0;
  const cut = useMemo(() => cutAsSeen(frame), [frame]);
  const skin = useMemo(() => faceCurves(frame, frame.skin), [frame]);
  const box = useMemo(() => boxAround([...skin.flat(), ...cut.outline]), [skin, cut]);
  const middle = (box.minY + box.maxY) / 2;
  return (
    <DrawingSurface label={frame.name} of={frame.id} bounds={box} corner={corner}>
      {({ px }) => (
        <>
          <GrainPattern px={px} />
          <g fill="none">
            <PlyShape outline={cut.outline} holes={cut.holes} px={px} label={frame.name} />
            <NetLines lines={netAsSeen(frame)} px={px} />
            {skin.map((curve, i) => (
              <path key={i} d={pathOf(curve)} stroke={palette.text.secondary} strokeWidth={1.2 * px} />
            ))}
            {fittedLines(frame).map((line, i) => (
              <path key={i} d={pathOf(line)} stroke={palette.text.secondary} strokeWidth={px} />
            ))}
            {pinsOnFrame(frame, pins).map(([x, y], i) => (
              <circle key={i} cx={x} cy={-y} r={pins / 2} stroke={palette.text.secondary} strokeWidth={px} />
            ))}
            {bevelLines(frame).map((line, i) => (
              <path key={i} d={pathOf(line)} stroke={palette.text.secondary} strokeWidth={0.8 * px} />
            ))}
            {faceCurves(frame).map((curve, i) => (
              <path
                key={i}
                d={pathOf(curve)}
                stroke={palette.primary.main}
                strokeWidth={1.2 * px}
                strokeDasharray={`${6 * px} ${3 * px}`}
              />
            ))}
            <path
              d={`M0 ${-box.minY}V${-box.maxY}`}
              stroke={palette.text.secondary}
              strokeWidth={px}
              strokeDasharray={`${12 * px} ${3 * px} ${2 * px} ${3 * px}`}
            />
            <EdgeBevels frame={frame} px={px} />
            <text
              x={frame.hand === 'across' ? 8 * px : (box.minX + box.maxX) / 2}
              y={-middle - 30 * px}
              fontSize={15 * px}
              fontWeight={600}
              fill={palette.text.primary}
            >
              {FACE_WORDS[frame.face]}
            </text>
            <Overall box={box} px={px} />
            <Bead frame={frame} px={px} />
          </g>
        </>
      )}
    </DrawingSurface>
  );
}

type PartProps = { readonly frame: Frame; readonly px: number };

/** The point nearest to halfway between the ends, by height and breadth. */
function middleOf(points: Frame['edges'][number]['points']) {
  const [a, b] = [points[0], points[points.length - 1]];
  if (!a || !b) return undefined;
  const off = ({ y, z }: typeof a) => Math.hypot(y - (a.y + b.y) / 2, z - (a.z + b.z) / 2);
  return points.reduce((best, point) => (off(point) < off(best) ? point : best));
}

/** Each edge's panel and the bevel in its middle, inside of it. */
function EdgeBevels({ frame, px }: PartProps) {
  const { palette } = useTheme();
  const side = frame.hand === 'port' ? -1 : 1;
  return frame.edges.map((edge) => {
    const p = middleOf(edge.points);
    if (!p) return null;
    const [x, y] = asSeen(frame, [side * p.y, p.z]);
    return (
      <text
        key={edge.panel}
        x={x + (x > 0 ? -LABEL_PX : LABEL_PX) * px}
        y={-y - 8 * px}
        fontSize={13 * px}
        textAnchor={x > 0 ? 'end' : 'start'}
        fill={palette.text.primary}
        // clear of what is cut under it
        stroke={COLOURS[palette.mode].ply}
        strokeWidth={4 * px}
        paintOrder="stroke"
      >
        {edge.panelName} {formatDeg(p.bevelDeg)}
      </text>
    );
  });
}

/** Where the mark on the tape is. */
function Bead({ frame, px }: PartProps) {
  const { palette } = useTheme();
  const tape = useTape();
  const choice = useAppSelector(selectPicked);
  const mark = useAppSelector((state) => state.screen.tapeMm);
  if (choice?.kind !== 'frame' || !tape || mark === null) return null;
  const [, y, z] = placeInPlane(frame, pointOnTape(tape, mark));
  const [u, v] = asSeen(frame, [y, z]);
  return <circle cx={u} cy={-v} r={5.5 * px} fill={palette.secondary.main} />;
}
