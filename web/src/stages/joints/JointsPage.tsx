import Box from '@mui/material/Box';
import { jointOfThing, jointThing, KIND_WORDS, type JointedPanel } from '@kalotrope/core/joints';
import { lineOn, type Panel } from '@kalotrope/core/panels';
import { likePanel, panelsToCut } from '@kalotrope/core/setup';
import { picked } from '../../state/screen-slice';
import { selectDerived, selectPicked } from '../../state/selectors';
import { MadeSoFar } from '../../controls/MadeSoFar';
import { Slip } from '../../controls/Slip';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { Strip, type StripMark } from '../../drawing/Strip';
import { FewerSheets } from './FewerSheets';
import { JointNumbers } from './JointNumbers';
import { JointsDrawing } from './JointsDrawing';
import { JointSettings } from './JointSettings';
import { JointTable } from './JointTable';

export default function JointsPage() {
  const derived = useAppSelector(selectDerived);
  const choice = jointOfThing(useAppSelector(selectPicked));
  if (!derived) return null;
  const panels = panelsToCut({ panels: derived.panels.value, setup: derived.setup.value });
  const jointed = derived.joints.value;
  // of hands that are unlike, which are joined in the same places, one is drawn
  const drawn = panels.filter((panel) => likePanel(panel) === panel.id);
  const own = jointed.find(({ panel }) => panel === choice?.panel);
  const place = own?.joints.findIndex(({ key }) => key === choice?.key) ?? -1;
  const joint = own?.joints[place];
  return (
    <>
      <Box
        sx={{
          ...{ flex: { md: 1 }, minWidth: 0, minHeight: { md: 0 }, display: 'flex', flexDirection: 'column' },
          overflow: { md: 'auto' },
        }}
      >
        <JointsStrip panels={drawn} jointed={jointed} />
        <JointsDrawing panels={drawn} jointed={jointed} />
      </Box>
      <Slip
        stage="joints"
        title={own && joint ? `${own.name}, joint ${place + 1}` : 'Joints'}
        numbers={own && joint ? <JointNumbers panel={own} joint={joint} /> : <JointSettings />}
      >
        {own && <MadeSoFar of={[own.joinedAs]} />}
        <FewerSheets />
        <JointTable jointed={jointed} />
      </Slip>
    </>
  );
}

type JointsStripProps = { readonly panels: readonly Panel[]; readonly jointed: readonly JointedPanel[] };
/** Of a joint, as it lies on a bent panel. */
const STRIP_POINTS = 12;

/** The joints as they will be seen from the side. */
function JointsStrip({ panels, jointed }: JointsStripProps) {
  const choice = jointOfThing(useAppSelector(selectPicked));
  const dispatch = useAppDispatch();
  const marks = jointed.flatMap(({ panel: id, name, joints }) =>
    joints.flatMap(({ u, low, high, kind, key }, k): StripMark[] => {
      const panel = panels.find((other) => other.id === id);
      const curve = panel ? lineOn(panel, [u, low], [u, high], STRIP_POINTS) : [];
      if (curve.length === 0) return [];
      return [
        {
          key: `${id} ${k}`,
          name: `${name}${joints.length > 1 ? `, joint ${k + 1}` : ''}: ${KIND_WORDS[kind]}`,
          x: curve.reduce((sum, [x]) => sum + x, 0) / curve.length,
          curves: [curve.map(([x, , z]) => [x, z] as const)],
          isPicked: choice?.panel === id && choice.key === key,
          onPick: () => dispatch(picked(jointThing(id, key))),
        },
      ];
    }),
  );
  return marks.length > 0 ? <Strip label="Joints along the boat" marks={marks} /> : null;
}
