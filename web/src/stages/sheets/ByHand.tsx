/** What is done to layouts by hand: the picked piece turned, pinned, put on another sheet; the rest laid out again. */
import Button from '@mui/material/Button';
import { boundsOf } from '@kalotrope/core/geometry';
import {
  allKept,
  laidWith,
  nextTurn,
  onlyPinned,
  pinned,
  placedRegion,
  placesByHand,
  type LaidBatch,
  type LaidByHand,
  type Piece,
  type PutOn,
} from '@kalotrope/core/sheets';
import { edited } from '../../state/document-slice';
import { said } from '../../state/screen-slice';
import { Act } from '../../controls/Act';
import { Section } from '../../controls/Section';
import { plural } from '../../controls/words';
import { useAppDispatch } from '../../state/store';
import type { Shelf } from './shelf';

type Props = {
  readonly piece: Piece | undefined;
  readonly shelves: readonly Shelf[];
  readonly laid: readonly LaidByHand[];
};

export function ByHand({ piece, shelves, laid }: Props) {
  const dispatch = useAppDispatch();
  const put = (label: string, value: LaidByHand[]) =>
    dispatch(edited({ label, edits: [{ path: ['sheets', 'laid'], value }] }));
  const shelf = shelves.find(({ sheet }) => sheet.placements.some(({ part }) => part === piece?.id));
  const pins = laid.filter(({ isPinned }) => isPinned).length;
  return (
    <Section title="By hand" aside={pins > 0 ? `${pins} pinned` : undefined}>
      <p className="quiet">
        Drag a piece to another place, or nudge it with the arrow keys. It lies where it is clear of all others.
      </p>
      {laid.length > 0 && (
        <>
          <p className="quiet">
            {plural(laid.length, 'piece')} {laid.length === 1 ? 'lies' : 'lie'} as put by hand.
          </p>
          <div className="acts">
            {pins > 0 && (
              <Act label="Lay out the rest again" onAct={() => put('The rest laid out again', onlyPinned(laid))} />
            )}
            <Act label="Let the program lay out all" onAct={() => put('Laid out by the program', [])} />
          </div>
        </>
      )}
      {/* under what is pressed: it goes and comes again while its sheet is laid out anew */}
      {piece && shelf && <OfPiece piece={piece} shelf={shelf} laid={laid} put={put} />}
      {!piece && <p className="quiet">Pick a piece to turn it, pin it, or put it on another sheet.</p>}
    </Section>
  );
}

type KeepProps = {
  readonly laid: readonly LaidBatch[];
  readonly own: readonly LaidByHand[];
  readonly isSearching: boolean;
};

/** A layout that was found is found anew another day, and may be another one: before the first cut it is kept. */
export function KeepLayout({ laid, own, isSearching }: KeepProps) {
  const dispatch = useAppDispatch();
  if (laid.every(({ result }) => !result)) return null;
  const keep = () => {
    const edits = [{ path: ['sheets', 'laid'], value: allKept(own, laid) }];
    dispatch(edited({ label: 'Layout kept', edits }));
    dispatch(said('Kept with the boat as it lies. The shop view marks out each sheet from it'));
  };
  return (
    <Button variant="outlined" disabled={isSearching} onClick={keep}>
      Keep this layout
    </Button>
  );
}

type PieceProps = {
  readonly piece: Piece;
  readonly shelf: Shelf;
  readonly laid: readonly LaidByHand[];
  readonly put: (label: string, value: LaidByHand[]) => void;
};

/** As far as a piece may go to find room. */
const ANYWHERE_MM = 20_000;

function OfPiece({ piece, shelf, laid, put }: PieceProps) {
  const dispatch = useAppDispatch();
  const { batch, sheet, result } = shelf;
  const { job } = batch;
  const part = job.parts.find(({ id }) => id === piece.id);
  const placement = sheet.placements.find((one) => one.part === piece.id);
  if (!part || !placement) return null;
  const isPinned = laid.some((one) => one.id === piece.id && one.isPinned);
  const on = (to: PutOn) => laidWith(laid, { batch, result }, to);
  const here = { ...placement, sheet: sheet.id, index: sheet.index };
  const turn = () => {
    const rotationDeg = nextTurn(batch, piece.id, placement.rotationDeg);
    const [now, next] = [placement, { ...placement, rotationDeg }].map((one) =>
      middleOf(placedRegion(part, one).outline),
    );
    if (!now || !next) return;
    const find = placesByHand({ job, sheet: sheet.id, placements: sheet.placements, part: piece.id, rotationDeg });
    const wanted = [placement.x + now[0] - next[0], placement.y + now[1] - next[1]] as const;
    const to = find(wanted, { snapMm: 0, reachMm: ANYWHERE_MM });
    if (to) put(`${piece.name} turned`, on({ ...to, sheet: sheet.id, index: sheet.index }));
    else dispatch(said('Turned, there is no room for it on this sheet'));
  };
  /** On the first sheet of the stock that is not in use yet. */
  const toAnother = () => {
    for (const stock of job.sheets) {
      const index = result.sheets.filter(({ id }) => id === stock.id).length;
      if (index >= stock.qty) continue;
      const { rotationDeg } = placement;
      const find = placesByHand({ job, sheet: stock.id, placements: [], part: piece.id, rotationDeg });
      const to = find([0, 0], { snapMm: 0, reachMm: ANYWHERE_MM });
      if (to) return put(`${piece.name} to another sheet`, on({ ...to, sheet: stock.id, index }));
    }
    return dispatch(said('There is no other sheet in stock that it fits'));
  };
  const isOneWay = part.rotations !== 'any' && part.rotations.length < 2;
  return (
    <div className="acts">
      {!isOneWay && <Act label="Turn it" onAct={turn} />}
      <Act
        label={isPinned ? 'Take its pin out' : 'Pin it'}
        onAct={() =>
          put(isPinned ? `${piece.name} let go` : `${piece.name} pinned`, pinned(on(here), piece.id, !isPinned))
        }
      />
      <Act label="To another sheet" onAct={toAnother} />
    </div>
  );
}

function middleOf(outline: Parameters<typeof boundsOf>[0]): readonly [number, number] {
  const { minX, minY, maxX, maxY } = boundsOf(outline);
  return [(minX + maxX) / 2, (minY + maxY) / 2];
}
