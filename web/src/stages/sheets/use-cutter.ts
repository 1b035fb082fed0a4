/** The simulated cutter over the sheets as they are laid out; what it did belongs to that layout and machine alone. */
import { useEffect, useState } from 'react';
import type { LaidBatch, SheetsPart } from '@kalotrope/core/sheets';
import { engine } from '../../engine/client';
import type { CutFileRun, CutSheet } from '../../engine/jobs';
import { said } from '../../state/screen-slice';
import { useAppDispatch } from '../../state/store';
import { useRunning } from './use-running';

/** A file that the cutter was run over, with what it did. */
export type CutFileDone = CutFileRun & { readonly name: string };

export type CutterRuns = {
  readonly sheets: readonly CutSheet[] | null;
  readonly file: CutFileDone | null;
  readonly isRunning: boolean;
  readonly start: () => void;
  readonly startFile: (file: File) => void;
};

export function useCutter(laid: readonly LaidBatch[], machine: SheetsPart['machine']): CutterRuns {
  const dispatch = useAppDispatch();
  const running = useRunning();
  const [state, setState] = useState<{ of: string; sheets: readonly CutSheet[] | null }>({ of: '', sheets: null });
  const [file, setFile] = useState<{ readonly of: string; readonly done: CutFileDone } | null>(null);
  const [isRunning, setIsRunning] = useState(false);
  const of = JSON.stringify([laid.map(({ batch, result }) => [batch.key, result?.sheets]), machine]);
  useEffect(
    () => () => {
      running.stop();
      setIsRunning(false);
    },
    [of, running],
  );
  const run = async () => {
    const signal = running.start();
    setIsRunning(true);
    const sheets = laid.flatMap(({ batch, result }) =>
      (result?.sheets ?? []).map((sheet) => ({ sheet, job: batch.job })),
    );
    const answer = await engine.run('cutter', { sheets, machine }, { signal });
    if (signal.aborted) return;
    if (answer.kind === 'ok') setState({ of, sheets: answer.value });
    if (answer.kind === 'failed') dispatch(said(`The cutter stopped: ${answer.message}. Run it again`));
    setIsRunning(false);
  };
  const runFile = async (chosen: File) => {
    const signal = running.start();
    setIsRunning(true);
    const text = await chosen.text();
    const answer = await engine.run('cutterFile', { text, machine }, { signal });
    if (signal.aborted) return;
    if (answer.kind === 'ok') setFile({ of, done: { ...answer.value, name: chosen.name } });
    if (answer.kind === 'failed') dispatch(said(`${chosen.name}: the cutter stopped: ${answer.message}`));
    setIsRunning(false);
  };
  return {
    file: file?.of === of ? file.done : null,
    startFile: (chosen) => void runFile(chosen),
    sheets: state.of === of ? state.sheets : null,
    isRunning,
    start: () => void run(),
  };
}
