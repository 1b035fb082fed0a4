/** A wall's openings, how it is marked out, and its foot as a table. */
import Button from '@mui/material/Button';
import {
  footRows,
  plainWallOpening,
  runsAcross,
  wallRows,
  type FittedWall,
  type WallOpening,
  type WallPlan,
} from '@kalotrope/core/fitout';
import { formatDeg, formatFine, unitLabel } from '@kalotrope/core/measure';
import { PlainTable } from '../../../controls/PlainTable';
import { Section } from '../../../controls/Section';
import { SelectField } from '../../../controls/SelectField';
import { plural } from '../../../controls/words';
import { selectNotation } from '../../../state/selectors';
import { useAppSelector } from '../../../state/store';
import { SHAPES } from '../words';
import { useWallEdit } from './use-wall-edit';
import { WallLength } from './WallLength';
import { FOOT_SECTION, MARKED_SECTION, OPENINGS_SECTION } from './words';

type Props = { readonly plan: WallPlan; readonly wall: FittedWall | undefined };

/** The most that a wall takes. */
const MOST = 12;

export function WallOpenings({ plan, wall }: Props) {
  const notation = useAppSelector(selectNotation);
  const { set } = useWallEdit(plan);
  const { openings } = plan;
  const foot = wall?.pieces[0]?.atSkin[0]?.lengthMm ?? 0;
  const rows = wall?.pieces[0] ? wallRows(wall.pieces[0]) : [];
  const long = foot > 0 ? foot : Math.max(0, ...rows.map(({ along }) => along));
  return (
    <Section title={OPENINGS_SECTION} aside={plural(openings.length, 'opening')}>
      {openings.map((opening, i) => (
        <div key={opening.id} role="group" aria-label={`Opening ${i + 1}`}>
          <div className="field-grid no-print">
            <OpeningFields plan={plan} opening={opening} />
          </div>
          <Button
            size="small"
            className="no-print"
            aria-label={`Take out opening ${i + 1}`}
            onClick={() => set('an opening taken out', 'openings')(openings.filter(({ id }) => id !== opening.id))}
          >
            Take it out
          </Button>
        </div>
      ))}
      <Button
        className="no-print"
        disabled={openings.length >= MOST}
        onClick={() => set('an opening', 'openings')([...openings, plainWallOpening(plan, long, notation)])}
      >
        Add an opening
      </Button>
    </Section>
  );
}

function OpeningFields({ plan, opening }: { readonly plan: WallPlan; readonly opening: WallOpening }) {
  const { set } = useWallEdit(plan);
  const length = (label: string, key: 'along' | 'up' | 'long' | 'wide' | 'corner') => (
    <WallLength plan={plan} label={label} mm={opening[key]} path={['openings', opening.id, key]} />
  );
  return (
    <>
      <SelectField
        label="Its shape"
        value={opening.shape}
        names={SHAPES}
        onChange={set('an opening’s shape', 'openings', opening.id, 'shape')}
      />
      {length(runsAcross(plan.kind) ? 'From the centreline' : 'Along the foot', 'along')}
      {length('Middle, over the foot', 'up')}
      {length('Length', 'long')}
      {length('Height', 'wide')}
      {opening.shape === 'rounded' && length('Corner radius', 'corner')}
    </>
  );
}

const MARKED = ['along the base', 'lower edge', 'upper edge'].map((name) => ({ name, isFigure: true }));
const FOOT = ['from the stem', 'out', 'up', 'leans'].map((name) => ({ name, isFigure: true }));

export function WallTables({ wall }: Pick<Props, 'wall'>) {
  const notation = useAppSelector(selectNotation);
  if (!wall) return null;
  const foot = footRows(wall);
  return (
    <>
      <Section title={MARKED_SECTION}>
        <p className="quiet">
          In {unitLabel(notation)}, from a straight base line along its lowest place; begun at the left of the drawing.
        </p>
        {wall.pieces.map((piece) => (
          <PlainTable
            key={piece.id}
            label={`${piece.name}, marked out`}
            columns={MARKED}
            rows={wallRows(piece).map(({ along, lower, upper }) => ({
              key: String(along),
              cells: [along, lower, upper].map((mm) => formatFine(mm, notation)),
            }))}
          />
        ))}
      </Section>
      {foot.length > 0 && (
        <Section title={FOOT_SECTION} aside={wall.isSquare ? 'cut square' : 'bevelled'}>
          <p className="quiet">
            Its outer face, in {unitLabel(notation)}; leans: away from square to what it stands on.
          </p>
          <PlainTable
            label="Along its foot"
            columns={FOOT}
            rows={foot.map(({ space, bevelDeg }) => ({
              key: space.join(' '),
              cells: [...space.map((mm) => formatFine(mm, notation)), formatDeg(bevelDeg, 1)],
            }))}
          />
        </Section>
      )}
    </>
  );
}
