import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { memo } from 'react';
import { useStable } from './use-stable';

type Props<Value extends string> = {
  readonly label: string;
  readonly value: Value;
  /** Names by value, in the order in which they are offered; the same object at every drawing. */
  readonly names: Readonly<Record<Value, string>>;
  readonly onChange: (value: Value) => void;
};

/** One of a few named choices. */
export function SelectField<Value extends string>({ label, value, names, onChange }: Props<Value>) {
  const change = useStable((next: string) => onChange(next as Value)); // one of the names
  return <Choice label={label} value={value} names={names} onChange={change} />;
}

/** Drawn again only when what it shows is another: a list to choose from costs more than a whole table. */
const Choice = memo(function Choice({ label, value, names, onChange }: Props<string>) {
  return (
    <TextField
      select
      label={label}
      value={value}
      onChange={({ target }) => onChange(target.value)}
      sx={{ '& .MuiSelect-select': { fontSize: 14 } }}
    >
      {Object.entries(names).map(([key, name]) => (
        <MenuItem key={key} value={key}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
});
