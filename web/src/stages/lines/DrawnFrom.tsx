/** The few dimensions that a boat was drawn from, to be changed; once the table was edited by hand, if one says so. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { memo, useMemo, useState } from 'react';
import { STARTER_NAMES, type Dimensions, type Starter, type StarterProblem } from '@kalotrope/core/lines';
import { isAsDrawn, redrawn, type Project } from '@kalotrope/core/project';
import { DimensionFields } from '../../controls/DimensionFields';
import { Section } from '../../controls/Section';
import { edited } from '../../state/document-slice';
import { selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

export const DrawnFrom = memo(function DrawnFrom() {
  const starter = useAppSelector((state) => selectProject(state)?.lines.starter);
  return starter ? (
    <Section title="Drawn from" aside={STARTER_NAMES[starter.kind].toLowerCase()}>
      <Redraw starter={starter} />
    </Section>
  ) : null;
});

/** What was tried last and does not work; the boat stays as it is. */
type Tried = { readonly size: Dimensions; readonly problems: readonly StarterProblem[] };

function Redraw({ starter }: { readonly starter: Starter }) {
  const project = useAppSelector(selectProject);
  const dispatch = useAppDispatch();
  const isAsItWas = useMemo(() => project !== null && isAsDrawn(project), [project]);
  const [tried, setTried] = useState<Tried | null>(null);
  const [agreed, setAgreed] = useState<Project['lines'] | null>(null);
  if (!project) return null;
  const change = (size: Dimensions) => {
    const answer = redrawn(project, { kind: starter.kind, dimensions: size });
    setTried(answer.ok ? null : { size, problems: answer.problems });
    if (answer.ok) dispatch(edited({ label: 'Drawn from other dimensions', edits: [...answer.edits] }));
  };
  if (!isAsItWas && agreed !== project.lines)
    return (
      <>
        <p className="quiet">
          The table has been changed by hand since. To change a dimension draws it anew: what was changed by hand goes,
          and Ctrl+Z brings it back.
        </p>
        <Button variant="outlined" onClick={() => setAgreed(project.lines)}>
          Change a dimension all the same
        </Button>
      </>
    );
  return (
    <Box sx={{ display: 'grid', gap: 1.25, pt: 0.75, '& .MuiTextField-root': { width: '100%' } }}>
      <DimensionFields
        kind={starter.kind}
        size={tried?.size ?? starter.dimensions}
        table={project.lines.longitudinals}
        problems={tried?.problems ?? []}
        onChange={change}
      />
    </Box>
  );
}
