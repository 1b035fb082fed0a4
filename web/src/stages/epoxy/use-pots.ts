/** The record of this boat's pots, and adding to it. */
import { useEffect, useState } from 'react';
import { useStable } from '../../controls/use-stable';
import { said } from '../../state/screen-slice';
import { useAppDispatch } from '../../state/store';
import { addPotRecord, potsOf, type PotRecord } from '../../storage/pots';

/** A record without the boat that it belongs to. */
export type NewRecord = PotRecord extends infer One ? (One extends PotRecord ? Omit<One, 'project'> : never) : never;

export function usePots(project: string | undefined) {
  const [records, setRecords] = useState<readonly PotRecord[]>([]);
  const dispatch = useAppDispatch();
  useEffect(() => {
    let isGone = false;
    if (project !== undefined)
      void potsOf(project).then(
        (found) => !isGone && setRecords(found),
        () => undefined,
      );
    return () => {
      isGone = true;
    };
  }, [project]);
  const add = useStable((record: NewRecord) => {
    if (project === undefined) return;
    const whole = { ...record, project };
    const show = () => setRecords((before) => [...before, whole]);
    // seen when it is on the disk: a page that is gone a moment later has it all the same
    addPotRecord(whole).then(show, () => {
      show();
      dispatch(said('This browser does not keep the record of pots: write it down before you close the page.'));
    });
  });
  return { records, add };
}
