import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { seamOfThing, seamThing, type Takeoff, type TakeoffLine } from '@kalotrope/core/epoxy';
import { formatArea, formatDeg, formatMass, formatShare, formatWithUnit } from '@kalotrope/core/measure';
import { picked } from '../../state/screen-slice';
import { selectDerived, selectNotation, selectPicked, selectProject } from '../../state/selectors';
import { Figure } from '../../controls/Figure';
import { Slip } from '../../controls/Slip';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { EpoxySettings } from './EpoxySettings';

const GROUPS: readonly (readonly [TakeoffLine['group'], string])[] = [
  ['fillets', 'Fillets'],
  ['tapes', 'Tapes'],
  ['sheathing', 'Sheathing'],
  ['sealing', 'Sealing'],
  ['glue', 'Glue lines'],
];

export default function EpoxyPage() {
  const derived = useAppSelector(selectDerived);
  const project = useAppSelector(selectProject);
  const choice = useAppSelector(selectPicked);
  const notation = useAppSelector(selectNotation);
  if (!derived || !project) return null;
  const takeoff = derived.epoxy.value;
  const seam = takeoff.seams.find((other) => other.id === seamOfThing(choice));
  return (
    <>
      <Box
        sx={{ flex: 1, minWidth: 0, overflow: 'auto', p: 2, borderTop: 1, borderColor: 'divider' }}
        tabIndex={0}
        role="region"
        aria-label="What to buy, and where it goes"
      >
        <TakeoffTables takeoff={takeoff} />
      </Box>
      <Slip
        stage="epoxy"
        title={seam ? seam.name : 'To buy'}
        numbers={
          seam ? (
            <>
              <Figure name="Length, both sides" value={formatWithUnit(seam.length, notation)} />
              <Figure
                name="Angle inside"
                value={formatDeg(seam.angleDeg, 0)}
                why="Between the two faces, averaged along the seam"
              />
            </>
          ) : (
            <>
              <Figure
                name="Epoxy, mixed"
                value={formatMass(takeoff.resinWithWaste)}
                why={`${formatMass(takeoff.resin)} used, and ${formatShare(project.epoxy.waste)} of what is mixed lost`}
              />
              <Figure name="Filler" value={formatMass(takeoff.filler)} />
              <Figure name={`Tape, ${project.epoxy.tapeWidth} mm wide`} value={`${takeoff.tapeM.toFixed(1)} m`} />
              <Figure name="Cloth and tape together" value={formatArea(takeoff.clothM2)} />
            </>
          )
        }
      >
        <EpoxySettings project={project} />
      </Slip>
    </>
  );
}

function TakeoffTables({ takeoff }: { readonly takeoff: Takeoff }) {
  const choice = useAppSelector(selectPicked);
  const dispatch = useAppDispatch();
  const seamOf = (line: TakeoffLine) =>
    line.group === 'fillets' || line.group === 'tapes'
      ? takeoff.seams.find((seam) => seam.name === line.item)
      : undefined;
  return (
    <Table size="small" aria-label="Epoxy and glass, line by line" sx={{ maxWidth: 860 }}>
      <TableHead>
        <TableRow>
          <TableCell>for</TableCell>
          <TableCell>counted from</TableCell>
          <TableCell align="right">epoxy, g</TableCell>
          <TableCell align="right">filler, g</TableCell>
          <TableCell align="right">glass, m²</TableCell>
        </TableRow>
      </TableHead>
      {GROUPS.map(([group, name]) => {
        const lines = takeoff.lines.filter((line) => line.group === group);
        const sum = lines.reduce((total, line) => total + line.resin, 0);
        return (
          lines.length > 0 && (
            <TableBody key={group}>
              <TableRow>
                <TableCell colSpan={2}>
                  <Typography variant="h2" component="span">
                    {name}
                  </Typography>
                </TableCell>
                <TableCell className="figure" sx={{ fontWeight: 650 }}>
                  {Math.round(sum)}
                </TableCell>
                <TableCell />
                <TableCell />
              </TableRow>
              {lines.map((line) => {
                const seam = seamOf(line);
                return (
                  <TableRow
                    key={line.item}
                    hover={seam !== undefined}
                    selected={choice?.kind === 'seam' && choice.id === seam?.id}
                    onClick={() => seam && dispatch(picked(seamThing(seam.id)))}
                  >
                    <TableCell sx={{ pl: 3 }}>{line.item}</TableCell>
                    <TableCell sx={{ color: 'text.secondary' }}>{line.from}</TableCell>
                    <TableCell className="figure">{Math.round(line.resin)}</TableCell>
                    <TableCell className="figure">{line.filler > 0 ? Math.round(line.filler) : ''}</TableCell>
                    <TableCell className="figure">{line.clothM2 > 0 ? line.clothM2.toFixed(2) : ''}</TableCell>
                  </TableRow>
                );
              })}
            </TableBody>
          )
        );
      })}
      <TableBody>
        <TableRow>
          <TableCell colSpan={2}>
            <strong>Used</strong>
          </TableCell>
          <TableCell className="figure">
            <strong>{Math.round(takeoff.resin)}</strong>
          </TableCell>
          <TableCell className="figure">{Math.round(takeoff.filler)}</TableCell>
          <TableCell className="figure">{takeoff.clothM2.toFixed(2)}</TableCell>
        </TableRow>
        <TableRow>
          <TableCell colSpan={2}>
            <strong>To mix, with waste</strong>
          </TableCell>
          <TableCell className="figure">
            <strong>{Math.round(takeoff.resinWithWaste)}</strong>
          </TableCell>
          <TableCell />
          <TableCell />
        </TableRow>
      </TableBody>
    </Table>
  );
}
