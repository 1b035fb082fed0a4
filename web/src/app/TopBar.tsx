import type { StageName } from '@kalotrope/core/project';
import FileDownloadOutlined from '@mui/icons-material/FileDownloadOutlined';
import MenuIcon from '@mui/icons-material/Menu';
import Handyman from '@mui/icons-material/HandymanOutlined';
import Redo from '@mui/icons-material/Redo';
import Print from '@mui/icons-material/PrintOutlined';
import Search from '@mui/icons-material/Search';
import Undo from '@mui/icons-material/Undo';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import Popover from '@mui/material/Popover';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { lazy, memo, Suspense, useEffect, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { NOTATIONS, type Notation } from '@kalotrope/core/measure';
import { printAsked } from '../state/ask-print';
import { edited, redone, undone } from '../state/document-slice';
import { ExportMenu } from './ExportMenu';
import { ImportButton } from './ImportButton';
import { PROJECTS_PATH, shopPath } from './paths';
import { findTurned, said } from '../state/screen-slice';
import { selectNotation, selectProject } from '../state/selectors';
import { NameField } from '../controls/NameField';
import { NOTATION_NAMES } from '../controls/notation-names';
import { chooseNotation } from '../state/unit';
import { useAppDispatch, useAppSelector, useAppStore } from '../state/store';
import { keepRevision } from '../storage/revisions';

/** Comes when it is first opened. */
const RevisionsDialog = lazy(() => import('./RevisionsDialog'));

/** On a narrow screen one row: the boat's name, and a menu of all else. */
export const TopBar = memo(function TopBar({ stage }: { readonly stage: StageName }) {
  const name = useAppSelector((state) => state.document.project?.name ?? '');
  const isWide = useMediaQuery(useTheme().breakpoints.up('md'));
  return (
    <Box
      component="header"
      className="no-print"
      sx={{ display: 'flex', alignItems: 'center', gap: 1, px: { xs: 0.5, md: 1.5 }, py: 0.5 }}
    >
      {isWide && <HomeLink name={name} />}
      <BoatName name={name} />
      {isWide && <Revision />}
      <HowSaved />
      <Box sx={{ flex: 1 }} />
      {isWide ? <Actions stage={stage} /> : <ActionsMenu stage={stage} name={name} />}
    </Box>
  );
});

const HomeLink = ({ name }: { readonly name: string }) => (
  <Button
    component={Link}
    to={PROJECTS_PATH}
    aria-label={`Kalotrope, all projects; ${name} is open`}
    title="All projects"
    sx={{ fontSize: 15, fontWeight: 700, ml: -0.5 }}
  >
    Kalotrope
  </Button>
);

type ActionsProps = { readonly stage: StageName; readonly onDone?: () => void };

function Actions({ stage, onDone }: ActionsProps) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  return (
    <>
      <Button
        color="inherit"
        variant="outlined"
        startIcon={<Search />}
        onClick={() => {
          onDone?.();
          dispatch(findTurned(true));
        }}
        sx={{ color: 'text.secondary', borderColor: 'divider', whiteSpace: 'nowrap' }}
      >
        Find a part or a place{' '}
        <Box component="kbd" sx={{ ml: 1.5 }}>
          /
        </Box>
      </Button>
      <TextField
        select
        value={notation}
        onChange={(event) => dispatch(chooseNotation(event.target.value as Notation)) /* one of the items below */}
        slotProps={{ htmlInput: { 'aria-label': 'Unit' } }}
        sx={{ '& .MuiSelect-select': { py: 0.5, fontSize: 14 } }}
      >
        {NOTATIONS.map((item) => (
          <MenuItem key={item} value={item}>
            {NOTATION_NAMES[item]}
          </MenuItem>
        ))}
      </TextField>
      <UndoRedo />
      <ShopLink />
      <Act
        label="Print this stage"
        isOff={false}
        onClick={() => {
          onDone?.();
          dispatch(printAsked());
        }}
      >
        <Print />
      </Act>
      <ImportButton />
      <ExportMenu stage={stage} icon={<FileDownloadOutlined />} />
    </>
  );
}

/** The same boat a step at a time, for the shop. */
function ShopLink() {
  const projectId = useAppSelector((state) => selectProject(state)?.id ?? '');
  return (
    <Tooltip title="Shop view: one step at a time">
      <IconButton size="small" aria-label="Shop view" component={Link} to={shopPath(projectId)}>
        <Handyman />
      </IconButton>
    </Tooltip>
  );
}

