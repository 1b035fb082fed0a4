/** A file has another plan of the boat that is open: it is compared before anything is taken. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { newerPlan, type Project } from '@kalotrope/core/project';
import { edited } from '../state/document-slice';
import { said } from '../state/screen-slice';
import { useAppDispatch } from '../state/store';
import { keepRevision } from '../storage/revisions';
import { RevisionChangesView } from './RevisionChangesView';

type Props = {
  readonly file: string;
  readonly came: Project;
  readonly present: Project;
  /** Taken as a boat of its own. */
  readonly onOpenOther: () => void;
  readonly onClose: () => void;
};

export default function NewerPlanDialog({ file, came, present, onOpenOther, onClose }: Props) {
  const dispatch = useAppDispatch();
  const take = async () => {
    const told = { name: `Revision ${present.revision}, before a newer plan`, note: file, keptAt: Date.now() };
    try {
      await keepRevision(present, told);
    } catch {
      dispatch(said('This browser did not keep the present plan: take the project out as a file first.'));
      return;
    }
    dispatch(edited({ label: `The plan of ${file}`, edits: newerPlan(came, present), isExact: true }));
    dispatch(said(`Taken as revision ${present.revision + 1}; the plan that was there before is kept`));
    onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="newer-title">
      <DialogTitle id="newer-title">Another plan of {present.name}</DialogTitle>
      <DialogContent tabIndex={0} role="region" aria-label="What would change">
        <Typography sx={{ mb: 1 }}>
          {file} has a boat of the name of the one that is open. What would change, from the open one to the file’s;
          your readings, hours, jobs that are done and log stay, and a log in the file stays in the file.
        </Typography>
        <RevisionChangesView was={present} now={came} />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button onClick={onOpenOther}>Open it as another boat</Button>
        <Button variant="contained" onClick={() => void take()}>
          Take it as revision {present.revision + 1}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
