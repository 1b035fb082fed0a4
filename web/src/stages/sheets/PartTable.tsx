import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { simplify } from '@kalotrope/core/geometry';
import { formatLength, unitLabel } from '@kalotrope/core/measure';
import { howManyWords, piecesOf, type CutPart, type Piece } from '@kalotrope/core/sheets';
import { Section } from '../../controls/Section';
import { plural } from '../../controls/words';
import { COLOURS } from '../../drawing/colours';
import { boxAround, pathOf } from '../../drawing/DrawingSurface';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';

type Props = {
  readonly parts: readonly CutPart[];
  /** Those that are on no sheet. */
  readonly left: readonly Piece[];
  /** The id of the picked piece. */
  readonly picked: string | undefined;
  readonly onPick: (piece: string) => void;
};

/** Everything to be cut, each with its shape; a row picks the part on its sheet. */
export function PartTable({ parts, left, picked, onPick }: Props) {
  const notation = useAppSelector(selectNotation);
  const pieces = plural(
    parts.reduce((sum, part) => sum + piecesOf(part).length, 0),
    'part',
  );
  return (
    <Section title="Parts to cut" aside={pieces}>
      <Table size="small" aria-label="Parts to cut">
        <TableHead>
          <TableRow>
            <TableCell>part</TableCell>
            <TableCell align="right">long × wide, {unitLabel(notation)}</TableCell>
            <TableCell align="right">no.</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {parts.map((part) => {
            const box = boxAround(part.outline);
            const off = left.filter((piece) => piece.part === part.id).length;
            return (
              <TableRow
                key={part.id}
                hover
                selected={piecesOf(part).some(({ id }) => id === picked)}
                onClick={() => onPick(piecesOf(part)[0]?.id ?? part.id)}
              >
                <TableCell>
                  <PartShape outline={part.outline} holes={part.holes} />
                  {part.name}
                  {off > 0 && (
                    <Typography component="span" color="error" sx={{ display: 'block', fontWeight: 600 }}>
                      {part.isPair && off === 1 ? 'one hand on no sheet' : 'on no sheet'}
                    </Typography>
                  )}
                </TableCell>
                <TableCell className="figure" sx={{ whiteSpace: 'nowrap' }}>
                  {formatLength(box.maxX - box.minX, notation)} × {formatLength(box.maxY - box.minY, notation)}
                </TableCell>
                <TableCell align="right">{howManyWords(part)}</TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
    </Section>
  );
}

/** Px; a long panel is as wide as the picture, a frame as high. */
const SHAPE = { width: 76, height: 26 };

function PartShape({ outline, holes = [] }: Pick<CutPart, 'outline' | 'holes'>) {
  const c = COLOURS[useTheme().palette.mode];
  const { minX, minY, maxX, maxY } = boxAround(outline);
  const scale = Math.min(SHAPE.width / (maxX - minX), SHAPE.height / (maxY - minY));
  const [width, height] = [(maxX - minX) * scale + 2, (maxY - minY) * scale + 2];
  return (
    <svg width={width} height={height} aria-hidden="true" style={{ display: 'block', marginTop: 4 }}>
      <path
        d={[outline, ...holes]
          .map((ring) =>
            pathOf(
              simplify(ring, 0.3 / scale).map(([x, y]) => [1 + (x - minX) * scale, (y - minY) * scale + 1 - height]),
              true,
            ),
          )
          .join('')}
        fillRule="evenodd"
        fill={c.ply}
        stroke={c.ink}
      />
    </svg>
  );
}
