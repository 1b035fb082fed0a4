/** Every panel flat with its joints, which can be drawn along it, and under it the sheets that make it. */
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import type { JointedPanel } from '@kalotrope/core/joints';
import { boundsOf } from '@kalotrope/core/geometry';
import { formatWithUnit } from '@kalotrope/core/measure';
import { marksOfFrame } from '@kalotrope/core/frames';
import { cutLineOf, panelOfThing, panelThing, type Panel } from '@kalotrope/core/panels';
import { picked } from '../../state/screen-slice';
import { selectDerived, selectNotation, selectPicked } from '../../state/selectors';
import { plural } from '../../controls/words';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { Dimension } from '../../drawing/Dimension';
import { InTheRound } from '../../drawing/hull/InTheRound';
import { DrawingSurface, pathOf } from '../../drawing/DrawingSurface';
import { NetLines } from '../../drawing/NetLines';
import { GrainPattern, PlyShape } from '../../drawing/Ply';
import { longest, stack, wholeBox, type Shelf } from '../../drawing/shelves';
import { JointMark } from './JointMark';
import { SheetsUnder } from './SheetsUnder';

/** So many panels have room under one another; more stand so high each, and the page scrolls. */
const FEW = 3;
const EACH_PX = 165;

/** Of the space between panels. */
const UNDER_LAST = 0.62;

const HULL = <InTheRound marks="laps" />;

type Props = { readonly panels: readonly Panel[]; readonly jointed: readonly JointedPanel[] };

export function JointsDrawing({ panels, jointed }: Props) {
  // what is written between the panels is as large on a narrow screen, where all else is small; no room for the hull
  const isWide = useMediaQuery(useTheme().breakpoints.up('md'));
  const isMany = panels.length > FEW;
  const apart = isWide ? 0.26 : isMany ? 0.44 : 0.36;
  const space = longest(panels) * apart;
  const shelves = stack(panels, space);
  const whole = wholeBox(shelves);
  // the last panel's dimension and sheets are below it as the others' are
  const bounds = { ...whole, minY: whole.minY - space * UNDER_LAST };
  return (
    <DrawingSurface
      label="Panels with their joints"
      bounds={bounds}
      corner={isWide ? HULL : undefined}
      tall={isMany ? EACH_PX * panels.length : undefined}
      hasHandles
    >
      {({ px }) => (
        <>
          <GrainPattern px={px} />
          {shelves.map((shelf) => {
            const own = jointed.find((other) => other.panel === shelf.item.id);
            return own && <PanelWithJoints key={shelf.item.id} shelf={shelf} jointed={own} px={px} />;
          })}
        </>
      )}
    </DrawingSurface>
  );
}

type PanelProps = { readonly shelf: Shelf<Panel>; readonly jointed: JointedPanel; readonly px: number };

function PanelWithJoints({ shelf, jointed, px }: PanelProps) {
  const { palette } = useTheme();
  const notation = useAppSelector(selectNotation);
  const derived = useAppSelector(selectDerived);
  const choice = useAppSelector(selectPicked);
  const dispatch = useAppDispatch();
  const { item: panel, box, dx, dy } = shelf;
  const [low, high] = [box.minY - dy, box.maxY - dy];
  const { frames = [], planked } = derived?.frames.value ?? {};
  const seams = planked?.panel === panel.id ? planked.seams : [];
  const ends = [jointed.from, ...jointed.joints.map((joint) => joint.u), jointed.from + jointed.length];
  return (
    <g transform={`translate(${dx} ${-dy})`} fill="none">
      <PlyShape
        outline={cutLineOf(panel)}
        px={px}
        label={panel.name}
        isPicked={panelOfThing(choice) === panel.id}
        onPick={() => dispatch(picked(panelThing(panel.id)))}
      />
      {panel.proud && <NetLines lines={panel.proud.net} px={px} />}
      {seams.map(({ ends: seam }, i) => (
        <path key={i} d={pathOf(seam)} stroke={palette.text.primary} strokeWidth={1.4 * px} />
      ))}
      {frames
        .filter(({ isUnderSeam }) => !isUnderSeam)
        .flatMap((frame) => marksOfFrame(panel, frame).slice(0, 1))
        .map((mark) => (
          <g key={mark.label}>
            <path
              d={pathOf(mark.curve)}
              stroke={palette.text.secondary}
              strokeWidth={px}
              strokeDasharray={`${5 * px} ${3 * px}`}
            />
            <text
              x={mark.curve[0]?.[0]}
              y={-low + 14 * px}
              fontSize={13 * px}
              textAnchor="middle"
              fill={palette.text.secondary}
            >
              {mark.label}
            </text>
          </g>
        ))}
      {jointed.straps.map(({ id, outline }) => (
        <path
          key={id}
          d={`${pathOf(outline)}Z`}
          stroke={palette.primary.main}
          strokeDasharray={`${6 * px} ${3 * px}`}
        />
      ))}
      {jointed.joints.map((joint, k) => (
        <JointMark key={k} panel={jointed} joint={joint} number={k + 1} high={high} px={px} />
      ))}
      <text x={box.minX - dx} y={-high - 21 * px} fontSize={14 * px} fontWeight={600} fill={palette.text.primary}>
        {panel.name}
        {seams.length > 0 && `, laid across in ${plural(seams.length + 1, 'board')}`}
      </text>
      {ends.slice(1).map((to, i) => (
        <Dimension
          key={i}
          from={[ends[i] ?? 0, low - 36 * px]}
          to={[to, low - 36 * px]}
          text={formatWithUnit(to - (ends[i] ?? 0), notation)}
          px={px}
        />
      ))}
      {seams.length === 0 && <SheetsUnder pieces={jointed.pieces.map(spanOf)} of={panel} top={low - 43 * px} px={px} />}
    </g>
  );
}

const spanOf = ({ id, outline }: JointedPanel['pieces'][number]) => {
  const { minX, maxX } = boundsOf(outline);
  return { id, from: minX, to: maxX };
};
