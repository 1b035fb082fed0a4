/** Makes a file and saves it, or says why it could not be made. */
import { engine } from '../engine/client';
import type { ExportAsk, ExportFrom } from '../engine/exports';
import { saveFile } from '../files/files';
import { said } from '../state/screen-slice';
import { useAppDispatch } from '../state/store';

export function useMake(from: ExportFrom): (ask: ExportAsk) => Promise<void> {
  const dispatch = useAppDispatch();
  return async (ask) => {
    const answer = await engine.run('exportFile', { from, ask });
    if (answer.kind === 'ok' && answer.value) saveFile(answer.value);
    else dispatch(said(`The file could not be made${answer.kind === 'failed' ? `: ${answer.message}` : ''}`));
  };
}
