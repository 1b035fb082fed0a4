import FileUploadOutlined from '@mui/icons-material/FileUploadOutlined';
import Alert from '@mui/material/Alert';
import AlertTitle from '@mui/material/AlertTitle';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { lazy, Suspense, useRef, useState, type ReactNode } from 'react';
import { useDropzone } from 'react-dropzone';
import { isOtherPlanOf, type Project } from '@kalotrope/core/project';
import type { Taken, TakenProject } from '../engine/take';
import { addRecords } from '../storage/log';
import { addPictures } from '../storage/pictures';
import { keepRevision } from '../storage/revisions';
import { takeFile } from '../files/files';
import { said } from '../state/screen-slice';
import { selectProject } from '../state/selectors';
import { useAppDispatch, useAppStore } from '../state/store';
import { projectPath } from './paths';
import { takeGivenBack } from './shop/take-given-back';
import { useOpenNew } from './use-open-new';

/** Comes when it is first wanted. */
const NewerPlanDialog = lazy(() => import('./NewerPlanDialog'));

type OtherPlan = { readonly file: string; readonly taken: TakenProject; readonly present: Project };
type Refused = Extract<Taken, { ok: false }>;
/** Reading that is done sooner is not worth a word. */
const WORTH_SAYING_MS = 400;

/**
 * Takes a table of offsets, a drawing or a project file, by choosing or by dropping it on the button, and opens it as a
 * new project.
 */
export const ImportButton = () => (
  <ImportFrom
    label="Import a file"
    look={(open) => (
      <Button variant="outlined" startIcon={<FileUploadOutlined />} onClick={open}>
        Import
      </Button>
    )}
  />
);

type Props = {
  readonly label: string;
  /** Of the files that are offered first. */
  readonly endings?: readonly string[];
  readonly look: (open: () => void) => ReactNode;
};

/** The log and the revisions that came with a project; false where this browser has no room for them. */
async function keptBeside({ project, done, revisions = [] }: TakenProject): Promise<boolean> {
  try {
    if (done) await addRecords(project.id, done);
    for (const { doc, ...told } of revisions) await keepRevision(doc, told);
    return true;
  } catch {
    return false;
  }
}

export function ImportFrom({ label, endings, look }: Props) {
  const [refused, setRefused] = useState<Refused | null>(null);
  const [reading, setReading] = useState<string | null>(null);
  const stopping = useRef<AbortController | null>(null);
  const [other, setOther] = useState<OtherPlan | null>(null);
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const openNew = useOpenNew();
  const take = async (files: readonly File[]) => {
    const [file] = files;
    if (!file) return;
    stopping.current?.abort();
    const own = new AbortController();
    stopping.current = own;
    const timer = setTimeout(() => setReading(file.name), WORTH_SAYING_MS);
    const taken = await takeFile(file, own.signal);
    clearTimeout(timer);
    setReading(null);
    if (taken === 'stopped') return;
    if (!taken.ok) {
      setRefused(taken);
      return;
    }
    if ('given' in taken) {
      const told = await dispatch(takeGivenBack(taken.given));
      if (told.ok) dispatch(said(told.said));
      else setRefused({ ok: false, title: file.name, problems: [told.said] });
      return;
    }
    // its drawings' pictures go with it, whatever becomes of it
    await addPictures(taken.pictures ?? []);
    const present = selectProject(store.getState());
    // of the boat that one is looking at
    if (present && location.pathname.startsWith(projectPath(present.id)) && isOtherPlanOf(taken.project, present)) {
      setOther({ file: file.name, taken, present });
      return;
    }
    await openTaken(taken);
  };
  const openTaken = async (taken: TakenProject) => {
    // before the project is there: what was done on it is with it from the first
    const isKept = await keptBeside(taken);
    dispatch(said(isKept ? taken.said : `${taken.said}. What was kept beside it did not fit here: keep the file`));
    await openNew(taken.project);
  };
  const { getRootProps, getInputProps, open } = useDropzone({
    onDrop: (files) => void take(files),
    noClick: true,
    noKeyboard: true,
    multiple: false,
  });
  return (
    <span {...getRootProps()}>
      <input {...getInputProps()} aria-label={label} accept={endings?.join(',')} />
      {look(open)}
      <ReadingDialog name={reading} onStop={() => stopping.current?.abort()} />
      {other && (
        <Suspense fallback={null}>
          <NewerPlanDialog
            {...{ file: other.file, came: other.taken.project, present: other.present }}
            onOpenOther={() => {
              setOther(null);
              void openTaken(other.taken);
            }}
            onClose={() => setOther(null)}
          />
        </Suspense>
      )}
      <RefusedDialog refused={refused} onClose={() => setRefused(null)} />
    </span>
  );
}

function ReadingDialog({ name, onStop }: { readonly name: string | null; readonly onStop: () => void }) {
  return (
    <Dialog open={name !== null} slotProps={{ paper: { 'aria-label': 'Reading a file' } }}>
      <Typography sx={{ m: 2, mb: 1 }}>Reading {name}</Typography>
      <LinearProgress aria-label="Reading" sx={{ mx: 2 }} />
      <DialogActions>
        <Button onClick={onStop}>Stop</Button>
      </DialogActions>
    </Dialog>
  );
}

function RefusedDialog({ refused, onClose }: { readonly refused: Refused | null; readonly onClose: () => void }) {
  return (
    <Dialog open={refused !== null} onClose={onClose} slotProps={{ paper: { 'aria-label': 'The file was not taken' } }}>
      <Alert severity="error" sx={{ m: 2 }}>
        <AlertTitle>{refused?.title} was not taken; nothing was changed</AlertTitle>
        <ul>
          {refused?.problems.map((text) => (
            <li key={text}>{text}</li>
          ))}
        </ul>
      </Alert>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
