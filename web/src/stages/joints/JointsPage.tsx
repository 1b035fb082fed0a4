import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import Typography from '@mui/material/Typography';
import { countScarfs, type JointedPanel } from '@kalotrope/core/joints';
import { formatFine, formatThickness, formatWithUnit, unitLabel } from '@kalotrope/core/measure';
import { marksOfFrame } from '@kalotrope/core/frames';
import { lineOn, panelOfThing, panelThing, type Panel } from '@kalotrope/core/panels';
import { edited } from '../../state/document-slice';
import { LengthField } from '../../controls/LengthField';
import { NumberField } from '../../controls/NumberField';
import { picked } from '../../state/screen-slice';
import { PlainTable } from '../../controls/PlainTable';
import { selectDerived, selectNotation, selectPicked, selectProject } from '../../state/selectors';
import { Figure } from '../../controls/Figure';
import { Section } from '../../controls/Section';
import { Slip } from '../../controls/Slip';
import { Terms } from '../../controls/Terms';
import { plural } from '../../controls/words';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { Dimension } from '../../drawing/Dimension';
import { InTheRound } from '../../drawing/hull/InTheRound';
import { DrawingSurface, pathOf } from '../../drawing/DrawingSurface';
import { GrainPattern, PlyShape } from '../../drawing/Ply';
import { Strip, type StripMark } from '../../drawing/Strip';
import { longest, stack, wholeBox, type Shelf } from '../../drawing/shelves';

/** Of the space between panels. */
const UNDER_LAST = 0.25;

const HULL = <InTheRound marks="scarfs" />;

export default function JointsPage() {
  const derived = useAppSelector(selectDerived);
  // what is written between the panels is as large on a narrow screen, where all else is small
  const apart = useMediaQuery(useTheme().breakpoints.up('md')) ? 0.13 : 0.26;
  if (!derived) return null;
  const { panels } = derived.panels.value;
  const space = longest(panels) * apart;
  const shelves = stack(panels, space);
  const whole = wholeBox(shelves);
  // the last panel's dimension is below it as the others' are
  const bounds = { ...whole, minY: whole.minY - space * UNDER_LAST };
  return (
    <>
      <Box sx={{ flex: { md: 1 }, minWidth: 0, minHeight: { md: 0 }, display: 'flex', flexDirection: 'column' }}>
        <JointsStrip panels={panels} jointed={derived.joints.value} />
        <DrawingSurface label="Panels with their joints" bounds={bounds} corner={HULL}>
          {({ px }) => (
            <>
              <GrainPattern px={px} />
              {shelves.map((shelf) => {
                const jointed = derived.joints.value.find((other) => other.panel === shelf.item.id);
                return jointed && <PanelWithJoints key={shelf.item.id} shelf={shelf} jointed={jointed} px={px} />;
              })}
            </>
          )}
        </DrawingSurface>
      </Box>
      <Slip stage="joints" title="Scarfs" numbers={<JointSettings />}>
        <JointTable jointed={derived.joints.value} />
      </Slip>
    </>
  );
}

function PanelWithJoints({
  shelf,
  jointed,
  px,
}: {
  readonly shelf: Shelf<Panel>;
  readonly jointed: JointedPanel;
  readonly px: number;
}) {
  const { palette } = useTheme();
  const notation = useAppSelector(selectNotation);
  const derived = useAppSelector(selectDerived);
  const choice = useAppSelector(selectPicked);
  const dispatch = useAppDispatch();
  const { item: panel, box, dx, dy } = shelf;
  const [low, high] = [box.minY - dy, box.maxY - dy];
  const { frames = [], planked } = derived?.frames.value ?? {};
  const seams = planked?.panel === panel.id ? planked.seams : [];
  return (
    <g transform={`translate(${dx} ${-dy})`} fill="none">
      <PlyShape
        outline={panel.outline}
        px={px}
        label={panel.name}
        isPicked={panelOfThing(choice) === panel.id}
        onPick={() => dispatch(picked(panelThing(panel.id)))}
      />
      {seams.map(({ ends }, i) => (
        <path key={i} d={pathOf(ends)} stroke={palette.text.primary} strokeWidth={1.4 * px} />
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
              y={-low + 16 * px}
              fontSize={13 * px}
              textAnchor="middle"
              fill={palette.text.secondary}
            >
              {mark.label}
            </text>
          </g>
        ))}
      {jointed.joints.map(({ u, scarf, low: v0, high: v1 }) => (
        <g key={u}>
          <rect x={u - scarf / 2} width={scarf} y={-v1} height={v1 - v0} fill={palette.primary.main} opacity={0.35} />
          <path
            d={
              pathOf([
                [u - scarf / 2, v0],
                [u - scarf / 2, v1],
              ]) +
              pathOf([
                [u + scarf / 2, v0],
                [u + scarf / 2, v1],
              ])
            }
            stroke={palette.primary.main}
            strokeWidth={1.4 * px}
          />
          <text
            x={u}
            y={-high - 8 * px}
            fontSize={13 * px}
            fontWeight={600}
            textAnchor="middle"
            fill={palette.primary.main}
          >
            scarf {formatWithUnit(scarf, notation)}
          </text>
        </g>
      ))}
      <text x={box.minX - dx} y={-high - 8 * px} fontSize={14 * px} fontWeight={600} fill={palette.text.primary}>
        {panel.name}
        {seams.length > 0 && `, laid across in ${plural(seams.length + 1, 'board')}`}
      </text>
      {[0, ...jointed.joints.map((joint) => joint.u), jointed.length].slice(1).map((to, i, all) => (
        <Dimension
          key={to}
          from={[i === 0 ? 0 : (all[i - 1] ?? 0), low - 46 * px]}
          to={[to, low - 46 * px]}
          text={formatWithUnit(to - (i === 0 ? 0 : (all[i - 1] ?? 0)), notation)}
          px={px}
        />
      ))}
    </g>
  );
}

