import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { EditValue } from '@kalotrope/core/findings';
import { formatDeg, formatFine, formatLength, formatWithUnit, unitLabel } from '@kalotrope/core/measure';
import { isSplitLine, type Panel, type PanelsPart, type RoundedChine, type RoundedStrip } from '@kalotrope/core/panels';
import { edited } from '../../state/document-slice';
import { Act } from '../../controls/Act';
import { LengthField } from '../../controls/LengthField';
import { Section } from '../../controls/Section';
import { NumberField, numberBetween } from '../../controls/NumberField';
import { PlainTable } from '../../controls/PlainTable';
import { Figure } from '../../controls/Figure';
import { selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector, useAppStore } from '../../state/store';
import { useNames } from './SheetSettings';

type Props = {
  readonly panels: readonly Panel[];
  readonly strips: readonly RoundedStrip[];
  readonly part: PanelsPart;
};

/** What a rounding starts from: layers that a radius of two hands takes dry. */
const START = { radius: 200, layer: 1.5, sag: 2 } as const;

/** Corners between panels that are made round: which, how, and the strip that goes there. */
export function RoundedChines({ panels, strips, part }: Props) {
  const nameOf = useNames();
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const chines = part.roundedChines;
  const corners = panels
    .slice(1)
    .map((panel) => panel.edges[0].line)
    .filter((line) => !isSplitLine(line, panels));
  const sharp = corners.filter((line) => !chines.some(({ id }) => id === line));
  // from the list as it is then: what is shown here may lag behind an edit
  const set = (label: string, change: (now: readonly RoundedChine[]) => readonly RoundedChine[]) => {
    const value = change(store.getState().document.project?.panels.roundedChines ?? []) as EditValue; // a plain list
    dispatch(edited({ label, edits: [{ path: ['panels', 'roundedChines'], value }] }));
  };
  const alter = (id: string, own: Partial<RoundedChine>) =>
    dispatch(
      edited({
        label: 'Rounded chine',
        edits: Object.entries(own).map(([key, value]) => ({ path: ['panels', 'roundedChines', id, key], value })),
      }),
    );
  if (corners.length === 0) return null;
  const layers = Math.min(8, Math.max(2, Math.round(part.thickness / START.layer)));
  const rounding = (id: string): RoundedChine => ({
    id,
    radiusFore: START.radius,
    radiusAft: START.radius,
    layers,
    layerThickness: Number((part.thickness / layers).toFixed(2)),
    sag: START.sag,
  });
  return (
    <Section title="Rounded chines">
      {chines.length === 0 && (
        <p className="quiet">
          A corner can be made round: a strip of thin layers, bent over a mould, between panels that stand back from it.
        </p>
      )}
      {chines.map((chine) => (
        <OneRounding
          key={chine.id}
          chine={chine}
          strip={strips.find(({ id }) => id === chine.id)}
          onChange={(own) => alter(chine.id, own)}
          onRemove={() => set('Sharp chine', (now) => now.filter(({ id }) => id !== chine.id))}
        />
      ))}
      <div className="no-print">
        {sharp.map((line) => (
          <Act
            key={line}
            label={`Round the ${nameOf(line).toLowerCase()}`}
            onAct={() => set('Round a chine', (now) => [...now, rounding(line)])}
          />
        ))}
      </div>
    </Section>
  );
}

const LAYERS = numberBetween(2, 8, true);

type OneProps = {
  readonly chine: RoundedChine;
  readonly strip: RoundedStrip | undefined;
  readonly onChange: (own: Partial<RoundedChine>) => void;
  readonly onRemove: () => void;
};

