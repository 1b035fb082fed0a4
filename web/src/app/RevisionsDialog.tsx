/** Revisions of the boat: kept under a name, compared with the boat as it is now, and gone back to as a new one. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useMemo, useState } from 'react';
import { backTo, type Project } from '@kalotrope/core/project';
import { edited } from '../state/document-slice';
import { said } from '../state/screen-slice';
import { selectProject } from '../state/selectors';
import { useAppDispatch, useAppSelector } from '../state/store';
import { dayOf } from '../storage/day';
import { docOf, keepRevision, revisionsOf, type KeptRevision } from '../storage/revisions';
import { RevisionChangesView } from './RevisionChangesView';

type Props = { readonly onClose: () => void };

const MOST_NAME = 60;
const MOST_NOTE = 2000;

export default function RevisionsDialog({ onClose }: Props) {
  const project = useAppSelector(selectProject);
  return project && <OpenRevisions project={project} onClose={onClose} />;
}

function OpenRevisions({ project, onClose }: Props & { readonly project: Project }) {
  const dispatch = useAppDispatch();
  const { kept, keep } = useKept(project);
  const [chosen, setChosen] = useState<KeptRevision | null>(null);
  // the same boat as long as the same one is chosen: it is compared anew only with another
  const old = useMemo(() => chosen && docOf(chosen), [chosen]);
  const goBack = async () => {
    if (!chosen || !old) return;
    // nothing is lost: the boat as it is now is kept first
    if (!(await keep(project, `Revision ${project.revision}, before going back`, ''))) return;
    const label = `Back to ${chosen.name}`;
    dispatch(edited({ label, edits: backTo(old, project), isExact: true }));
    dispatch(said(`${label}, as revision ${project.revision + 1}; what was there before is kept`));
    onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="revisions-title">
      <DialogTitle id="revisions-title">Revisions</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2, gridTemplateColumns: { xs: '1fr', md: '260px 1fr' } }}>
        <Box>
          <KeepIt project={project} onKeep={keep} />
          <Box component="ol" aria-label="Revisions kept" sx={{ listStyle: 'none', p: 0, m: 0, mt: 2 }}>
            {kept.map((one) => (
              <li key={one.key}>
                <button
                  type="button"
                  className="plan-entry"
                  aria-pressed={one.key === chosen?.key}
                  onClick={() => setChosen(one)}
                >
                  <span className="log-said">
                    {one.name}
                    <span className="quiet"> {dayOf(one.keptAt)}</span>
                  </span>
                </button>
              </li>
            ))}
          </Box>
        </Box>
        <Box sx={{ minWidth: 0 }}>
          {!chosen && (
            <Typography color="text.secondary">
              {kept.length === 0
                ? 'None is kept yet. One is kept by itself when the next is begun.'
                : 'Choose one: what changed from it to the boat as it is now.'}
            </Typography>
          )}
          {chosen && !old && <Typography role="alert">This one cannot be read any more.</Typography>}
          {chosen && chosen.note !== '' && <Typography sx={{ mb: 1 }}>{chosen.note}</Typography>}
          {chosen && old && <RevisionChangesView key={chosen.key} was={old} now={project} />}
        </Box>
      </DialogContent>
      <DialogActions>
        {old && <Button onClick={() => void goBack()}>Go back to it, as a new one</Button>}
        <Button variant="contained" onClick={onClose}>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}

type Keep = (doc: Project, name: string, note: string) => Promise<boolean>;

function KeepIt({ project, onKeep }: { readonly project: Project; readonly onKeep: Keep }) {
  const [name, setName] = useState('');
  const [note, setNote] = useState('');
  const act = async () => {
    if (!(await onKeep(project, name.trim() || `Revision ${project.revision}`, note.trim()))) return;
    setName('');
    setNote('');
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.25, pt: 1 }} role="group" aria-label="Keep it">
      <TextField
        label="Name"
        placeholder={`Revision ${project.revision}`}
        value={name}
        onChange={({ target }) => setName(target.value)}
        slotProps={{ htmlInput: { maxLength: MOST_NAME } }}
      />
      <TextField
        label="What it is about"
        multiline
        minRows={2}
        maxRows={6}
        value={note}
        onChange={({ target }) => setNote(target.value)}
        slotProps={{ htmlInput: { maxLength: MOST_NOTE } }}
      />
      <Button variant="outlined" onClick={() => void act()}>
        Keep it as it is now
      </Button>
    </Box>
  );
}

function useKept(project: Project) {
  const dispatch = useAppDispatch();
  const [kept, setKept] = useState<readonly KeptRevision[]>([]);
  useEffect(() => {
    let isGone = false;
    revisionsOf(project.id).then(
      (found) => !isGone && setKept(found),
      () => undefined,
    );
    return () => {
      isGone = true;
    };
  }, [project.id]);
  const keep: Keep = async (doc, name, note) => {
    try {
      await keepRevision(doc, { name, note, keptAt: Date.now() });
      setKept(await revisionsOf(doc.id));
      return true;
    } catch {
      dispatch(said('This browser did not keep the revision: take the project out as a file instead.'));
      return false;
    }
  };
  return { kept, keep };
}
