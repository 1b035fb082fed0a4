import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { formatLength, unitLabel } from '@kalotrope/core/measure';
import { howManyWords, piecesOf, type CutPart, type Piece } from '@kalotrope/core/sheets';
import { Section } from '../../controls/Section';
import { plural } from '../../controls/words';
import { boxAround } from '../../drawing/DrawingSurface';
import { PartShape } from '../../drawing/PartShape';
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
