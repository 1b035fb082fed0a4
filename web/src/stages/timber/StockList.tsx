/** The lengths that are sold or lie ready. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { StockStick } from '@kalotrope/core/timber';
import { edited } from '../../state/document-slice';
import { selectProject } from '../../state/selectors';
import { LengthField } from '../../controls/LengthField';
import { NumberField } from '../../controls/NumberField';
import { Section } from '../../controls/Section';
import { useAppDispatch, useAppSelector } from '../../state/store';

const MOST = 60;

export function StockList() {
  const stock = useAppSelector((state) => selectProject(state)?.timber.stock) ?? [];
  const dispatch = useAppDispatch();
  const put = (label: string, value: readonly StockStick[]) =>
    dispatch(edited({ label, edits: [{ path: ['timber', 'stock'], value: [...value] }] }));
  const add = () => {
    let number = stock.length + 1;
    while (stock.some(({ id }) => id === `stick-${number}`)) number++;
    const like = stock[stock.length - 1];
    const length = like?.length ?? 3000;
    put('Stick added', [...stock, { id: `stick-${number}`, width: 0, depth: 0, length, qty: 0, price: 0 }]);
  };
  return (
    <Section title="Sticks to be had" aside={String(stock.length)}>
      <Typography variant="body2" color="text.secondary">
        A width and depth of 0: of every section. How many and price of 0: as many as are wanted, by the timber in it.
      </Typography>
      {stock.map((stick) => (
        <OneStick
          key={stick.id}
          stick={stick}
          onTakeOut={() =>
            put(
              'Stick taken out',
              stock.filter((one) => one !== stick),
            )
          }
        />
      ))}
      <Button onClick={add} disabled={stock.length >= MOST}>
        Add a stick
      </Button>
    </Section>
  );
}

function OneStick({ stick, onTakeOut }: { readonly stick: StockStick; readonly onTakeOut: () => void }) {
  const dispatch = useAppDispatch();
  const path = (key: keyof StockStick) => ['timber', 'stock', stick.id, key];
  const set = (key: keyof StockStick, label: string) => (value: number) =>
    dispatch(edited({ label: `Stick: ${label}`, edits: [{ path: path(key), value }] }));
  const length = (key: 'width' | 'depth' | 'length', label: string) => (
    <LengthField label={label} mm={stick[key]} onCommit={set(key, label.toLowerCase())} path={path(key)} />
  );
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 1fr', gap: 1, mt: 1 }}>
      {length('length', 'Stick’s length')}
      {length('width', 'Its width')}
      {length('depth', 'Its depth')}
      <NumberField label="In stock" value={stick.qty} onCommit={set('qty', 'how many')} path={path('qty')} />
      <NumberField label="Price" value={stick.price} onCommit={set('price', 'price')} path={path('price')} />
      <Button size="small" onClick={onTakeOut}>
        Take it out
      </Button>
    </Box>
  );
}
