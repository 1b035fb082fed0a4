/** The few dimensions that a hull is drawn from: a field each, with its range and what is wrong with it. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import {
  dimensionsOf,
  findFlare,
  flareOf,
  type Dimension,
  type Dimensions,
  type FlareFound,
  type Longitudinal,
  type StarterKind,
  type StarterProblem,
} from '@kalotrope/core/lines';
import { formatLength, unitLabel } from '@kalotrope/core/measure';
import { selectNotation } from '../state/selectors';
import { useAppSelector } from '../state/store';
import { LengthField } from './LengthField';
import { NumberField } from './NumberField';

type Props = {
  readonly kind: StarterKind;
  readonly size: Dimensions;
  /** The table that was drawn last. */
  readonly table: readonly Longitudinal[];
  readonly problems: readonly StarterProblem[];
  readonly onChange: (size: Dimensions) => void;
};

export function DimensionFields({ kind, size, table, problems, onChange }: Props) {
  return dimensionsOf(kind, size.length).map((dimension) => (
    <Box key={`${kind} ${dimension.key}`} sx={{ display: 'contents' }}>
      <DimensionField
        dimension={dimension}
        value={size[dimension.key] ?? dimension.usual}
        problem={problems.find(({ key }) => key === dimension.key)}
        onCommit={(value) => onChange({ ...size, [dimension.key]: value })}
      />
      {dimension.key === 'beamSheer' && <FlareField kind={kind} size={size} table={table} onChange={onChange} />}
    </Box>
  ));
}

type FlareProps = Pick<Props, 'kind' | 'size' | 'table' | 'onChange'>;

/** What of an asked-for flare can be told apart, degrees. */
const SAME_DEG = 0.3;

/** The flare is the beam's other face: one is changed with the other. */
function FlareField({ kind, size, table, onChange }: FlareProps) {
  const [nearest, setNearest] = useState<FlareFound | null>(null);
  const flare = useMemo(() => flareOf(kind, table), [kind, table]);
  if (flare === undefined) return null;
  const take = (found: FlareFound) => {
    setNearest(null);
    onChange({ ...size, beamSheer: found.beamSheer });
  };
  const ask = (deg: number) => {
    const found = findFlare(kind, size, deg);
    if (!found) return;
    if (Math.abs(found.deg - deg) < SAME_DEG) take(found);
    else setNearest(found);
  };
  return (
    <Box>
      <NumberField label="Flare amidships, °" value={Number(flare.toFixed(1))} onCommit={ask} />
      {nearest && (
        <Typography variant="body2" color="error" role="alert" sx={{ mt: 0.5 }}>
          The nearest that works is {nearest.deg.toFixed(1)}°.
          <Button size="small" onClick={() => take(nearest)}>
            Take it
          </Button>
        </Typography>
      )}
    </Box>
  );
}

type FieldProps = {
  readonly dimension: Dimension;
  readonly value: number;
  readonly problem: StarterProblem | undefined;
  readonly onCommit: (value: number) => void;
};

/** A dimension with its range; one that does not work says so at once and offers the nearest that does. */
function DimensionField({ dimension, value, problem, onCommit }: FieldProps) {
  const notation = useAppSelector(selectNotation);
  const { name, unit, least, most } = dimension;
  const factor = unit === 'share' ? 100 : 1;
  const say = (figure: number) =>
    unit === 'mm' ? formatLength(figure, notation) : String(Math.round(figure * factor));
  const sign = unit === 'mm' ? ` ${unitLabel(notation)}` : unit === 'share' ? ' %' : '°';
  const label = `${name}, ${say(least)} to ${say(most)}${sign}`;
  return (
    <Box>
      {unit === 'mm' ? (
        <LengthField label={label} mm={value} onCommit={onCommit} />
      ) : (
        <NumberField
          label={label}
          value={Number((value * factor).toFixed(1))}
          onCommit={(typed) => onCommit(typed / factor)}
        />
      )}
      {problem && (
        <Typography variant="body2" color="error" role="alert" sx={{ mt: 0.5 }}>
          {problem.isByOthers ? 'With the other dimensions as they are it would be ' : 'The nearest that works is '}
          {say(problem.nearest)}
          {sign}.
          <Button size="small" onClick={() => onCommit(problem.nearest)}>
            Take it
          </Button>
        </Typography>
      )}
    </Box>
  );
}
