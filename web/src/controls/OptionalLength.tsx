import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Edit } from '@kalotrope/core/findings';
import { LengthField } from './LengthField';

type Props = {
  readonly mm: number | null;
  readonly label: string;
  readonly offer: string;
  readonly remove: string;
  readonly start: number;
  readonly onChange: (mm: number | null) => void;
  readonly path: Edit['path'];
};

/** A length that there need not be: a button that asks for it, or its field with one that takes it off. */
export function OptionalLength({ mm, label, offer, remove, start, onChange, path }: Props) {
  if (mm === null) return <Button onClick={() => onChange(start)}>{offer}</Button>;
  return (
    <Box>
      <LengthField label={label} mm={mm} onCommit={onChange} path={path} />
      <Button size="small" onClick={() => onChange(null)}>
        {remove}
      </Button>
    </Box>
  );
}
