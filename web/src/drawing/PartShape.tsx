/** A part, small, for a list. */
import { useTheme } from '@mui/material/styles';
import { simplify, type Outline } from '@kalotrope/core/geometry';
import { COLOURS } from './colours';
import { boxAround, pathOf } from './DrawingSurface';

/** Px; a long panel is as wide as the picture, a frame as high. */
const SHAPE = { width: 76, height: 26 };

type Props = { readonly outline: Outline; readonly holes?: readonly Outline[] | undefined };

export function PartShape({ outline, holes = [] }: Props) {
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
