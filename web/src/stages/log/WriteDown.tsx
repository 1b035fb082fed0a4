/** Something that was done, paid, measured, spoilt or doubted, written down; half written it is kept. */
import { useRef, useState } from 'react';
import { LOG_KINDS } from '@kalotrope/core/log';
import type { WorkJob } from '@kalotrope/core/plan';
import { keepDraft, lastDraft } from '../../storage/drafts';
import { emptyDraft, entryOf, type Draft } from './draft';
import { EntryFields } from './EntryFields';
import { useLog } from './use-log';

type Props = { readonly project: string; readonly jobs: readonly WorkJob[] };

export function WriteDown({ project, jobs }: Props) {
  const [draft, setDraft] = useState<Draft>(() => begun(project));
  const { write, jobDone } = useLog();
  const latest = useRef(draft);
  const change = (make: (draft: Draft) => Draft) => {
    latest.current = make(latest.current);
    setDraft(latest.current);
    keepDraft(project, latest.current);
  };
  const act = async () => {
    const job = jobs.find(({ id }) => id === draft.job);
    if (!(await write(entryOf(draft, jobs)))) return;
    if (draft.isDone && job) jobDone(job.id, job.name);
    // the next is often of the same kind, on the same day
    latest.current = { ...emptyDraft(Date.now()), kind: draft.kind, day: draft.day };
    setDraft(latest.current);
    keepDraft(project, null);
  };
  return <EntryFields draft={draft} jobs={jobs} act="Write it down" onDraft={change} onAct={() => void act()} mayEnd />;
}

/** As it was left; what cannot be read of it is passed over, field by field. */
function begun(project: string): Draft {
  const usual = emptyDraft(Date.now());
  const kept = lastDraft(project);
  if (typeof kept !== 'object' || kept === null) return usual;
  const entries = Object.entries(usual).map(([key, value]) => {
    const own = (kept as Record<string, unknown>)[key]; // a non-null object: checked above
    const isSame = typeof own === typeof value && Array.isArray(own) === Array.isArray(value);
    return [key, isSame ? own : value];
  });
  const draft = Object.fromEntries(entries) as Draft; // every field, of its own kind
  const isWhole = [...draft.parts, ...draft.pictures].every((one) => typeof one === 'string');
  return isWhole && KINDS.includes(draft.kind) ? draft : usual;
}

const KINDS: readonly string[] = LOG_KINDS;
