import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { useEffect, useState } from 'react';
import { registerSW } from 'virtual:pwa-register';

/** How often a page that stays open asks whether there is a new version. */
const ASK_MS = 3600 * 1000;

/**
 * Has the browser keep the whole application, so that it runs without its server. A new version waits until the
 * builder takes it; a page that finds its own parts gone from the server, before they were kept, says so.
 */
export function NewVersion() {
  const [take, setTake] = useState<(() => void) | null>(null);
  const [isAway, setIsAway] = useState(false);
  useEffect(() => {
    const update = registerSW({
      onNeedRefresh: () => setTake(() => () => void update(true)),
      onRegisteredSW: (_address, registration) => {
        setInterval(() => void registration?.update().catch(() => undefined), ASK_MS);
      },
    });
    const reload = () => setTake(() => () => window.location.reload());
    window.addEventListener('vite:preloadError', reload);
    return () => window.removeEventListener('vite:preloadError', reload);
  }, []);
  return (
    <Snackbar
      open={take !== null && !isAway}
      message="A new version of Kalotrope is ready. Your boats stay as they are."
      action={
        <>
          <Button color="inherit" onClick={() => take?.()}>
            Load it
          </Button>
          <Button color="inherit" onClick={() => setIsAway(true)}>
            Later
          </Button>
        </>
      }
    />
  );
}
