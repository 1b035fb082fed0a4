import Button from '@mui/material/Button';
import { memo } from 'react';
import { useStable } from './use-stable';

type Props = { readonly label: string; readonly onAct: () => void };

/** A small button that says what it does. */
export function Act({ label, onAct }: Props) {
  return <StillButton label={label} onAct={useStable(onAct)} />;
}

const StillButton = memo(function StillButton({ label, onAct }: Props) {
  return (
    <Button size="small" onClick={onAct}>
      {label}
    </Button>
  );
});
