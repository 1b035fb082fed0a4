/** The sheets that are there or can be bought, what parts are made of, and the rack of offcuts. */
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Menu from '@mui/material/Menu';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { formatWithUnit } from '@kalotrope/core/measure';
import type { Project } from '@kalotrope/core/project';
import { usualSizes, withSheet, type StockSheet } from '@kalotrope/core/sheets';
import { edited } from '../../state/document-slice';
import { LengthField } from '../../controls/LengthField';
import { NameField } from '../../controls/NameField';
import { Section } from '../../controls/Section';
import { useAppDispatch } from '../../state/store';
import { OneStock } from './OneStock';
import { OffcutRack } from './OffcutRack';
import { stockLabel } from './stock-label';

const MOST = 30;
const PAIRS = 'Pairs cut two at once';
const KINDS = [
  ['skin', 'Skin is of'],
  ['transoms', 'Transoms are of'],
  ['inside', 'Parts within are of'],
] as const;

export function StockSheets({ project }: { readonly project: Project }) {
  const dispatch = useAppDispatch();
  const { sheets, notation } = project;
  const put = (label: string, value: readonly StockSheet[]) =>
    dispatch(edited({ label, edits: [{ path: ['sheets', 'stock'], value: [...value] }] }));
  const set = (key: 'gap' | 'margin', label: string) => (value: number) =>
    dispatch(edited({ label, edits: [{ path: ['sheets', key], value }] }));
  const setKind = (key: (typeof KINDS)[number][0]) => (value: string) =>
    dispatch(edited({ label: 'What parts are made of', edits: [{ path: ['sheets', 'kinds', key], value }] }));
  return (
    <Section title="Stock and spacing">
      <div className="field-grid">
        <LengthField
          label="Gap for the cut"
          mm={sheets.gap}
          onCommit={set('gap', 'Gap for the cut')}
          path={['sheets', 'gap']}
        />
        <LengthField
          label="Margin at the edge"
          mm={sheets.margin}
          onCommit={set('margin', 'Margin at the edge')}
          path={['sheets', 'margin']}
        />
      </div>
      <FormControlLabel
        label={PAIRS}
        control={
          <Checkbox
            checked={sheets.stacked}
            onChange={(_, isStacked) =>
              dispatch(edited({ label: 'Cut two at once', edits: [{ path: ['sheets', 'stacked'], value: isStacked }] }))
            }
          />
        }
      />
      {sheets.stacked && (
        <p className="quiet">
          Both hands are laid out on two sheets as mirror images: with the two screwed on one another, the lower one
          turned over, one cut gives both. It may take a sheet more.
        </p>
      )}
      {sheets.stock.map((sheet, i) => (
        <OneStock
          key={sheet.id}
          sheet={sheet}
          label={stockLabel(sheets.stock, i, notation)}
          onTakeOut={() =>
            put(
              'Sheet taken out of the stock',
              sheets.stock.filter((one) => one !== sheet),
            )
          }
        />
      ))}
      {sheets.stock.length < MOST && <AddSheet project={project} onAdd={(stock) => put('Sheet added', stock)} />}
      <OffcutRack project={project} onTake={(stock) => put('Offcut from the rack', stock)} />
      <p className="quiet">
        Where sheets of one thickness are of several woods, say which parts are of which; a sheet’s own wood is under
        More. Empty: not told apart.
      </p>
      <div className="field-grid">
        {KINDS.map(([key, label]) => (
          <NameField key={key} label={label} value={sheets.kinds[key]} most={40} mayBeEmpty onCommit={setKind(key)} />
        ))}
      </div>
    </Section>
  );
}

type AddProps = { readonly project: Project; readonly onAdd: (stock: StockSheet[]) => void };

/** One more, of a size that is sold; of the thickness of the last. */
function AddSheet({ project, onAdd }: AddProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { notation, sheets, panels } = project;
  const last = sheets.stock[sheets.stock.length - 1];
  const thickness = last?.thickness ?? panels.thickness;
  return (
    <>
      <Button size="small" onClick={({ currentTarget }) => setAnchor(currentTarget)}>
        Add a sheet
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {usualSizes(notation).map(({ width, height }) => (
          <MenuItem
            key={`${width} ${height}`}
            onClick={() => {
              setAnchor(null);
              onAdd(withSheet(sheets.stock, { width, height, thickness, kind: last?.kind ?? '' }));
            }}
          >
            {formatWithUnit(width, notation)} × {formatWithUnit(height, notation)}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
