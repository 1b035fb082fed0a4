import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { countJoints, KIND_WORDS, oneMoreJoint, type JointedPanel } from '@kalotrope/core/joints';
import { formatFine, unitLabel } from '@kalotrope/core/measure';
import { edited } from '../../state/document-slice';
import { PlainTable } from '../../controls/PlainTable';
import { selectNotation, selectProject } from '../../state/selectors';
import { Section } from '../../controls/Section';
import { Terms } from '../../controls/Terms';
import { plural } from '../../controls/words';
import { useAppDispatch, useAppSelector } from '../../state/store';

const COLUMNS = [
  { name: 'panel' },
  { name: 'pieces', isFigure: true },
  { name: 'joint' },
  { name: 'at', isFigure: true },
  { name: 'lost', isFigure: true },
];

/** The most that a project takes. */
const MOST = 200;

export function JointTable({ jointed }: { readonly jointed: readonly JointedPanel[] }) {
  const notation = useAppSelector(selectNotation);
  const part = useAppSelector((state) => selectProject(state)?.joints);
  const dispatch = useAppDispatch();
  if (!part) return null;
  const add = (panel: JointedPanel) => {
    const value = oneMoreJoint(part.own, panel, panel.layer ? 'butt' : part.kind);
    dispatch(edited({ label: `${panel.name}: one joint more`, edits: [{ path: ['joints', 'own'], value }] }));
  };
  const rows = jointed.flatMap((panel) => {
    const first = [panel.name, panel.pieces.length];
    if (panel.joints.length === 0) return [{ key: panel.panel, cells: [...first, 'none', '', ''] }];
    return panel.joints.map(({ kind, u, lap }, k) => ({
      key: `${panel.panel} ${k}`,
      cells: [...(k === 0 ? first : ['', '']), KIND_WORDS[kind], formatFine(u, notation), formatFine(lap, notation)],
    }));
  });
  return (
    <Section title="Joints, panel by panel" aside={plural(countJoints(jointed), 'joint')}>
      <Typography variant="body2" color="text.secondary">
        <Terms text={`On each hand; from the forward end to the middle of the joint, in ${unitLabel(notation)}.`} />
      </Typography>
      <PlainTable label="Joints" columns={COLUMNS} rows={rows} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, mt: 0.5 }}>
        {jointed.map((panel) => (
          <Button
            key={panel.panel}
            size="small"
            title="In the middle of its longest piece"
            onClick={() => add(panel)}
            disabled={part.own.length >= MOST}
          >
            One more in {panel.name}
          </Button>
        ))}
      </Box>
    </Section>
  );
}
