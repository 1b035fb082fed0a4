import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useCallback, useEffect, useState } from 'react';
import type { Project } from '@kalotrope/core/project';
import {
  listDeletions,
  listProjects,
  MOST_DELETIONS,
  putBack,
  reasonOf,
  removeProject,
  type Deletion,
  type ProjectRecord,
} from '../storage/projects';
import { savesSettled } from '../state/listeners';
import { useOpenNew } from './use-open-new';
import { closed } from '../state/document-slice';
import { BoatCards } from './BoatCards';
import { WaysToBegin } from './WaysToBegin';
import { useAppDispatch } from '../state/store';

/** All projects in this browser: open, copy, delete with undo, new from a file or a demo. */
export function ProjectsPage() {
  const [records, setRecords] = useState<readonly ProjectRecord[] | null>(null);
  const [deletions, setDeletions] = useState<readonly Deletion[]>([]);
  /** When this page last deleted something: what is told of for a while. */
  const [since, setSince] = useState<number | null>(null);
  const openNew = useOpenNew();
  const dispatch = useAppDispatch();
  const [failure, setFailure] = useState<string | null>(null);
  /** Whatever is asked of the browser's store may be refused: blocked, full, or taken away. */
  const tried = useCallback(async (act: () => Promise<unknown>) => {
    try {
      await act();
      setFailure(null);
    } catch (error) {
      setFailure(reasonOf(error));
    }
  }, []);
  const refresh = useCallback(async () => {
    setRecords(await listProjects());
    setDeletions(await listDeletions());
  }, []);
  useEffect(() => {
    dispatch(closed());
    // what was changed just before is in the list as it is now
    void savesSettled().then(() => tried(refresh));
  }, [dispatch, refresh, tried]);
  const add = (project: Project) => tried(() => openNew(project));
  const remove = (id: string) =>
    tried(async () => {
      const begun = Date.now();
      await removeProject(id);
      setSince((before) => before ?? begun);
      await refresh();
    });
  const restore = (several: readonly Deletion[]) =>
    tried(async () => {
      for (const deletion of several) await putBack(deletion);
      setSince(null);
      await refresh();
    });
  // in the order in which it was done
  const justDeleted = since === null ? [] : deletions.filter(({ deletedAt }) => deletedAt >= since).reverse();
  return (
    <Box
      component="main"
      sx={{ maxWidth: 1120, mx: 'auto', p: { xs: 1.5, sm: 3 }, height: '100dvh', overflow: 'auto' }}
    >
      <Typography variant="h1" sx={{ color: 'primary.main', mb: 2 }}>
        Kalotrope: projects in this browser
      </Typography>
      <WaysToBegin onBegin={(project) => void add(project)} />
      {failure !== null && (
        <Alert severity="error" variant="outlined" sx={{ mb: 2 }}>
          This browser does not keep projects for this page ({failure}). Allow it to store data for this address, or
          make room, then load the page again. Project files that you exported can be imported then.
        </Alert>
      )}
      {records?.length === 0 && (
        <Typography>No boats here yet. Begin with a table of your own, or with a demo to try things on.</Typography>
      )}
      {records !== null && records.length > 0 && (
        <BoatCards
          records={records}
          onCopy={(record) =>
            void add({ ...record.doc, id: crypto.randomUUID(), name: `${record.name}, copy`.slice(0, 120) })
          }
          onRemove={(id) => void remove(id)}
        />
      )}
      {deletions.length > 0 && <DeletedProjects deletions={deletions} onPutBack={(one) => void restore([one])} />}
      <Snackbar
        open={justDeleted.length > 0}
        message={`${justDeleted.map(({ record }) => record.name).join(', ')} deleted`}
        action={
          <Button color="inherit" onClick={() => void restore(justDeleted)}>
            Undo
          </Button>
        }
        autoHideDuration={20_000}
        onClose={(_event, why) => why === 'timeout' && setSince(null)}
      />
    </Box>
  );
}

type DeletedProps = {
  readonly deletions: readonly Deletion[];
  readonly onPutBack: (deletion: Deletion) => void;
};

/** The last that were deleted, each to be put back. */
function DeletedProjects({ deletions, onPutBack }: DeletedProps) {
  return (
    <Box component="section" sx={{ mt: 4 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        Deleted, the last {MOST_DELETIONS} are kept
      </Typography>
      <Table size="small" aria-label="Deleted projects">
        <TableBody>
          {deletions.map((deletion) => (
            <TableRow key={deletion.key}>
              <TableCell>{deletion.record.name}</TableCell>
              <TableCell>{new Date(deletion.deletedAt).toLocaleString()}</TableCell>
              <TableCell>
                <Button aria-label={`Put back ${deletion.record.name}`} onClick={() => onPutBack(deletion)}>
                  Put back
                </Button>
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}
