/** What every product has that is bought in tins: its name, what is in a pack, the price, how many are there. */
import Button from '@mui/material/Button';
import type { EditValue } from '@kalotrope/core/findings';
import { mlPerShown, volumeUnit, type Notation } from '@kalotrope/core/measure';
import { NameField } from '../../controls/NameField';
import { NumberField } from '../../controls/NumberField';
import { edited } from '../../state/document-slice';
import { useAppDispatch } from '../../state/store';

type Sold = { readonly name: string; readonly packMl: number; readonly price: number; readonly onHand: number };
type Props = {
  /** Where it is kept in the project. */
  readonly of: readonly string[];
  readonly sold: Sold;
  readonly notation: Notation;
  readonly onTakeOut: () => void;
};

export function SoldFields({ of, sold, notation, onTakeOut }: Props) {
  const dispatch = useAppDispatch();
  const set = (key: keyof Sold) => (value: EditValue) =>
    void dispatch(edited({ label: sold.name, edits: [{ path: [...of, key], value }] }));
  const unit = mlPerShown(notation);
  const field = (key: 'packMl' | 'price' | 'onHand', label: string, one = 1) => (
    <NumberField
      label={label}
      value={sold[key] / one}
      onCommit={(value) => set(key)(value * one)}
      path={[...of, key]}
      unit={one}
    />
  );
  return (
    <>
      <NameField label="Its name" value={sold.name} most={120} onCommit={set('name')} />
      <Button size="small" onClick={onTakeOut}>
        Take it out
      </Button>
      {field('packMl', `In a pack, ${volumeUnit(notation)}`, unit)}
      {field('price', 'Price of a pack')}
      {field('onHand', 'Packs of it there')}
    </>
  );
}

/** An id that none of them has. */
export function freeProductId(taken: readonly { readonly id: string }[], word: string): string {
  let number = taken.length + 1;
  while (taken.some(({ id }) => id === `${word}-${number}`)) number++;
  return `${word}-${number}`;
}
