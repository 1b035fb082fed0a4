import type { StageName } from '@kalotrope/core/project';
import Button from '@mui/material/Button';
import { lazy, Suspense, useState, type ReactNode } from 'react';
import { useAppSelector } from '../state/store';

const OpenExportMenu = lazy(() => import('./OpenExportMenu'));

export function ExportMenu({ stage, icon }: { readonly stage: StageName; readonly icon: ReactNode }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const hasWork = useAppSelector((state) => state.document.project !== null && state.derived.derived !== null);
  if (!hasWork) return null;
  return (
    <>
      <Button
        variant="contained"
        startIcon={icon}
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        Export
      </Button>
      {anchor && (
        <Suspense fallback={null}>
          <OpenExportMenu stage={stage} anchor={anchor} onClose={() => setAnchor(null)} />
        </Suspense>
      )}
    </>
  );
}
