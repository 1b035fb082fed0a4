import { useBench } from '../state/bench';
import type { StageEntry } from '../state/stage-entry';
import type { Notation } from '@kalotrope/core/measure';
import { WORDS } from '@kalotrope/core/words';
import type { Picked } from '../state/picked';
import Autocomplete from '@mui/material/Autocomplete';
import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import { createFilterOptions } from '@mui/material/useAutocomplete';
import { useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Derived, Found, Project, StageName } from '@kalotrope/core/project';
import { stepNotation } from '../state/unit';
import { fieldSought } from '../state/seek-field';
import { findTurned, picked, shadeTurned, spacingTurned, wordAsked } from '../state/screen-slice';
import { selectDerived, selectFound, selectNotation, selectProject } from '../state/selectors';
import { PROJECTS_PATH, stagePath } from './paths';
import { useAppDispatch, useAppSelector } from '../state/store';

type FoundThing = {
  readonly label: string;
  readonly stage?: StageName;
  readonly pick?: Picked;
  /** Of the glossary. */
  readonly word?: string;
  /** A field on the stage's slip, by its label. */
  readonly field?: { readonly label: string; readonly section?: string };
  readonly act?: 'unit' | 'shade' | 'projects' | 'spacing';
};

/** What has a name before anything is worked out, and the few acts worth typing; then every stage's own things. */
const foundIn = (entries: readonly StageEntry[], { derived, project, found, notation }: Findable): FoundThing[] => [
  ...entries.map(({ stage, title }, i) => ({ label: `Stage ${i + 1}: ${title}`, stage })),
  { label: 'Next unit', act: 'unit' },
  { label: 'Light or dark', act: 'shade' },
  { label: 'All projects', act: 'projects' },
  { label: 'Equal spacing', act: 'spacing' },
  ...WORDS.map(({ id, word }) => ({ label: `Word: ${word}`, word: id })),
  ...entries.flatMap(({ stage, settings }) =>
    project ? (settings?.(project) ?? []).map((field) => ({ label: `Setting: ${field.label}`, stage, field })) : [],
  ),
  ...entries.flatMap(({ stage, things }) =>
    derived ? (things?.({ derived, found, notation }) ?? []).map((thing) => ({ ...thing, stage })) : [],
  ),
];

type Findable = {
  readonly derived: Derived | null;
  readonly project: Project | null;
  readonly found: Found;
  readonly notation: Notation;
};

const matching = createFilterOptions<FoundThing>();

export function FindBox() {
  const isOpen = useAppSelector((state) => state.screen.isFindOpen);
  return isOpen ? <OpenFindBox /> : null;
}

function OpenFindBox() {
  const derived = useAppSelector(selectDerived);
  const project = useAppSelector(selectProject);
  const found = useAppSelector(selectFound);
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [typed, setTyped] = useState('');
  const [isAsked, setAsked] = useState(false);
  const { entries } = useBench();
  const options = useMemo(
    () => foundIn(entries, { derived, project, found, notation }),
    [entries, derived, project, found, notation],
  );
  const close = () => dispatch(findTurned(false));
  const go = (entry: FoundThing | null) => {
    if (!entry) return;
    close();
    if (entry.act === 'unit') dispatch(stepNotation());
    if (entry.act === 'shade') dispatch(shadeTurned());
    if (entry.act === 'spacing') dispatch(spacingTurned(true));
    if (entry.act === 'projects') void navigate(PROJECTS_PATH);
    if (entry.stage) void navigate(stagePath(project?.id ?? '', entry.stage));
    if (entry.pick) dispatch(picked(entry.pick));
    if (entry.word !== undefined) dispatch(wordAsked(entry.word));
    if (entry.field) dispatch(fieldSought(entry.field));
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
