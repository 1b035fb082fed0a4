/** What a book gave back, put into the open boat: its log, its ticks, and what a reading or a done job changes. */
import { isGivenBackOf, takeBack, type GivenBack } from '@kalotrope/core/exchange';
import { NO_RECORDS } from '@kalotrope/core/log';
import { shopTasks, wholeOf } from '@kalotrope/core/project';
import { edited } from '../../state/document-slice';
import { selectDerived, selectFound, selectProject } from '../../state/selectors';
import type { AppDispatch, RootState } from '../../state/store';
import { addRecords } from '../../storage/log';
import { changeTicks } from '../../storage/ticks';

/** Resolves to what is to be said of it. */
export const takeGivenBack =
  (given: GivenBack) =>
  async (
    dispatch: AppDispatch,
    getState: () => RootState,
  ): Promise<{ readonly ok: boolean; readonly said: string }> => {
    const state = getState();
    const [project, derived] = [selectProject(state), selectDerived(state)];
    if (!project || !isGivenBackOf(given, project))
      return {
        ok: false,
        said: `This is what the book of ${given.name} gave back. Open that boat, and import it there.`,
      };
    if (!derived) return { ok: false, said: 'The boat is still being worked out. Import it again in a moment.' };
    const found = selectFound(state);
    const chapters = shopTasks(wholeOf(project, derived, found));
    const { entries } = found.log ?? NO_RECORDS;
    const taken = takeBack(given, { project, chapters, entries, now: Date.now() });
    try {
      await addRecords(project.id, { ...NO_RECORDS, entries: [...taken.entries] });
      for (const [task, steps] of Object.entries(taken.ticks))
        await changeTicks(project.id, task, (there) => [...new Set([...there, ...steps])]);
    } catch {
      return { ok: false, said: 'This browser has no room for it: keep the file.' };
    }
    if (taken.edits.length > 0) dispatch(edited({ label: 'What the book gave back', edits: taken.edits }));
    return { ok: true, said: saidOf(given, taken) };
  };

function saidOf(given: GivenBack, { placed, unplaced, entries }: ReturnType<typeof takeBack>): string {
  const ticked = Object.values(given.ticks).reduce((sum, steps) => sum + steps.length, 0);
  const words = [
    `${ticked} ${ticked === 1 ? 'tick' : 'ticks'}`,
    `${placed} ${placed === 1 ? 'reading' : 'readings'}`,
    `${entries.length} new in the log`,
  ].join(', ');
  const lost = unplaced === 0 ? '' : `. ${unplaced} of no place any more stand in the log as they were written`;
  return `From the book of ${given.name}: ${words}${lost}`;
}
