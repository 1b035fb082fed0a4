/** Long pieces that the builder adds: rails, runners, battens. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import type { OwnRun } from '@kalotrope/core/timber';
import { edited } from '../../state/document-slice';
import { selectProject } from '../../state/selectors';
import { LengthField } from '../../controls/LengthField';
import { NameField } from '../../controls/NameField';
import { NumberField } from '../../controls/NumberField';
import { Section } from '../../controls/Section';
import { useAppDispatch, useAppSelector } from '../../state/store';

const NEW = { width: 40, depth: 20, length: 4000, qty: 2, mayScarf: true };
const MOST = 100;

export function OwnRuns() {
  const own = useAppSelector((state) => selectProject(state)?.timber.own) ?? [];
  const dispatch = useAppDispatch();
  const put = (label: string, value: readonly OwnRun[]) =>
    dispatch(edited({ label, edits: [{ path: ['timber', 'own'], value: [...value] }] }));
  const add = () => {
    let number = own.length + 1;
    while (own.some(({ id }) => id === `run-${number}`)) number++;
    put('Long piece added', [...own, { id: `run-${number}`, name: `Piece ${number}`, ...NEW }]);
  };
  return (
    <Section title="Pieces of your own" aside={own.length > 0 ? String(own.length) : undefined}>
      {own.map((run) => (
        <OneRun
          key={run.id}
          run={run}
          onTakeOut={() =>
            put(
              `${run.name} taken out`,
              own.filter((one) => one !== run),
            )
          }
        />
      ))}
      <Button onClick={add} disabled={own.length >= MOST}>
        Add a long piece
      </Button>
    </Section>
  );
}

function OneRun({ run, onTakeOut }: { readonly run: OwnRun; readonly onTakeOut: () => void }) {
  const dispatch = useAppDispatch();
  const path = (key: keyof OwnRun) => ['timber', 'own', run.id, key];
  const set = (key: keyof OwnRun, label: string) => (value: string | number | boolean) =>
    dispatch(edited({ label: `${run.name}: ${label}`, edits: [{ path: path(key), value }] }));
  const length = (key: 'width' | 'depth' | 'length', label: string) => (
    <LengthField label={label} mm={run[key]} onCommit={set(key, label.toLowerCase())} path={path(key)} />
  );
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.25, mb: 1.5 }}>
      <Box sx={{ gridColumn: '1 / 3' }}>
        <NameField label="Name of the piece" value={run.name} most={60} onCommit={set('name', 'name')} />
      </Box>
      {length('width', 'Width')}
      {length('depth', 'Depth')}
      {length('length', 'Length')}
      <NumberField label="How many" value={run.qty} onCommit={set('qty', 'how many')} path={path('qty')} />
      <FormControlLabel
        control={<Checkbox checked={run.mayScarf} onChange={(_, is) => set('mayScarf', 'scarfed or not')(is)} />}
        label="May be scarfed"
      />
      <Button onClick={onTakeOut}>Take it out</Button>
    </Box>
  );
}
