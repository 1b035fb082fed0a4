import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { memo } from 'react';
import { lineOf, pointOf, pointName, pointPath } from '@kalotrope/core/lines';
import { formatFine } from '@kalotrope/core/measure';
import { edited } from '../../state/document-slice';
import { LengthField } from '../../controls/LengthField';
import { selectDerived, selectLiveHull, selectNotation, selectPicked } from '../../state/selectors';
import { Figure } from '../../controls/Figure';
import { drawnLines } from './views';
import { useAppDispatch, useAppSelector } from '../../state/store';

const FIELDS = [
  ['x', 'From the stem'],
  ['halfBreadth', 'Half-breadth'],
  ['height', 'Height'],
] as const;

const MARKS = [
  ['isKnuckle', 'Knuckle', 'The batten breaks here: a corner in the line'],
  ['isPinned', 'Pinned', 'Fairing leaves this point where it is'],
] as const;

/** The picked point's three figures, to read and to change; or the picked line's. */
export function PointNumbers() {
  const choice = useAppSelector(selectPicked);
  const hull = useAppSelector(selectLiveHull);
  const derived = useAppSelector(selectDerived);
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const line = hull ? drawnLines(hull).find((other) => other.id === lineOf(choice)) : undefined;
  // judged by the engine, a moment after the figures
  const residuals =
    (derived && drawnLines(derived.lines.value).find((other) => other.id === line?.id))?.residuals ?? [];
  if (!line)
    return (
      <Typography variant="body2" color="text.secondary">
        A point or a line in any of the views, or a cell of the table. It is picked everywhere.
      </Typography>
    );
  const worst = Math.max(0, ...residuals.map((r) => r.total));
  const place = line.points.findIndex((p) => p.index === pointOf(choice));
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
      {MARKS.map((mark) => (
        <Mark
          key={mark[0]}
          mark={mark}
          line={line.id}
          index={point.index}
          label={`${line.name}, ${label}`}
          isOn={point[mark[0]] === true}
        />
      ))}
      <Box sx={{ mt: 1 }}>
        {(point.uncertainty ?? 0) > 0 && (
          <Figure
            name="Read off a drawing, to"
            value={formatFine(point.uncertainty ?? 0, notation)}
            why="The width of the pencil line at full size: fairing may move the point by as much"
          />
        )}
        <Figure
          name="Off the fair line, breadth"
          value={formatFine(residuals[place]?.halfBreadth ?? 0, notation)}
          why="From the batten bent through all the other points"
        />
        <Figure
          name="Off the fair line, height"
          value={formatFine(residuals[place]?.height ?? 0, notation)}
          why="From the batten bent through all the other points"
        />
      </Box>
    </Box>
  );
}

type MarkProps = {
  readonly mark: (typeof MARKS)[number];
  readonly line: string;
  readonly index: number;
  readonly label: string;
  readonly isOn: boolean;
};

/** Drawn again only when it changes: the point's figures do so with every move of the hand. */
const Mark = memo(function Mark({ mark: [key, name, why], line, index, label, isOn }: MarkProps) {
  const dispatch = useAppDispatch();
  const turn = (value: boolean) =>
    dispatch(
      edited({
        label: `${label}: ${name.toLowerCase()}`,
        edits: [{ path: ['lines', 'longitudinals', line, 'points', index, key], value }],
      }),
    );
  return (
    <FormControlLabel
      title={why}
      label={name}
      control={<Checkbox size="small" checked={isOn} onChange={(_event, value) => turn(value)} />}
    />
  );
});
