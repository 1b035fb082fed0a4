/** Shapes taken off a hull as it is: from a plumb line, from two fixed points, or off a photo of a template. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { EditValue } from '@kalotrope/core/findings';
import {
  CHAIN_OFF,
  chainFor,
  compareShapes,
  nextPoint,
  plainShape,
  TAKEN_PATH,
  type FramesPart,
  type Taken,
  type TakenShape,
} from '@kalotrope/core/frames';
import { formatFine, formatSmall, formatWithUnit, unitLabel } from '@kalotrope/core/measure';
import { LengthField } from '../../controls/LengthField';
import { NameField } from '../../controls/NameField';
import { NumberField } from '../../controls/NumberField';
import { PlainTable } from '../../controls/PlainTable';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { plural } from '../../controls/words';
import { edited } from '../../state/document-slice';
import { selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { OneOfList } from './CutFields';
import { TracePhoto } from './TracePhoto';
import { BEVEL_OF_SHAPE, TAKEN_SECTION, TAKEN_WAYS } from './frame-words';

/** The most that a project takes, and that a shape does. */
const MOST = 20;
const MOST_POINTS = 60;

type Props = { readonly part: FramesPart; readonly taken: readonly Taken[] };

export function TakenShapes({ part: { taken: shapes }, taken }: Props) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const [shownId, setShown] = useState('');
  const shown = shapes.find(({ id }) => id === shownId) ?? shapes[0];
  const made = taken.find(({ id }) => id === shown?.id);
  const put = (label: string, value: readonly TakenShape[]) =>
    dispatch(edited({ label, edits: [{ path: TAKEN_PATH, value }] }));
  const add = () => {
    const shape = plainShape(shapes, notation);
    put(`${shape.name} added`, [...shapes, shape]);
    setShown(shape.id);
  };
  return (
    <Section title={TAKEN_SECTION} aside={plural(shapes.length, 'shape')}>
      {shapes.length === 0 && (
        <p className="quiet">
          Measured or traced inside a boat that is there already, faired, and cut as any other part: choose it in its
          place of the hull’s own section, above.
        </p>
      )}
      {shapes.length > 1 && shown && (
        <SelectField
          label="Shape"
          value={shown.id}
          names={Object.fromEntries(shapes.map(({ id, name }) => [id, name]))}
          onChange={setShown}
        />
      )}
      {shown && (
        <>
          <OneShape
            key={shown.id}
            shape={shown}
            onRemove={() =>
              put(
                `${shown.name} taken out`,
                shapes.filter(({ id }) => id !== shown.id),
              )
            }
          />
          {made && <Figures taken={made} />}
          {made && <Against taken={made} others={taken.filter(({ id }) => id !== made.id)} />}
        </>
      )}
      <Button className="no-print" disabled={shapes.length >= MOST} onClick={add}>
        Add a shape
      </Button>
    </Section>
  );
}

