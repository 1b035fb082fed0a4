/** How many more of the picked piece are cut; one that was spoiled is cut again, and what is left of it kept. */
import { asKept, type CutPart, type Piece, type SheetsPart } from '@kalotrope/core/sheets';
import type { Project } from '@kalotrope/core/project';
import { Act } from '../../controls/Act';
import { numberBetween, NumberField } from '../../controls/NumberField';
import { edited } from '../../state/document-slice';
import { said } from '../../state/screen-slice';
import { useAppDispatch } from '../../state/store';
import { putOnRack } from '../../storage/offcuts';

type Props = { readonly piece: Piece; readonly part: CutPart | undefined; readonly project: Project };

const MOST = 20;

export function Spares({ piece, part, project }: Props) {
  const dispatch = useAppDispatch();
  const { spares } = project.sheets;
  const id = piece.spareOf ?? piece.id;
  const qty = spares.find((one) => one.id === id)?.qty ?? 0;
  const put = (label: string, next: number) => {
    const others = spares.filter((one) => one.id !== id);
    const value: SheetsPart['spares'] = next > 0 ? [...others, { id, qty: next }] : others;
    dispatch(edited({ label, edits: [{ path: ['sheets', 'spares'], value }] }));
  };
  const again = () => {
    if (!part) return;
    put(`${piece.name} cut again`, qty + 1);
    const { thickness, kind, outline } = part;
    const name = `${project.name}, ${piece.name}, spoiled`.slice(0, 60);
    void putOnRack({ id: crypto.randomUUID(), name, thickness, kind, ...asKept({ outline }) }).then(
      () => dispatch(said(`Cut again; what is left of it is on the rack: ${name}`)),
      () => dispatch(said('Cut again; this browser did not put the spoiled one on the rack')),
    );
  };
  return (
    <div className="no-print" style={{ display: 'grid', gap: 8, justifyItems: 'start', marginTop: 12 }}>
      <NumberField
        label="Spares of it"
        value={qty}
        read={numberBetween(0, MOST, true)}
        onCommit={(next) => put('Spares', next)}
      />
      {qty < MOST && <Act label="It was spoiled: cut it again" onAct={again} />}
    </div>
  );
}
