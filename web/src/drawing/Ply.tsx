import { useTheme } from '@mui/material/styles';
import { useMemo } from 'react';
import { simplify } from '@kalotrope/core/geometry';
import { COLOURS } from './colours';
import { pathOf } from './DrawingSurface';

/** The hatch of the face grain, for a surface; put it in once and fill with `url(#grain)`. */
export function GrainPattern({ px }: { readonly px: number }) {
  const c = COLOURS[useTheme().palette.mode];
  return (
    <defs>
      <pattern id="grain" width={90 * px} height={9 * px} patternUnits="userSpaceOnUse">
        <rect width={90 * px} height={9 * px} fill={c.ply} />
        <path
          d={`M0 ${2.5 * px}H${62 * px}M${30 * px} ${7 * px}H${90 * px}`}
          stroke={c.plyLine}
          strokeWidth={0.8 * px}
        />
      </pattern>
    </defs>
  );
}

type Props = {
  readonly outline: readonly (readonly [number, number])[];
  readonly holes?: readonly (readonly (readonly [number, number])[])[];
  readonly px: number;
  readonly isPicked?: boolean;
  readonly onPick?: () => void;
  readonly label: string;
};

/** A departure of this part of a pixel is not seen; fewer points are painted sooner. */
export const UNSEEN = 0.15;

const NO_HOLES: Props['holes'] & object = [];

/** A piece of plywood: grain, edge, and the colour of what is picked. */
export function PlyShape({ outline, holes = NO_HOLES, px, isPicked = false, onPick, label }: Props) {
  const { palette } = useTheme();
  const shape = useMemo(
    () => [outline, ...holes].map((ring) => pathOf(simplify(ring, UNSEEN * px), true)).join(''),
    [outline, holes, px],
  );
  return (
    <path
      d={shape}
      fill="url(#grain)"
      fillRule="evenodd"
      stroke={isPicked ? palette.secondary.main : palette.text.primary}
      strokeWidth={(isPicked ? 2.4 : 1.3) * px}
      style={{ cursor: onPick ? 'pointer' : undefined }}
      onClick={onPick}
      data-part={label}
    />
  );
}