/** The same behind one button. */
function ActionsMenu({ stage, name }: { readonly stage: StageName; readonly name: string }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <IconButton
        aria-label="Menu"
        aria-haspopup="dialog"
        aria-expanded={anchor !== null}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        <MenuIcon />
      </IconButton>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        transformOrigin={{ vertical: 'top', horizontal: 'right' }}
        slotProps={{ paper: { role: 'dialog', 'aria-label': 'Menu' } }}
      >
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, p: 1.5, maxWidth: 340, alignItems: 'center' }}>
          <HomeLink name={name} />
          <Revision />
          <Actions stage={stage} onDone={() => setAnchor(null)} />
        </Box>
      </Popover>
    </>
  );
}

/** Where the boat's name stands it is changed. */
function BoatName({ name }: { readonly name: string }) {
  const dispatch = useAppDispatch();
  const rename = (value: string) => dispatch(edited({ label: 'Renamed', edits: [{ path: ['name'], value }] }));
  return <NameField look="in-place" label="Name of the boat" value={name} most={120} onCommit={rename} />;
}

/** The revision that is printed on everything, and the next one begun. */
function Revision() {
  const dispatch = useAppDispatch();
  const revision = useAppSelector((state) => state.document.project?.revision ?? 1);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  // read when it is pressed: following it here would draw the bar again at every edit
  const store = useAppStore();
  const [isOpen, setOpen] = useState(false);
  const begin = () => {
    setAnchor(null);
    // the last one is kept as it ended
    const project = selectProject(store.getState());
    if (project)
      keepRevision(project, { name: `Revision ${revision}`, note: '', keptAt: Date.now() }).catch(() =>
        dispatch(said(`This browser did not keep revision ${revision}: take the project out as a file.`)),
      );
    dispatch(edited({ label: `Revision ${revision + 1}`, edits: [{ path: ['revision'], value: revision + 1 }] }));
  };
  return (
    <>
      <Button
        color="inherit"
        size="small"
        aria-haspopup="menu"
        aria-label={`Revision ${revision}`}
        sx={{ minWidth: 0, fontSize: 14 }}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        rev {revision}
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
        <MenuItem onClick={begin}>Begin revision {revision + 1}, and print it on all that follows</MenuItem>
        <MenuItem
          onClick={() => {
            setAnchor(null);
            setOpen(true);
          }}
        >
          Revisions: keep, compare, go back
        </MenuItem>
      </Menu>
      {isOpen && (
        <Suspense fallback={null}>
          <RevisionsDialog onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}

/** Edits nearer together than this are one movement, during which "saved" is not said: each word is a frame to draw. */
const REST_MS = 250;

function HowSaved() {
  const saveState = useAppSelector((state) => state.document.saveState);
  const version = useAppSelector((state) => state.document.version);
  const [said, setSaid] = useState(version);
  useEffect(() => {
    if (saveState !== 'saved') return undefined;
    const timer = setTimeout(() => setSaid(version), REST_MS);
    return () => clearTimeout(timer);
  }, [saveState, version]);
  const isSaid = saveState === 'saved' && said === version;
  return (
    <Typography variant="caption" color="text.secondary" role="status">
      {isSaid ? 'saved' : saveState === 'saved' || saveState === 'saving' ? 'saving' : 'not saved'}
    </Typography>
  );
}

function UndoRedo() {
  const dispatch = useAppDispatch();
  const last = useAppSelector(({ document: { past } }) => past[past.length - 1]?.label);
  const next = useAppSelector(({ document: { future } }) => future[0]?.label);
  return (
    <>
      <Act
        label={last === undefined ? 'Nothing to undo' : `Undo: ${last}`}
        isOff={last === undefined}
        onClick={() => dispatch(undone())}
      >
        <Undo />
      </Act>
      <Act
        label={next === undefined ? 'Nothing to redo' : `Redo: ${next}`}
        isOff={next === undefined}
        onClick={() => dispatch(redone())}
      >
        <Redo />
      </Act>
    </>
  );
}

function Act(props: {
  readonly label: string;
  readonly isOff: boolean;
  readonly onClick: () => void;
  readonly children: ReactNode;
}) {
  return (
    <Tooltip title={props.label}>
      <span>
        <IconButton size="small" aria-label={props.label} disabled={props.isOff} onClick={props.onClick}>
          {props.children}
        </IconButton>
      </span>
    </Tooltip>
  );
}
