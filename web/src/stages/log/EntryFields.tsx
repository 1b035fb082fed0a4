/** The fields of an entry, those that its kind has, and the button that writes it. */
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMemo, useRef, useState, type ReactNode } from 'react';
import type { LogKind } from '@kalotrope/core/log';
import type { WorkJob } from '@kalotrope/core/plan';
import { buyingStages } from '@kalotrope/core/project';
import { LengthField } from '../../controls/LengthField';
import { PictureField } from '../../controls/PictureField';
import { SelectField } from '../../controls/SelectField';
import { Tick } from '../../controls/ViewTabs';
import { takePhoto } from '../../files/photo';
import { said } from '../../state/screen-slice';
import { useAppDispatch } from '../../state/store';
import { addPictures } from '../../storage/pictures';
import { hasAnswer, missing, type Draft } from './draft';
import { JobChoice } from './JobChoice';
import { Photos } from './Photos';
import { KIND_NAMES, OTHER_USE } from './words';

type Props = {
  readonly draft: Draft;
  readonly jobs: readonly WorkJob[];
  /** What the button says. */
  readonly act: string;
  /** What is made of what is written by then: a photograph takes its time, and one goes on writing. */
  readonly onDraft: (make: (draft: Draft) => Draft) => void;
  readonly onAct: () => void;
  /** A job may be done with it. */
  readonly mayEnd?: true;
};

const MOST_PICTURES = 40;
const MOST_WORDS = 4000;

export function EntryFields({ draft, jobs, act, onDraft, onAct, mayEnd }: Props) {
  const [isAsked, setAsked] = useState(false);
  const lacks = missing(draft);
  const set = (given: Partial<Draft>) => onDraft((now) => ({ ...now, ...given }));
  const { kind } = draft;
  const told = (key: keyof typeof lacks) => (isAsked ? lacks[key] : undefined);
  const press = () => {
    setAsked(true);
    if (Object.keys(lacks).length > 0) return;
    setAsked(false);
    onAct();
  };
  return (
    <div className="log-form no-print" role="group" aria-label={act}>
      <div className="field-grid">
        <SelectField<LogKind> label="What" value={kind} names={KIND_NAMES} onChange={(next) => set({ kind: next })} />
        <Words label="Day" type="date" value={draft.day} problem={told('day')} onChange={(day) => set({ day })} />
      </div>
      {kind === 'hours' && (
        <Words label="Hours" value={draft.hours} problem={told('hours')} onChange={(hours) => set({ hours })} />
      )}
      {kind === 'money' && (
        <div className="field-grid">
          <Words label="Amount" value={draft.amount} problem={told('amount')} onChange={(amount) => set({ amount })} />
          <SelectField label="Spent on" value={draft.on} names={USES} onChange={(on) => set({ on })} />
        </div>
      )}
      {kind === 'measured' && (
        <div className="field-grid">
          <LengthField label="As drawn" mm={draft.drawn} onCommit={(drawn) => set({ drawn })} />
          <LengthField label="As found" mm={draft.found} onCommit={(found) => set({ found })} />
        </div>
      )}
      <JobChoice label="Job" jobs={jobs} job={draft.job} onJob={(job) => set({ job })} />
      <PartsChoice jobs={jobs} parts={draft.parts} onParts={(parts) => set({ parts })} />
      <Words
        label={kind === 'measured' ? 'What was measured' : 'Words'}
        isLong
        value={draft.words}
        problem={told('words')}
        onChange={(words) => set({ words })}
      />
      {hasAnswer(kind) && (
        <Words
          label={kind === 'doubt' ? 'How it was settled' : 'What was done about it'}
          isLong
          value={draft.answer}
          onChange={(answer) => set({ answer })}
        />
      )}
      <Photos ids={draft.pictures} onIds={(pictures) => set({ pictures })} />
      {mayEnd && kind === 'hours' && draft.job !== '' && (
        <Tick
          label="The job is done"
          hint="It is ticked on Plan, and planned no more"
          isTicked={draft.isDone}
          onTick={(isDone) => set({ isDone })}
        />
      )}
      <div className="acts">
        <AddPhoto
          isFull={draft.pictures.length >= MOST_PICTURES}
          onAdded={(id) => onDraft((now) => ({ ...now, pictures: [...now.pictures, id] }))}
        />
        <Button variant="contained" onClick={press}>
          {act}
        </Button>
      </div>
    </div>
  );
}

type WordsProps = {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly problem?: string | undefined;
  readonly isLong?: true;
  readonly type?: 'date';
};

function Words({ label, value, onChange, problem, isLong, type }: WordsProps): ReactNode {
  return (
    <TextField
      label={label}
      value={value}
      {...(type && { type })}
      {...(isLong && { multiline: true, minRows: 2, maxRows: 8 })}
      error={problem !== undefined}
      helperText={problem}
      onChange={(event) => onChange(event.target.value)}
      slotProps={{ inputLabel: type ? { shrink: true } : {}, htmlInput: { maxLength: isLong ? MOST_WORDS : 30 } }}
      sx={{ '& input': { fontSize: 14 } }}
    />
  );
}

type PartsProps = {
  readonly jobs: readonly WorkJob[];
  readonly parts: readonly string[];
  readonly onParts: (parts: readonly string[]) => void;
};

const MOST_PARTS = 60;
const MOST_LETTERS = 160;

function PartsChoice({ jobs, parts, onParts }: PartsProps) {
  const options = useMemo(() => [...new Set(jobs.flatMap((job) => job.parts))], [jobs]);
  return (
    <Autocomplete
      multiple
      freeSolo
      options={options}
      value={[...parts]}
      onChange={(_event, chosen) =>
        onParts(
          [...new Set(chosen.map((one) => one.trim().slice(0, MOST_LETTERS)))].filter(Boolean).slice(0, MOST_PARTS),
        )
      }
      renderInput={(params) => <TextField {...params} label="Parts" />}
    />
  );
}

type PhotoProps = { readonly isFull: boolean; readonly onAdded: (id: string) => void };

function AddPhoto({ isFull, onAdded }: PhotoProps) {
  const file = useRef<HTMLInputElement>(null);
  const dispatch = useAppDispatch();
  const take = async (chosen: File | undefined) => {
    if (!chosen) return;
    const taken = await takePhoto(chosen);
    if (!taken.ok) {
      dispatch(said(taken.reason));
      return;
    }
    if (!(await addPictures([taken.picture])))
      dispatch(said('This browser has no room for the photograph: it is kept only until the page is closed.'));
    onAdded(taken.picture.id);
  };
  return (
    <>
      <Button disabled={isFull} onClick={() => file.current?.click()}>
        Add a photograph
      </Button>
      <PictureField label="A photograph for the log" field={file} onFile={(chosen) => void take(chosen)} />
    </>
  );
}

/** What money goes on: the stages that buy, and anything else. */
const USES: Readonly<Record<string, string>> = {
  [OTHER_USE]: 'Anything else',
  ...Object.fromEntries(buyingStages().map(({ stage, title }) => [stage, title])),
};
