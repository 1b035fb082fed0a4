import Button from '@mui/material/Button';
import type { ReactNode } from 'react';

type Props = { readonly title: string; readonly onRemove: () => void; readonly children: ReactNode };

/** The fields of one thing of a list, and the button that takes it out. */
export const One = ({ title, onRemove, children }: Props) => (
  <div role="group" aria-label={title}>
    <div className="field-grid no-print">{children}</div>
    <Button size="small" className="no-print" onClick={onRemove} aria-label={`Take out ${title.toLowerCase()}`}>
      Take it out
    </Button>
  </div>
);
