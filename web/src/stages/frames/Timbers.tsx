/** What a frame of sawn timber, or a mould, is put together from: its stock; each piece with its ends and bevels. */
import Typography from '@mui/material/Typography';
import type { EditValue } from '@kalotrope/core/findings';
import {
  bevelWords,
  endsWords,
  framesStage,
  ORDER_OF_WORK,
  type Frame,
  type FramesPart,
  type TimberSettings,
} from '@kalotrope/core/frames';
import { formatFine, formatScantling, formatThickness, formatWithUnit, unitLabel } from '@kalotrope/core/measure';
import { LengthField } from '../../controls/LengthField';
import { OptionalLength } from '../../controls/OptionalLength';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { plural } from '../../controls/words';
import { edited } from '../../state/document-slice';
import { selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { PLATE_FACES, TIMBER_CORNERS, TIMBER_SECTION } from './frame-words';

type Props = { readonly frame: Frame; readonly part: FramesPart };

export function Timbers({ frame, part }: Props) {
  if (!frame.timbered) return null;
  const pieces = frame.timbered.timbers.reduce((sum, { isPair }) => sum + (isPair ? 2 : 1), 0);
  const key = frame.kind === 'mould' ? 'moulds' : 'sawn';
  return (
    <Section title={TIMBER_SECTION} aside={plural(pieces, 'piece')}>
      <p className="quiet">
        The stock and the joints are the same in {key === 'moulds' ? 'all moulds' : 'all sawn frames'}.
      </p>
      <Stock stock={part[key]} of={key} />
      <Pieces frame={frame} />
      <Typography variant="subtitle2" component="h3">
        In this order, and no cut spoils an earlier one
      </Typography>
      <ol className="quiet">
        {ORDER_OF_WORK.map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ol>
    </Section>
  );
}

type StockProps = { readonly stock: TimberSettings; readonly of: 'sawn' | 'moulds' };

/** The height at which a spall is first offered: under most sheers, over most bottoms. */
const SPALL_MM = 250;

function Stock({ stock, of }: StockProps) {
  const dispatch = useAppDispatch();
  const pathTo = (...path: readonly string[]) => [framesStage.name, of, ...path];
  const set =
    (...path: readonly string[]) =>
    (value: EditValue) =>
      void dispatch(
        edited({
          label: `Timber of ${of === 'moulds' ? 'moulds' : 'frames'}`,
          edits: [{ path: pathTo(...path), value }],
        }),
      );
  const length = (label: string, mm: number, ...path: readonly string[]) => (
    <LengthField label={label} mm={mm} onCommit={set(...path)} path={pathTo(...path)} />
  );
  const { plate, spall } = stock;
  return (
    <div className="field-grid no-print">
      <SelectField label="At the corners" value={stock.corner} names={TIMBER_CORNERS} onChange={set('corner')} />
      {length('Floor timber, broad', stock.floor, 'floor')}
      {length('Side timber, broad', stock.side, 'side')}
      <SelectField
        label="Gussets"
        value={String(plate.faces) as keyof typeof FACES}
        names={FACES}
        onChange={(faces) => set('plate', 'faces')(Number(faces))}
      />
      {plate.faces > 0 && length('Gusset, thick', plate.thickness, 'plate', 'thickness')}
      {plate.faces > 0 && length('Gusset along a timber', plate.leg, 'plate', 'leg')}
      <OptionalLength
        label="Cross-spall, lower edge up"
        mm={spall.height}
        offer="Add a cross-spall"
        remove="Without a spall"
        start={SPALL_MM}
        onChange={set('spall', 'height')}
        path={pathTo('spall', 'height')}
      />
      {spall.height !== null && length('Cross-spall, broad', spall.breadth, 'spall', 'breadth')}
    </div>
  );
}

const FACES: Readonly<Record<'0' | '1' | '2', string>> = PLATE_FACES;

const COLUMNS = [{ name: 'piece' }, ...['how many', 'long'].map((name) => ({ name, isFigure: true })), { name: 'of' }];

function Pieces({ frame }: { readonly frame: Frame }) {
  const notation = useAppSelector(selectNotation);
  const { timbers = [], plates = [], spall } = frame.timbered ?? {};
  const size = (mm: number) => formatScantling(mm, notation);
  return (
    <>
      <p className="quiet">Long point to long point, in {unitLabel(notation)}.</p>
      <PlainTable
        label="Pieces"
        columns={COLUMNS}
        rows={[
          ...timbers.map(({ id, name, isPair, lengthMm, breadthMm, thicknessMm }) => ({
            key: id,
            cells: [name, isPair ? 2 : 1, formatFine(lengthMm, notation), `${size(breadthMm)} × ${size(thicknessMm)}`],
          })),
          ...plates.map(({ id, name, isPair, faces, thicknessMm }) => ({
            key: id,
            cells: [name, (isPair ? 2 : 1) * faces, '', `${formatThickness(thicknessMm, notation)} ply`],
          })),
          ...(spall
            ? [{ key: 'spall', cells: ['Cross-spall', 1, formatFine(spall.lengthMm, notation), size(spall.breadthMm)] }]
            : []),
        ]}
      />
      <Typography variant="subtitle2" component="h3">
        Edges and ends
      </Typography>
      <dl className="quiet">
        {timbers.map((timber) => (
          <div key={timber.id}>
            <dt>{timber.name}</dt>
            <dd>outer edge: {bevelWords(timber)}</dd>
            {timber.hollowMm >= SEEN_MM && (
              <dd>dress up to {formatWithUnit(timber.hollowMm, notation)} off it, to the curve of the skin</dd>
            )}
            {endsWords(timber, frame, notation).map((words) => (
              <dd key={words}>{words}</dd>
            ))}
          </div>
        ))}
      </dl>
    </>
  );
}

/** Less is left by a plane. */
const SEEN_MM = 0.5;
