/** The figures that were read of a frame, as entries of the log: as drawn and as found, each once. */
import Button from '@mui/material/Button';
import { useRef } from 'react';
import { NO_RECORDS, standing, type LogEntry } from '@kalotrope/core/log';
import { checkWords, type SetupPart, type Stood } from '@kalotrope/core/setup';
import { useWriteEntry } from '../../controls/use-write-entry';
import { said } from '../../state/screen-slice';
import { selectFound } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

type Props = { readonly part: SetupPart; readonly stood: Stood; readonly tallPx: number };
type Measured = Pick<LogEntry, 'words' | 'drawn' | 'found'>;

/** Nearer to each other two figures are the same, mm. */
const SAME_MM = 0.05;

export function IntoLog({ part, stood, tallPx }: Props) {
  const dispatch = useAppDispatch();
  const write = useWriteEntry();
  const { entries } = useAppSelector((state) => selectFound(state).log) ?? NO_RECORDS;
  const fresh = lengthsRead(part, stood).filter((one) => !standing(entries).some((entry) => isSame(entry, one)));
  // a second press comes before the log has the first
  const isWriting = useRef(false);
  const writeAll = async (): Promise<boolean> => {
    for (const one of fresh) if (!(await write({ kind: 'measured', parts: [stood.name], ...one }))) return false;
    return true;
  };
  const put = async () => {
    if (isWriting.current) return;
    isWriting.current = true;
    const isDone = await writeAll();
    isWriting.current = false;
    if (!isDone) return;
    const many = fresh.length === 1 ? 'One reading' : `${fresh.length} readings`;
    dispatch(said(`${many} of ${stood.name} written into the log.`));
  };
  return (
    <Button sx={{ minHeight: tallPx }} disabled={fresh.length === 0} onClick={() => void put()}>
      Readings into the log{fresh.length > 0 && `: ${fresh.length} new`}
    </Button>
  );
}

/** Of a frame: what is on its mark, or read in degrees, is none. */
function lengthsRead({ readings, way }: SetupPart, { id, name, checks }: Stood): Measured[] {
  return checks.flatMap(({ what, should }) => {
    const kept = readings.find((one) => one.frame === id && one.what === what);
    if (!kept || kept.isTrue || what === 'plumb') return [];
    return [{ words: `${name}: ${checkWords(what, way)}`, drawn: should, found: kept.value }];
  });
}

const isSame = (one: LogEntry, other: Measured): boolean =>
  one.kind === 'measured' &&
  one.words === other.words &&
  Math.abs(one.drawn - other.drawn) < SAME_MM &&
  Math.abs(one.found - other.found) < SAME_MM;
