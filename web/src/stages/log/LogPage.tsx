import Box from '@mui/material/Box';
import { lazy, Suspense, useMemo, useState } from 'react';
import {
  centsOf,
  cutOfThing,
  entryOfThing,
  epoxySums,
  logStage,
  minutesOf,
  moneyWords,
  standing,
} from '@kalotrope/core/log';
import { formatMass } from '@kalotrope/core/measure';
import { hoursWords } from '@kalotrope/core/plan';
import type { CutPart } from '@kalotrope/core/sheets';
import { Figure } from '../../controls/Figure';
import { Section } from '../../controls/Section';
import { Slip } from '../../controls/Slip';
import { ViewTabs } from '../../controls/ViewTabs';
import { picked } from '../../state/screen-slice';
import { selectDerived, selectPicked, selectProject } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { Budget } from './Budget';
import { CutPartNumbers } from './CutPartNumbers';
import { EntryList } from './EntryList';
import { PartsView } from './PartsView';
import { PickedEntry } from './PickedEntry';
import { PrintedPhotos } from './PrintedPhotos';
import { useRecords } from './use-log';
import { WorkClock } from './WorkClock';
import { KIND_NAMES, WRITE_SECTION } from './words';
import { WriteDown } from './WriteDown';

/** Comes by itself: charts are large, and the log is written without them. */
const LogCharts = lazy(() => import('./LogCharts'));

const VIEWS = { entries: 'What was done', parts: 'Parts' } as const;
type LogView = keyof typeof VIEWS;
const NO_PARTS: readonly CutPart[] = [];

export default function LogPage() {
  const project = useAppSelector(selectProject);
  const plan = useAppSelector((state) => selectDerived(state)?.plan.value);
  const records = useRecords();
  const entries = useMemo(() => standing(records.entries), [records]);
  const thing = useAppSelector(selectPicked);
  const choice = entryOfThing(thing);
  const cut = cutOfThing(thing);
  const parts = useAppSelector((state) => selectDerived(state)?.sheets.value.parts ?? NO_PARTS);
  const dispatch = useAppDispatch();
  const [kept, setKept] = useState<LogView>('entries');
  // what is picked is seen
  const view = cut !== undefined ? 'parts' : choice !== undefined ? 'entries' : kept;
  const turn = (next: LogView) => {
    dispatch(picked(null));
    setKept(next);
  };
  if (!project || !plan) return null;
  const part = parts.find(({ id }) => id === cut);
  const chosen = entries.find(({ first }) => first === choice);
  const { mixed, thrown } = epoxySums(records.pots);
  return (
    <>
      <Box
        sx={{
          ...{ flex: { md: 1 }, minWidth: 0, minHeight: { md: 0 }, display: 'flex', flexDirection: 'column' },
          // on a telephone the clock and the form stay near
          ...{ maxHeight: { xs: '42vh', md: 'none' }, overflow: 'auto' },
        }}
        tabIndex={0}
        role="region"
        aria-label="What was done"
      >
        <ViewTabs<LogView> label="Of the log" names={VIEWS} view={view} onView={turn} />
        {view === 'parts' ? (
          <PartsView parts={parts} records={records} picked={cut} />
        ) : (
          <>
            <Suspense fallback={null}>
              <LogCharts project={project} entries={entries} pots={records.pots} plan={plan} />
            </Suspense>
            <EntryList entries={entries} notation={project.notation} picked={choice} />
          </>
        )}
      </Box>
      <PrintedPhotos boat={project.name} entries={entries} />
      <Slip
        stage={logStage.name}
        title={part?.name ?? (chosen ? `${KIND_NAMES[chosen.kind]}, ${chosen.day}` : 'All of it')}
        numbers={
          part ? (
            <CutPartNumbers part={part} records={records} notation={project.notation} />
          ) : chosen ? (
            <PickedEntry key={chosen.id} entry={chosen} jobs={plan.jobs} notation={project.notation} />
          ) : (
            <>
              <WorkClock project={project.id} clock={records.clock} jobs={plan.jobs} />
              <Figure name="Hours" value={hoursWords(minutesOf(entries))} />
              <Figure name="Money" value={moneyWords(centsOf(entries))} />
              <Figure
                name="Epoxy mixed"
                value={formatMass(mixed, project.notation)}
                why={`Of the pots of Epoxy & glass; ${formatMass(thrown, project.notation)} of it thrown away`}
              />
            </>
          )
        }
      >
        <Section title={WRITE_SECTION}>
          <WriteDown project={project.id} jobs={plan.jobs} />
        </Section>
        <Budget budget={project.log.budget} paid={centsOf(entries)} />
      </Slip>
    </>
  );
}