/** The scarfs as they will be seen from the side. */
function JointsStrip({ panels, jointed }: JointsStripProps) {
  const choice = useAppSelector(selectPicked);
  const dispatch = useAppDispatch();
  const marks = jointed.flatMap(({ panel: id, name, joints }) =>
    joints.flatMap(({ u, low, high }): StripMark[] => {
      const panel = panels.find((other) => other.id === id);
      const curve = panel ? lineOn(panel, [u, low], [u, high], STRIP_POINTS) : [];
      const first = curve[0];
      if (!first) return [];
      return [
        {
          key: `${id} ${u}`,
          name,
          x: curve.reduce((sum, [x]) => sum + x, 0) / curve.length,
          curves: [curve.map(([x, , z]) => [x, z] as const)],
          isPicked: panelOfThing(choice) === id,
          onPick: () => dispatch(picked(panelThing(id))),
        },
      ];
    }),
  );
  return marks.length > 0 ? <Strip label="Scarfs along the boat" marks={marks} /> : null;
}

type JointsStripProps = { readonly panels: readonly Panel[]; readonly jointed: readonly JointedPanel[] };
/** Of a scarf, as it lies on a bent panel. */
const STRIP_POINTS = 12;

function JointSettings() {
  const project = useAppSelector(selectProject);
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  if (!project) return null;
  const { scarfRatio, clearOfFrames, stagger } = project.joints;
  const set = (key: 'scarfRatio' | 'clearOfFrames' | 'stagger', label: string) => (value: number) =>
    dispatch(edited({ label, edits: [{ path: ['joints', key], value }] }));
  return (
    <Box sx={{ display: 'grid', gap: 1.25, mt: 1.5 }}>
      <NumberField
        label="Scarf, times the thickness"
        value={scarfRatio}
        onCommit={set('scarfRatio', 'Scarf ratio')}
        path={['joints', 'scarfRatio']}
      />
      <LengthField
        label="Clear of frames"
        mm={clearOfFrames}
        onCommit={set('clearOfFrames', 'Clear of frames')}
        path={['joints', 'clearOfFrames']}
      />
      <LengthField
        label="Stagger between panels"
        mm={stagger}
        onCommit={set('stagger', 'Stagger')}
        path={['joints', 'stagger']}
      />
      <Figure
        name="Length of a scarf"
        value={formatWithUnit(scarfRatio * project.panels.thickness, notation)}
        why={`${scarfRatio} × ${formatThickness(project.panels.thickness, notation)}`}
      />
    </Box>
  );
}

const COLUMNS = [{ name: 'panel' }, { name: 'pieces', isFigure: true }, { name: 'joint at', isFigure: true }];

function JointTable({ jointed }: { readonly jointed: readonly JointedPanel[] }) {
  const notation = useAppSelector(selectNotation);
  const count = countScarfs(jointed);
  return (
    <Section title="Joints" aside={plural(count, 'scarf')}>
      <Typography variant="body2" color="text.secondary">
        <Terms text={`From the forward end to the middle of the scarf, in ${unitLabel(notation)}.`} />
      </Typography>
      <PlainTable
        label="Joints"
        columns={COLUMNS}
        rows={jointed.map((panel) => ({
          key: panel.panel,
          cells: [
            `${panel.name}${panel.spansCentreline ? '' : ', both hands'}`,
            panel.pieces.length,
            panel.joints.map(({ u }) => formatFine(u, notation)).join(', ') || 'none',
          ],
        }))}
      />
    </Section>
  );
}
