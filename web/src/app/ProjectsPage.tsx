import { projectPath } from './paths';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useCallback, useEffect, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { DEMO_IDS, DEMO_NAMES, demoProject } from '@kalotrope/core/project';
import { addProject, listProjects, putBack, removeProject, type ProjectRecord } from '../storage/projects';
import { closed } from '../state/document-slice';
import { ImportButton } from './ImportButton';
import { StarterDialog } from './StarterDialog';
import { useAppDispatch } from '../state/store';

/** All projects in this browser: open, copy, delete with undo, new from a file or a demo. */
export function ProjectsPage() {
  const [records, setRecords] = useState<readonly ProjectRecord[] | null>(null);
  const [isStarting, setIsStarting] = useState(false);
  const [deleted, setDeleted] = useState<ProjectRecord | null>(null);
  const navigate = useNavigate();
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
  const refresh = useCallback(async () => setRecords(await listProjects()), []);
  useEffect(() => {
    dispatch(closed());
    listProjects().then(setRecords, (error: unknown) => setFailure(reasonOf(error)));
  }, [dispatch]);
  const add = (project: Parameters<typeof addProject>[0]) =>
    tried(async () => {
      await addProject(project);
      await navigate(projectPath(project.id));
    });
  const remove = (id: string) =>
    tried(async () => {
      setDeleted((await removeProject(id)) ?? null);
      await refresh();
    });
  const restore = () =>
    tried(async () => {
      if (deleted) await putBack(deleted);
      setDeleted(null);
      await refresh();
    });
  return (
    <Box component="main" sx={{ maxWidth: 900, mx: 'auto', p: 3, height: '100dvh', overflow: 'auto' }}>
      <Typography variant="h1" sx={{ color: 'primary.main', mb: 2 }}>
        Kalotrope: projects in this browser
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 2 }}>
        <ImportButton />
        <Button variant="outlined" onClick={() => setIsStarting(true)}>
          New from a few dimensions
        </Button>
        {DEMO_IDS.map((demo) => (
          <Button key={demo} variant="outlined" onClick={() => void add(demoProject(demo, crypto.randomUUID()))}>
            New from the demo {DEMO_NAMES[demo]}
          </Button>
        ))}
      </Box>
      {isStarting && <StarterDialog onClose={() => setIsStarting(false)} onDraw={(project) => void add(project)} />}
      {failure !== null && (
        <Alert severity="error" variant="outlined" sx={{ mb: 2 }}>
          This browser does not keep projects for this page ({failure}). Allow it to store data for this address, or
          make room, then load the page again. Project files that you exported can be imported then.
        </Alert>
      )}
      {records?.length === 0 && (
        <Typography>
          Nothing here yet. Import a table of offsets (CSV) or a project file, or start from a demo.
        </Typography>
      )}
      {records !== null && records.length > 0 && (
        <ProjectTable
          records={records}
          onCopy={(record) =>
            void add({ ...record.doc, id: crypto.randomUUID(), name: `${record.name}, copy`.slice(0, 120) })
          }
          onRemove={(id) => void remove(id)}
        />
      )}
      <Snackbar
        open={deleted !== null}
        message={`${deleted?.name ?? ''} deleted`}
        action={
          <Button color="inherit" onClick={() => void restore()}>
            Undo
          </Button>
        }
        autoHideDuration={20_000}
        onClose={(_event, why) => why === 'timeout' && setDeleted(null)}
      />
    </Box>
  );
}

const reasonOf = (error: unknown): string =>
  error instanceof Error && error.message !== '' ? error.message : String(error);

type TableProps = {
  readonly records: readonly ProjectRecord[];
  readonly onCopy: (record: ProjectRecord) => void;
  readonly onRemove: (id: string) => void;
};

function ProjectTable({ records, onCopy, onRemove }: TableProps) {
  return (
    <Table size="small">
      <TableHead>
        <TableRow>
          <TableCell>Project</TableCell>
          <TableCell>Last changed</TableCell>
          <TableCell>Acts</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {records.map((record) => (
          <TableRow key={record.id}>
            <TableCell>
              <Link to={projectPath(record.id)}>{record.name}</Link>
            </TableCell>
            <TableCell>{new Date(record.updatedAt).toLocaleString()}</TableCell>
            <TableCell>
              <Button aria-label={`Duplicate ${record.name}`} onClick={() => onCopy(record)}>
                Duplicate
              </Button>
              <Button aria-label={`Delete ${record.name}`} color="error" onClick={() => onRemove(record.id)}>
                Delete
              </Button>
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}
