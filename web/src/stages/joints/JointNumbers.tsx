/** The picked joint's numbers: where it is, of which kind, what it takes, what is near it. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import {
  changedJoint,
  idOfChanged,
  jointThing,
  withoutJoint,
  type Joint,
  type JointKind,
  type JointedPanel,
  type OwnJoint,
} from '@kalotrope/core/joints';
import { formatWithUnit } from '@kalotrope/core/measure';
import { edited } from '../../state/document-slice';
import { picked } from '../../state/screen-slice';
import { selectNotation, selectProject } from '../../state/selectors';
import { Figure } from '../../controls/Figure';
import { LengthField } from '../../controls/LengthField';
import { SelectField } from '../../controls/SelectField';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { LAYER_KIND_NAMES, SHEET_KIND_NAMES } from './kind-names';

type Props = { readonly panel: JointedPanel; readonly joint: Joint };

export function JointNumbers({ panel, joint }: Props) {
  const project = useAppSelector(selectProject);
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  if (!project) return null;
  const { own } = project.joints;
  const put = (label: string, value: readonly OwnJoint[]) => {
    dispatch(edited({ label, edits: [{ path: ['joints', 'own'], value: [...value] }] }));
    // still the same one, though there may be more joints now
    dispatch(picked(jointThing(panel.panel, idOfChanged(joint, panel.panel, value))));
  };
  const { frame, mate } = joint.around;
  const shown = (mm: number) => formatWithUnit(mm, notation);
  const id = joint.own;
  const choose = (kind: JointKind) => put(`${panel.name}: kind of joint`, changedJoint(own, panel, joint, { kind }));
  return (
    <Box sx={{ display: 'grid', gap: 1.25, mt: 1.5 }}>
      <LengthField
        label="From the fore end"
        mm={joint.u}
        onCommit={(at) => put(`${panel.name}: joint moved`, changedJoint(own, panel, joint, { at }))}
      />
      {panel.layer || joint.kind === 'butt' ? (
        <SelectField label="This joint" value={joint.kind} names={LAYER_KIND_NAMES} onChange={choose} />
      ) : (
        <SelectField label="This joint" value={joint.kind} names={SHEET_KIND_NAMES} onChange={choose} />
      )}
      <Figure name="Length lost" value={shown(joint.lap)} why="So far the two pieces lie over each other" />
      <Figure name="Depth of the panel there" value={shown(joint.depth)} />
      {frame && <Figure name={`Clear of ${frame.name}`} value={shown(frame.clearMm)} />}
      {mate && <Figure name={`From the joint of ${mate.name}`} value={shown(mate.mm)} />}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {id !== undefined && (
          <Button
            variant="outlined"
            onClick={() => {
              const edits = [{ path: ['joints', 'own'], value: withoutJoint(own, id) }];
              dispatch(edited({ label: `${panel.name}: joint let go`, edits }));
              dispatch(picked(jointThing(panel.panel, '1')));
            }}
          >
            Let the program place it
          </Button>
        )}
        <Button onClick={() => dispatch(picked(null))}>Settings of all joints</Button>
      </Box>
    </Box>
  );
}