function OneRounding({ chine, strip, onChange, onRemove }: OneProps) {
  const name = useNames()(chine.id);
  return (
    <Box role="group" aria-label={`Rounding of the ${name.toLowerCase()}`} sx={{ mb: 1 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', justifyContent: 'space-between' }}>
        <Typography sx={{ fontWeight: 600 }}>{name}</Typography>
        <Button size="small" onClick={onRemove} className="no-print">
          Make it sharp
        </Button>
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.25, my: 1 }} className="no-print">
        <LengthField label="Radius, fore" mm={chine.radiusFore} onCommit={(radiusFore) => onChange({ radiusFore })} />
        <LengthField label="Radius, aft" mm={chine.radiusAft} onCommit={(radiusAft) => onChange({ radiusAft })} />
        <NumberField label="Layers" value={chine.layers} read={LAYERS} onCommit={(layers) => onChange({ layers })} />
        <LengthField
          label="Each layer"
          mm={chine.layerThickness}
          onCommit={(layerThickness) => onChange({ layerThickness })}
        />
        <LengthField label="Off the curve by" mm={chine.sag} onCommit={(sag) => onChange({ sag })} />
      </Box>
      {strip && <StripFigures strip={strip} />}
    </Box>
  );
}

const COLUMNS = [
  { name: 'piece' },
  { name: 'long', isFigure: true },
  { name: 'wide', isFigure: true },
  { name: 'ends cut', isFigure: true },
];

function StripFigures({ strip }: { readonly strip: RoundedStrip }) {
  const notation = useAppSelector(selectNotation);
  const fine = (mm: number) => formatFine(mm, notation);
  // feet, inches and eighths are wide: the after end's goes under the fore one's
  const both = (fore: string, aft: string) => (
    <span style={{ whiteSpace: 'pre-line' }}>{`${fore}${notation === 'ft-in-8ths' ? '\n' : ' '}${aft}`}</span>
  );
  const whole = (mm: number) => formatLength(mm, notation);
  const range = (a: number, b: number) => (Math.abs(a - b) < 0.05 ? fine(a) : `${fine(a)} to ${fine(b)}`);
  const { width, mouldRadius, insideRadius, buying } = strip;
  const setbacks = strip.places.map(({ setback }) => setback);
  return (
    <>
      <Figure
        name="Panels stand back"
        value={range(Math.min(...setbacks), Math.max(...setbacks))}
        why="From the line to where the arc begins: radius × tangent of half the turn between the panels"
      />
      <Figure
        name="Strip"
        value={`${formatWithUnit(strip.length, notation)} long, ${range(width.least, width.most)} wide`}
        why="Along and round the middle of its layers"
      />
      <Figure
        name="Mould’s radius"
        value={range(mouldRadius[0], mouldRadius[1])}
        why={
          `Inside radius of the finished strip ${range(insideRadius[0], insideRadius[1])}, tightened by 1/n² as ` +
          'n glued layers spring back by about that much (rule of thumb)'
        }
      />
      <Figure
        name="To buy, both sides"
        value={
          buying.perSheet > 0
            ? `${buying.sheets} sheets: ${buying.strips} strips, ${buying.perSheet} from a sheet`
            : 'wider than a sheet'
        }
        why="The sheet bent across its width and sawn along its length; pieces taken from the strips, longest first"
      />
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
        Pieces of one side by layer, from the mould outward, and number, from the bow; in {unitLabel(notation)}. Widths
        and cuts are those of the fore and the after end; a cut is so far off square, + leaves the lower side long.
      </Typography>
      <PlainTable
        label="Pieces of the strip"
        columns={COLUMNS}
        rows={strip.pieces.map((piece) => ({
          key: `${piece.layer} ${piece.number}`,
          cells: [
            `${piece.layer}.${piece.number}`,
            fine(piece.length),
            both(whole(piece.widthFore), whole(piece.widthAft)),
            both(signedDeg(piece.cutForeRad), signedDeg(piece.cutAftRad)),
          ],
        }))}
      />
    </>
  );
}

/** To a tenth of a degree, as a saw is set. */
function signedDeg(rad: number): string {
  const deg = (rad * 180) / Math.PI;
  if (Math.abs(deg) < 0.05) return '0°';
  return `${deg < 0 ? '−' : '+'}${formatDeg(Math.abs(deg), 1)}`;
}
