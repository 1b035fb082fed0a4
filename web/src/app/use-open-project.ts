/** Opens the project of an address; why it cannot be opened, or null. */
import { useEffect, useState } from 'react';
import { opened } from '../state/document-slice';
import { useAppDispatch, useAppSelector } from '../state/store';
import { loadProject, seedDemos } from '../storage/projects';

/** A demo boat is found by its address on the first opening too: it may be the first link that is followed. */
async function found(projectId: string): ReturnType<typeof loadProject> {
  const loaded = await loadProject(projectId);
  return 'reason' in loaded && (await seedDemos()) ? loadProject(projectId) : loaded;
}

export function useOpenProject(projectId: string): string | null {
  const dispatch = useAppDispatch();
  const openId = useAppSelector((state) => state.document.project?.id);
  const [reason, setReason] = useState<string | null>(null);
  useEffect(() => {
    if (openId === projectId) return undefined;
    let isCurrent = true;
    found(projectId).then(
      (loaded) => {
        if (!isCurrent) return;
        if ('reason' in loaded) setReason(loaded.reason);
        else dispatch(opened(loaded));
      },
      (error: unknown) => isCurrent && setReason(String(error)),
    );
    return () => {
      isCurrent = false;
    };
  }, [projectId, openId, dispatch]);
  return reason;
}
