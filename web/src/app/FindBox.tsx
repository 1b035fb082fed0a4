import { useBench } from '../state/bench';
import type { StageEntry } from '../state/stage-entry';
import type { Picked } from '../state/picked';
import Autocomplete from '@mui/material/Autocomplete';
import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import { createFilterOptions } from '@mui/material/useAutocomplete';
import { useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import type { StageName, Derived } from '@kalotrope/core/project';
import { stepNotation } from '../state/unit';
import { findTurned, picked, shadeTurned } from '../state/screen-slice';
import { selectDerived, selectProject } from '../state/selectors';
import { PROJECTS_PATH, stagePath } from './paths';
import { useAppDispatch, useAppSelector } from '../state/store';

type Found = {
  readonly label: string;
  readonly stage?: StageName;
  readonly pick?: Picked;
  readonly act?: 'unit' | 'shade' | 'projects';
};

/** What has a name before anything is worked out, and the few acts worth typing; then every stage's own things. */
const foundIn = (entries: readonly StageEntry[], derived: Derived | null): Found[] => [
  ...entries.map(({ stage, title }, i) => ({ label: `Stage ${i + 1}: ${title}`, stage })),
  { label: 'Next unit', act: 'unit' },
  { label: 'Light or dark', act: 'shade' },
  { label: 'All projects', act: 'projects' },
  ...(derived
    ? entries.flatMap(({ stage, things }) => things?.(derived).map((thing) => ({ ...thing, stage })) ?? [])
    : []),
];

const matching = createFilterOptions<Found>();

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
  const { entries } = useBench();
  const options = useMemo(() => foundIn(entries, derived), [entries, derived]);
  const close = () => dispatch(findTurned(false));
  const go = (entry: Found | null) => {
    if (!entry) return;
    close();
    if (entry.act === 'unit') dispatch(stepNotation());
    if (entry.act === 'shade') dispatch(shadeTurned());
    if (entry.act === 'projects') void navigate(PROJECTS_PATH);
    if (entry.stage) void navigate(stagePath(project?.id ?? '', entry.stage));
    if (entry.pick) dispatch(picked(entry.pick));
  };
  const first = matching(options, { inputValue: typed, getOptionLabel: ({ label }) => label })[0];
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
        options={options}
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
          // at once, and not the list of names alone
          if (event.key === 'Escape') close();
        }}
        onChange={(_event, entry) => go(entry)}
        renderInput={(params) => (
          <TextField {...params} autoFocus label="Find a part or a place" sx={{ m: 2, width: 'calc(100% - 32px)' }} />
        )}
      />
    </Dialog>
  );
}
