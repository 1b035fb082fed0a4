import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { saveProjectFile } from '../files/save-project';
import { opened, refusalSeen } from '../state/document-slice';
import { useAppDispatch, useAppSelector } from '../state/store';

/** What the builder must know about the document itself: edited elsewhere, not saved, an edit refused. */
export function Notices() {
  const { saveState, notSaved, refused, project } = useAppSelector((state) => state.document);
  const failed = useAppSelector((state) => state.derived.failed);
  const dispatch = useAppDispatch();
  if (saveState === 'elsewhere')
    return (
      <Alert
        severity="warning"
        variant="outlined"
        action={<Button onClick={() => window.location.reload()}>Load the newer one</Button>}
      >
        This project was changed in another window. Nothing here overwrites that; export the project to keep what you
        see.
      </Alert>
    );
  if (saveState === 'deleted')
    return (
      <Alert
        severity="warning"
        variant="outlined"
        action={project && <Button onClick={() => dispatch(opened({ project, saves: null }))}>Keep it</Button>}
      >
        This project was deleted in another window. What you see is still here: keep it, or put it back from the list of
        projects.
      </Alert>
    );
  if (saveState === 'failed')
    return (
      <Alert
        severity="error"
        variant="outlined"
        action={project && <Button onClick={() => void saveProjectFile(project)}>Save the file</Button>}
      >
        Not saved: this browser refused to store it{notSaved === null ? '' : ` (${notSaved})`}. It is kept in this
        window and tried again; save the project’s file to be sure of it.
      </Alert>
    );
  if (refused)
    return (
      <Alert severity="error" variant="outlined" onClose={() => dispatch(refusalSeen())}>
        Not taken: {refused}.
      </Alert>
    );
  if (failed)
    return (
      <Alert severity="error" variant="outlined">
        The last change could not be worked out: {failed}. Undo it, or correct the numbers.
      </Alert>
    );
  return null;
}
