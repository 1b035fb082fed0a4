import Autocomplete from '@mui/material/Autocomplete';
import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import { createFilterOptions } from '@mui/material/useAutocomplete';
import { useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Stage } from '@kalotrope/core/findings';
import type { Derived } from '@kalotrope/core/project';
import { findTurned, notationStepped, picked, shadeTurned, type Picked } from './screen-slice';
import { selectDerived, selectProject } from './selectors';
import { STAGE_LIST } from './stages';
import { useAppDispatch, useAppSelector } from './store';

type Entry = {
  readonly label: string;
  readonly stage?: Stage;
  readonly pick?: Picked;
  readonly act?: 'unit' | 'shade' | 'projects';
};

/** What has a name before anything is worked out, and the few acts worth typing. */
const ALWAYS: readonly Entry[] = [
  ...STAGE_LIST.map(({ stage, name }, i) => ({ label: `Stage ${i + 1}: ${name}`, stage })),
  { label: 'Next unit', act: 'unit' },
  { label: 'Light or dark', act: 'shade' },
  { label: 'All projects', act: 'projects' },
];

function entriesOf(derived: Derived | null): Entry[] {
  if (!derived) return [...ALWAYS];
  return [
    ...ALWAYS,
    ...derived.lines.value.lines.map(({ id, name }): Entry => ({
      label: `Line: ${name}`,
      stage: 'lines',
      pick: { kind: 'line', line: id },
    })),
    ...derived.panels.value.panels.map(({ id, name }): Entry => ({
      label: `Panel: ${name}`,
      stage: 'panels',
      pick: { kind: 'panel', id },
    })),
    ...derived.frames.value.map(({ id, name }): Entry => ({
      label: `Frame: ${name}`,
      stage: 'frames',
      pick: { kind: 'frame', id },
    })),
    ...derived.epoxy.value.seams.map(({ id, name }): Entry => ({
      label: `Seam: ${name}`,
      stage: 'epoxy',
      pick: { kind: 'seam', id },
    })),
  ];
}

const matching = createFilterOptions<Entry>();

export function FindBox() {
  const isOpen = useAppSelector((state) => state.screen.isFindOpen);
  return isOpen ? <OpenFindBox /> : null;
}

function OpenFindBox() {
  const derived = useAppSelector(selectDerived);
  const project = useAppSelector(selectProject);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [typed, setTyped] = useState('');
  const [isAsked, setAsked] = useState(false);
  const entries = useMemo(() => entriesOf(derived), [derived]);
  const close = () => dispatch(findTurned(false));
  const go = (entry: Entry | null) => {
    if (!entry) return;
    close();
    if (entry.act === 'unit') dispatch(notationStepped());
    if (entry.act === 'shade') dispatch(shadeTurned());
    if (entry.act === 'projects') void navigate('/projects');
    if (entry.stage) void navigate(`/project/${project?.id ?? ''}/${entry.stage}`);
    if (entry.pick) dispatch(picked(entry.pick));
  };
  const first = matching(entries, { inputValue: typed, getOptionLabel: ({ label }) => label })[0];
  useEffect(() => {
    // Enter was pressed on a name that the engine had yet to give
    if (isAsked && derived && first) go(first);
  });
  return (
    <Dialog
      open
      onClose={close}
      fullWidth
      maxWidth="sm"
      slotProps={{ paper: { 'aria-label': 'Find a part or a place' } }}
    >
      <Autocomplete
        options={entries}
        openOnFocus
        autoHighlight
        noOptionsText={
          derived ? 'Nothing of that name' : 'Still working the boat out; Enter goes there once it is known'
        }
        onInputChange={(_event, text) => {
          setTyped(text);
          setAsked(false);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && !derived && !first) setAsked(true);
        }}
        onChange={(_event, entry) => go(entry)}
        renderInput={(params) => (
          <TextField {...params} autoFocus label="Find a part or a place" sx={{ m: 2, width: 'calc(100% - 32px)' }} />
        )}
      />
    </Dialog>
  );
}
