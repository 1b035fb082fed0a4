import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { pointPath, type Longitudinal } from '@kalotrope/core/lines';
import { unitLabel } from '@kalotrope/core/measure';
import { edited } from '../../app/document-slice';
import { LengthField } from '../../app/LengthField';
import { selectNotation, selectProject } from '../../app/selectors';
import { useAppDispatch, useAppSelector } from '../../app/store';

/** The offsets as a list of points a line; every cell takes any notation. */
export function OffsetsTable() {
  const project = useAppSelector(selectProject);
  const notation = useAppSelector(selectNotation);
  if (!project) return null;
  return (
    <Box
      sx={{ flex: 1, overflow: 'auto', p: 2, borderTop: 1, borderColor: 'divider' }}
      tabIndex={0}
      role="region"
      aria-label="The table of offsets"
    >
      <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: 'repeat(auto-fill, minmax(370px, 1fr))' }}>
        {project.lines.longitudinals.map((line) => (
          <Box key={line.id}>
            <Typography variant="h2">{line.name}</Typography>
            <Table size="small" aria-label={`${line.name}, offsets in ${unitLabel(notation)}`}>
              <TableHead>
                <TableRow>
                  <TableCell>Station</TableCell>
                  <TableCell align="right">x, {unitLabel(notation)}</TableCell>
                  <TableCell align="right">half-breadth</TableCell>
                  <TableCell align="right">height</TableCell>
                </TableRow>
              </TableHead>
              <TableBody>
                {line.points.map((_, index) => (
                  <PointRow key={index} line={line} index={index} />
                ))}
              </TableBody>
            </Table>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

const COLUMNS = [
  ['x', 'x'],
  ['halfBreadth', 'half-breadth'],
  ['height', 'height'],
] as const;

function PointRow({ line, index }: { readonly line: Longitudinal; readonly index: number }) {
  const dispatch = useAppDispatch();
  const point = line.points[index];
  if (!point) return null;
  const place = `${line.name} ${point.station || index + 1}`;
  return (
    <TableRow>
      <TableCell>{point.station}</TableCell>
      {COLUMNS.map(([key, name]) => (
        <TableCell key={key} align="right">
          <LengthField
            isBare
            label={`${place}, ${name}`}
            mm={point[key]}
            onCommit={(mm) =>
              dispatch(
                edited({
                  label: `${place}: ${name}`,
                  edits: [{ path: pointPath(line.id, index, key), value: mm }],
                }),
              )
            }
          />
        </TableCell>
      ))}
    </TableRow>
  );
}
