/** One pot: what the scale shows after each pour, by volume beside it, what it is for and how long there is. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { PlannedPot, Stretch } from '@kalotrope/core/epoxy';
import { formatShare, formatVolume, massUnit, type Notation } from '@kalotrope/core/measure';
import type { Project } from '@kalotrope/core/project';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { scaleFigure } from './shown';

type Resin = Project['epoxy']['resin'];
type Props = {
  readonly pot: PlannedPot;
  readonly resin: Resin;
  readonly isDone: boolean;
  readonly isNext: boolean;
  readonly onWeigh: () => void;
};

export function PotCard({ pot, resin, isDone, isNext, onWeigh }: Props) {
  const notation = useAppSelector(selectNotation);
  return (
    <Box
      component="section"
      aria-label={`Pot ${pot.number}`}
      sx={{
        ...{ border: 1, borderColor: isNext ? 'primary.main' : 'divider', p: 1.5 },
        bgcolor: isDone ? 'background.default' : 'background.paper',
      }}
    >
      <Typography variant="h2">
        Pot {pot.number}
        {isDone && ': mixed'}
      </Typography>
      <PourTable pot={pot} resin={resin} notation={notation} />
      <Typography variant="body2">{coversWords(pot.covers)}</Typography>
      <Typography variant="body2" color="text.secondary">
        {pot.minutes.toFixed(0)} min of work; it goes off in {pot.potLife.toFixed(0)}.
      </Typography>
      <Button
        className="no-print"
        variant={isNext ? 'contained' : 'text'}
        onClick={onWeigh}
        sx={{ mt: 1, minHeight: 44 }}
      >
        {isDone ? 'Weigh it again' : 'Weigh this pot'}
      </Button>
    </Box>
  );
}

type PourProps = { readonly pot: PlannedPot; readonly resin: Resin; readonly notation: Notation };

/** The scale stays as it is between pours: it shows the sum. */
function PourTable({ pot, resin, notation }: PourProps) {
  const figure = (grams: number) => scaleFigure(grams, notation, resin.scale);
  const strokes = (grams: number, each: number) => (each > 0 ? `, ${(grams / each).toFixed(1)} strokes` : '');
  const rows = [
    ['Resin', pot.a, pot.readings[0], formatVolume(pot.aMl, notation) + strokes(pot.a, resin.strokeA)],
    ['Hardener', pot.b, pot.readings[1], formatVolume(pot.bMl, notation) + strokes(pot.b, resin.strokeB)],
    ...(pot.filler > 0 ? [['Filler', pot.filler, pot.readings[2], 'after stirring'] as const] : []),
  ] as const;
  return (
    <table className="plain-table" aria-label={`Pours of pot ${pot.number}`}>
      <thead>
        <tr>
          <th scope="col">pour</th>
          <th scope="col" className="figure">
            {massUnit(notation)}
          </th>
          <th scope="col" className="figure">
            scale shows
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([what, grams, shows, beside]) => (
          <tr key={what}>
            <td>
              {what}
              <span className="quiet"> {beside}</span>
            </td>
            <td className="figure">{figure(grams)}</td>
            <td className="figure">
              <strong style={{ fontSize: 18 }}>{figure(shows)}</strong>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** "Keel; bottom to side, the first 40 %". */
export function coversWords(covers: readonly Stretch[]): string {
  const words = covers.map(({ item, from, to }) => {
    if (from < WHOLE && to > 1 - WHOLE) return item;
    if (from < WHOLE) return `${item}, the first ${formatShare(to)}`;
    if (to > 1 - WHOLE) return `${item}, the last ${formatShare(1 - from)}`;
    return `${item}, from ${formatShare(from)} to ${formatShare(to)}`;
  });
  const shown = words.slice(0, MOST_NAMED);
  const more = words.length > MOST_NAMED ? `; and ${words.length - MOST_NAMED} more` : '';
  return `For ${shown.join('; ')}${more}.`;
}

/** As much as nobody sees. */
const WHOLE = 0.005;
const MOST_NAMED = 6;
