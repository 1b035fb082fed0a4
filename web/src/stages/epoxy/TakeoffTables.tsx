import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { fromWords, seamThing, type Takeoff, type TakeoffLine } from '@kalotrope/core/epoxy';
import { areaFigure, areaUnit, massFigure, massUnit } from '@kalotrope/core/measure';
import { picked } from '../../state/screen-slice';
import { selectNotation, selectPicked } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

const GROUPS: readonly (readonly [TakeoffLine['group'], string])[] = [
  ['fillets', 'Fillets'],
  ['tabs', 'Tabs'],
  ['tapes', 'Tapes'],
  ['sheathing', 'Sheathing'],
  ['flat', 'Glassed flat'],
  ['sealing', 'Sealing'],
  ['glue', 'Glue lines'],
];

/** On a narrow screen what a line was counted from stands under its name. */
const WIDE_ONLY = { display: { xs: 'none', md: 'table-cell' } } as const;

export function TakeoffTables({ takeoff }: { readonly takeoff: Takeoff }) {
  const notation = useAppSelector(selectNotation);
  const choice = useAppSelector(selectPicked);
  const dispatch = useAppDispatch();
  const span = useMediaQuery(useTheme().breakpoints.up('md')) ? 2 : 1;
  const seamOf = (line: TakeoffLine) => takeoff.seams.find(({ id }) => id === line.seam);
  return (
    <Table size="small" aria-label="Epoxy and glass, line by line" sx={{ maxWidth: 860 }}>
      <TableHead>
        <TableRow>
          <TableCell>for</TableCell>
          <TableCell sx={WIDE_ONLY}>counted from</TableCell>
          <TableCell align="right">epoxy, {massUnit(notation)}</TableCell>
          <TableCell align="right">filler, {massUnit(notation)}</TableCell>
          <TableCell align="right">glass, {areaUnit(notation)}</TableCell>
        </TableRow>
      </TableHead>
      {GROUPS.map(([group, name]) => {
        const lines = takeoff.lines.filter((line) => line.group === group);
        const sum = lines.reduce((total, line) => total + line.resin, 0);
        return (
          lines.length > 0 && (
            <TableBody key={group}>
              <TableRow>
                <TableCell colSpan={span}>
                  <Typography variant="h2" component="span">
                    {name}
                  </Typography>
                </TableCell>
                <TableCell className="figure" sx={{ fontWeight: 650 }}>
                  {massFigure(sum, notation)}
                </TableCell>
                <TableCell />
                <TableCell />
              </TableRow>
              {lines.map((line) => {
                const seam = seamOf(line);
                return (
                  <TableRow
                    key={`${line.item} ${fromWords(line.from, notation)}`}
                    hover={seam !== undefined}
                    selected={choice?.kind === 'seam' && choice.id === seam?.id}
                    onClick={() => seam && dispatch(picked(seamThing(seam.id)))}
                  >
                    <TableCell sx={{ pl: { xs: 1, md: 3 } }}>
                      {line.item}
                      <Typography variant="body2" color="text.secondary" sx={{ display: { md: 'none' } }}>
                        {fromWords(line.from, notation)}
                      </Typography>
                    </TableCell>
                    <TableCell sx={{ color: 'text.secondary', ...WIDE_ONLY }}>
                      {fromWords(line.from, notation)}
                    </TableCell>
                    <TableCell className="figure">{massFigure(line.resin, notation)}</TableCell>
                    <TableCell className="figure">{line.filler > 0 ? massFigure(line.filler, notation) : ''}</TableCell>
                    <TableCell className="figure">
                      {line.clothM2 > 0 ? areaFigure(line.clothM2, notation) : ''}
                    </TableCell>
                  </TableRow>
                );
              })}
            </TableBody>
          )
        );
      })}
      <TableBody>
        <TableRow>
          <TableCell colSpan={span}>
            <strong>Used</strong>
          </TableCell>
          <TableCell className="figure">
            <strong>{massFigure(takeoff.resin, notation)}</strong>
          </TableCell>
          <TableCell className="figure">{massFigure(takeoff.filler, notation)}</TableCell>
          <TableCell className="figure">{areaFigure(takeoff.clothM2, notation)}</TableCell>
        </TableRow>
        <TableRow>
          <TableCell colSpan={span}>
            <strong>To mix, with waste</strong>
          </TableCell>
          <TableCell className="figure">
            <strong>{massFigure(takeoff.resinWithWaste, notation)}</strong>
          </TableCell>
          <TableCell />
          <TableCell />
        </TableRow>
      </TableBody>
    </Table>
  );
}
