/** Keeps the screen lit while the page is looked at, where the browser can; asked again whenever it comes back. */
import { useEffect } from 'react';

export function useScreenAwake(): void {
  useEffect(() => {
    let held: WakeLockSentinel | null = null;
    let isGone = false;
    const ask = async () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        const lock = await navigator.wakeLock.request('screen');
        if (isGone) await lock.release();
        else held = lock;
      } catch {
        // a low battery forbids it: the screen sleeps as it is used to
      }
    };
    const again = () => void ask();
    void ask();
    document.addEventListener('visibilitychange', again);
    return () => {
      isGone = true;
      document.removeEventListener('visibilitychange', again);
      void held?.release();
    };
  }, []);
}
