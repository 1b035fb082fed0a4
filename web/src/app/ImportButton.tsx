import FileUploadOutlined from '@mui/icons-material/FileUploadOutlined';
import Alert from '@mui/material/Alert';
import AlertTitle from '@mui/material/AlertTitle';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import { useState } from 'react';
import { useDropzone } from 'react-dropzone';
import { addPictures } from '../storage/pictures';
import { useOpenNew } from './use-open-new';
import { takeFile, type Taken } from '../files/files';
import { said } from '../state/screen-slice';
import { useAppDispatch } from '../state/store';

type Refused = Extract<Taken, { ok: false }>;

/**
 * Takes a table of offsets or a project file, by choosing or by dropping it on the button, and opens it as a new
 * project.
 */
export function ImportButton() {
  const [refused, setRefused] = useState<Refused | null>(null);
  const dispatch = useAppDispatch();
  const openNew = useOpenNew();
  const take = async (files: readonly File[]) => {
    const [file] = files;
    if (!file) return;
    const taken = await takeFile(file);
    if (!taken.ok) {
      setRefused(taken);
      return;
    }
    await addPictures(taken.pictures ?? []);
    dispatch(said(taken.said));
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
      <input {...getInputProps()} aria-label="Import a file" />
      <Button variant="outlined" startIcon={<FileUploadOutlined />} onClick={open}>
        Import
      </Button>
      <Dialog
        open={refused !== null}
        onClose={() => setRefused(null)}
        slotProps={{ paper: { 'aria-label': 'The file was not taken' } }}
      >
        <Alert severity="error" sx={{ m: 2 }}>
          <AlertTitle>{refused?.title} was not taken; nothing was changed</AlertTitle>
          <ul>
            {refused?.problems.map((text) => (
              <li key={text}>{text}</li>
            ))}
          </ul>
        </Alert>
        <DialogActions>
          <Button onClick={() => setRefused(null)}>Close</Button>
        </DialogActions>
      </Dialog>
    </span>
  );
}