function OneShape({ shape, onRemove }: { readonly shape: TakenShape; readonly onRemove: () => void }) {
  const dispatch = useAppDispatch();
  const [isTracing, setTracing] = useState(false);
  const pathTo = (...path: readonly string[]) => [...TAKEN_PATH, shape.id, ...path];
  const set =
    (...path: readonly string[]) =>
    (value: EditValue) =>
      void dispatch(edited({ label: `${shape.name}: changed`, edits: [{ path: pathTo(...path), value }] }));
  const length = (label: string, mm: number, ...path: readonly string[]) => (
    <LengthField label={label} mm={mm} onCommit={set(...path)} path={pathTo(...path)} />
  );
  const { way, points } = shape;
  return (
    <OneOfList title={shape.name} onRemove={onRemove}>
      <NameField label="Name" value={shape.name} most={60} onCommit={set('name')} />
      <SelectField label="Measured from" value={way} names={TAKEN_WAYS} onChange={set('way')} />
      {way === 'plumb' ? (
        length('Plumb line, out', shape.plumb, 'plumb')
      ) : (
        <>
          {length('First point, out', shape.first.out, 'first', 'out')}
          {length('First point, up', shape.first.up, 'first', 'up')}
          {length('Second point, out', shape.second.out, 'second', 'out')}
          {length('Second point, up', shape.second.up, 'second', 'up')}
        </>
      )}
      {length('Faired by at most, 0: not', shape.fairBy, 'fairBy')}
      {length('Radius in corners, 0: sharp', shape.corner, 'corner')}
      <NumberField label={BEVEL_OF_SHAPE} value={shape.bevelDeg} onCommit={set('bevelDeg')} path={pathTo('bevelDeg')} />
      <Box sx={{ gridColumn: '1 / -1' }}>
        <Typography variant="subtitle2" component="h4">
          Points, from the centreline out and up
        </Typography>
        {points.map((point, i) => (
          <Box
            key={point.id}
            role="group"
            aria-label={`Point ${i + 1}`}
            sx={{
              display: 'grid',
              gridTemplateColumns: '1.6em 1fr 1fr auto',
              gap: 0.75,
              alignItems: 'center',
              my: 0.75,
            }}
          >
            <span>{i + 1}</span>
            {length(way === 'plumb' ? 'up' : 'from the first', point.a, 'points', point.id, 'a')}
            {length(way === 'plumb' ? 'out' : 'from the second', point.b, 'points', point.id, 'b')}
            <Box sx={{ display: 'flex', flexDirection: 'column', alignItems: 'flex-start' }}>
              <FormControlLabel
                sx={{ mr: 0, '& .MuiFormControlLabel-label': { fontSize: 13 } }}
                label="corner"
                control={
                  <Checkbox
                    size="small"
                    sx={{ p: 0.5 }}
                    checked={point.isCorner}
                    onChange={(_, isCorner) => set('points', point.id, 'isCorner')(isCorner)}
                  />
                }
              />
              <Button
                size="small"
                aria-label={`Take out point ${i + 1}`}
                onClick={() => set('points')(points.filter(({ id }) => id !== point.id))}
              >
                Take it out
              </Button>
            </Box>
          </Box>
        ))}
        <Button disabled={points.length >= MOST_POINTS} onClick={() => set('points')([...points, nextPoint(points)])}>
          Add a point
        </Button>
        {way === 'plumb' && (
          <Button disabled={points.length >= MOST_POINTS} onClick={() => setTracing(true)}>
            Trace a photo
          </Button>
        )}
      </Box>
      {isTracing && (
        <TracePhoto
          room={MOST_POINTS - points.length}
          onDone={(places) => {
            setTracing(false);
            const traced = places.reduce<TakenShape['points']>(
              (before, [out, up]) => [
                ...before,
                { ...nextPoint(before), a: up, b: out - shape.plumb, isCorner: false },
              ],
              [...points],
            );
            if (places.length > 0) set('points')(traced);
          }}
        />
      )}
    </OneOfList>
  );
}

function Figures({ taken: { points, movedMm, leastRadiusMm, lengthMm } }: { readonly taken: Taken }) {
  const notation = useAppSelector(selectNotation);
  const off = CHAIN_OFF.value;
  const chain = leastRadiusMm === undefined ? undefined : chainFor(leastRadiusMm, lengthMm, off);
  return (
    <p className="quiet">
      {plural(points.length, 'point')}, {formatWithUnit(lengthMm, notation)} along the curve; faired by{' '}
      {formatSmall(movedMm, notation)} at most.{' '}
      {leastRadiusMm !== undefined && <>Tightest radius {formatWithUnit(leastRadiusMm, notation)}. </>}
      {chain && chain.links > 0 && (
        <>
          A chain of stiff links follows it to {formatSmall(off, notation)} with {chain.links} of{' '}
          {formatWithUnit(chain.linkMm, notation)}.
        </>
      )}
    </p>
  );
}

const NONE = '';
/** Heights at which two sides are compared. */
const STEP_MM = 50;

/** One side of the hull against another, that differ more or less. */
function Against({ taken, others }: { readonly taken: Taken; readonly others: readonly Taken[] }) {
  const notation = useAppSelector(selectNotation);
  const [againstId, setAgainst] = useState(NONE);
  const other = others.find(({ id }) => id === againstId);
  if (others.length === 0) return null;
  return (
    <>
      <SelectField
        label="Compare it with"
        value={other?.id ?? NONE}
        names={{ [NONE]: 'none', ...Object.fromEntries(others.map(({ id, name }) => [id, name])) }}
        onChange={setAgainst}
      />
      {other && (
        <PlainTable
          label={`Half-breadths at even heights, in ${unitLabel(notation)}`}
          columns={['up', taken.name, other.name, 'differ by'].map((name) => ({ name, isFigure: true }))}
          rows={compareShapes(taken, other, STEP_MM).map(({ up, outA, outB }) => ({
            key: up,
            cells: [up, outA, outB, outB - outA].map((mm) => formatFine(mm, notation)),
          }))}
        />
      )}
    </>
  );
}
