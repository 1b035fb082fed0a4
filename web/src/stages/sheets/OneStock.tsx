/** One row of the stock: its size and how many; under More its price, its wood, what is there, what is spoiled. */
import { useState } from 'react';
import { formatWithUnit } from '@kalotrope/core/measure';
import type { StockSheet } from '@kalotrope/core/sheets';
import { edited } from '../../state/document-slice';
import { Act } from '../../controls/Act';
import { LengthField } from '../../controls/LengthField';
import { NameField } from '../../controls/NameField';
import { NumberField } from '../../controls/NumberField';
import { selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

type Props = { readonly sheet: StockSheet; readonly label: string; readonly onTakeOut: () => void };

export function OneStock({ sheet, label, onTakeOut }: Props) {
  const [isOpen, setIsOpen] = useState(false);
  const dispatch = useAppDispatch();
  const path = (key: keyof StockSheet) => ['sheets', 'stock', sheet.id, key];
  const set =
    <Value extends string | number>(key: keyof StockSheet, said: string) =>
    (value: Value) =>
      dispatch(edited({ label: said, edits: [{ path: path(key), value }] }));
  return (
    <>
      <div className="field-grid" style={{ marginTop: 10 }}>
        <LengthField
          label={`${label}, length`}
          mm={sheet.width}
          path={path('width')}
          onCommit={set('width', 'Sheet length')}
        />
        <LengthField
          label={`${label}, width`}
          mm={sheet.height}
          path={path('height')}
          onCommit={set('height', 'Sheet width')}
        />
        <NumberField
          label={`${label}, how many`}
          value={sheet.qty}
          path={path('qty')}
          onCommit={set('qty', 'Sheets that may be used')}
        />
        <Act label={isOpen ? 'Less' : 'More'} onAct={() => setIsOpen(!isOpen)} />
      </div>
      {isOpen && (
        <>
          <div className="field-grid" style={{ marginTop: 10 }}>
            <NumberField
              label="Of these there already"
              value={sheet.onHand}
              path={path('onHand')}
              onCommit={set('onHand', 'Sheets that are there')}
            />
            <NumberField
              label="Price of one"
              value={sheet.price}
              path={path('price')}
              onCommit={set('price', 'Price of a sheet')}
            />
            <LengthField
              label="Its thickness"
              mm={sheet.thickness}
              path={path('thickness')}
              onCommit={set('thickness', 'Thickness of a sheet')}
            />
            <NameField label="Wood" value={sheet.kind} most={40} mayBeEmpty onCommit={set('kind', 'Wood of a sheet')} />
            <NameField
              label="Grade of its faces"
              value={sheet.grade}
              most={40}
              mayBeEmpty
              onCommit={set('grade', 'Grade of a sheet')}
            />
            <NameField
              label="Called"
              value={sheet.name}
              most={60}
              mayBeEmpty
              onCommit={set('name', 'Name of a sheet')}
            />
          </div>
          <Zones sheet={sheet} />
          <Act label="Take it out of the stock" onAct={onTakeOut} />
        </>
      )}
    </>
  );
}

/** Spoiled places, each to be let go. */
function Zones({ sheet }: { readonly sheet: StockSheet }) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const say = (mm: number) => formatWithUnit(mm, notation);
  return sheet.zones.map(({ id, x, y, width, height }) => (
    <p className="quiet" key={id}>
      Kept clear of: {say(width)} × {say(height)}, {say(x)} from the left, {say(y)} from below.{' '}
      <Act
        label="Use it after all"
        onAct={() =>
          dispatch(
            edited({
              label: 'Spoiled place used',
              edits: [
                { path: ['sheets', 'stock', sheet.id, 'zones'], value: sheet.zones.filter((one) => one.id !== id) },
              ],
            }),
          )
        }
      />
    </p>
  ));
}
