import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { pointName, pointPath } from '@kalotrope/core/lines';
import { formatFine } from '@kalotrope/core/measure';
import { edited } from '../../app/document-slice';
import { LengthField } from '../../app/LengthField';
import { selectDerived, selectNotation, selectPicked } from '../../app/selectors';
import { Figure } from '../../app/Slip';
import { useAppDispatch, useAppSelector } from '../../app/store';

const FIELDS = [
  ['x', 'x, from forward'],
  ['halfBreadth', 'Half-breadth'],
  ['height', 'Height'],
] as const;

/** The picked point's three figures, to read and to change; or the picked line's. */
export function PointNumbers() {
  const choice = useAppSelector(selectPicked);
  const derived = useAppSelector(selectDerived);
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const line =
    choice?.kind === 'point' || choice?.kind === 'line'
      ? derived?.lines.value.lines.find((other) => other.id === choice.line)
      : undefined;
  if (!line)
    return (
      <Typography variant="body2" color="text.secondary">
        A point or a line in any of the views, or a cell of the table. It is picked everywhere.
      </Typography>
    );
  const worst = Math.max(0, ...line.residuals.map((r) => r.total));
  const place = choice?.kind === 'point' ? line.points.findIndex((p) => p.index === choice.index) : -1;
  const point = line.points[place];
  if (!point)
    return (
      <Figure
        name="Least fair point is off by"
        value={formatFine(worst, notation)}
        why="Distance from the batten bent through all the other points"
      />
    );
  const label = pointName(point);
  return (
    <Box>
      <Typography variant="body2" sx={{ mb: 1.5 }}>
        {label.charAt(0).toUpperCase() + label.slice(1)}
      </Typography>
      <Box sx={{ display: 'grid', gap: 1.25 }}>
        {FIELDS.map(([key, name]) => (
          <LengthField
            key={`${line.id}-${point.index}-${key}`}
            label={name}
            mm={point[key]}
            onCommit={(mm) =>
              dispatch(
                edited({
                  label: `${line.name}, ${label}: ${name.toLowerCase()}`,
                  edits: [{ path: pointPath(line.id, point.index, key), value: mm }],
                }),
              )
            }
          />
        ))}
      </Box>
      <Box sx={{ mt: 1 }}>
        <Figure
          name="Off the fair line, breadth"
          value={formatFine(line.residuals[place]?.halfBreadth ?? 0, notation)}
          why="From the batten bent through all the other points"
        />
        <Figure
          name="Off the fair line, height"
          value={formatFine(line.residuals[place]?.height ?? 0, notation)}
          why="From the batten bent through all the other points"
        />
      </Box>
    </Box>
  );
}
