/** Offcuts of earlier sheets and boats that lie ready: put into this boat's stock, or thrown away. */
import { useEffect, useState } from 'react';
import { formatThickness, formatWithUnit } from '@kalotrope/core/measure';
import type { Project } from '@kalotrope/core/project';
import { withOffcut, type StockSheet } from '@kalotrope/core/sheets';
import { Act } from '../../controls/Act';
import { offcutsOnRack, takeOffRack, type KeptOffcut } from '../../storage/offcuts';

type Props = { readonly project: Project; readonly onTake: (stock: StockSheet[]) => void };

export function OffcutRack({ project, onTake }: Props) {
  const [offcuts, setOffcuts] = useState<readonly KeptOffcut[]>([]);
  const look = () => void offcutsOnRack().then(setOffcuts, () => setOffcuts([]));
  useEffect(look, []);
  const { notation, sheets } = project;
  // what is in this boat's stock is not offered again; taken out of that, it is
  const free = offcuts.filter(({ id }) => !sheets.stock.some((sheet) => sheet.id === id));
  if (free.length === 0) return null;
  const drop = (id: string) => void takeOffRack(id).then(look, look);
  return (
    <>
      <p className="quiet">On the rack:</p>
      {free.map(({ id, name, thickness, kind, width, height, outline }) => (
        <div key={id}>
          <p>
            {name}: {formatThickness(thickness, notation)}, {formatWithUnit(width, notation)} ×{' '}
            {formatWithUnit(height, notation)}
          </p>
          <div className="acts">
            <Act
              label="Use it for this boat"
              onAct={() => onTake(withOffcut(sheets.stock, { id, name, thickness, kind, width, height, outline }))}
            />
            <Act label="Throw it away" onAct={() => drop(id)} />
          </div>
        </div>
      ))}
    </>
  );
}
