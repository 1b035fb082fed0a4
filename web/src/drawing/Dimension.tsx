import { useTheme } from '@mui/material/styles';
import type { Box } from '@kalotrope/core/geometry';
import { formatWithUnit } from '@kalotrope/core/measure';
import { selectNotation } from '../state/selectors';
import { useAppSelector } from '../state/store';

type Props = {
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  readonly text: string;
  readonly px: number;
};

/** A draughtsman's dimension: thin line, oblique strokes at its ends, the figure over its middle. Level or upright. */
export function Dimension({ from, to, text, px }: Props) {
  const { palette } = useTheme();
  const isLevel = Math.abs(to[0] - from[0]) >= Math.abs(to[1] - from[1]);
  const [mx, my] = [(from[0] + to[0]) / 2, -(from[1] + to[1]) / 2];
  const tick = ([x, y]: readonly [number, number]) => `M${x - 4 * px} ${-y + 4 * px}L${x + 4 * px} ${-y - 4 * px}`;
  return (
    <g stroke={palette.text.secondary} strokeWidth={px} fill="none">
      <path d={`M${from[0]} ${-from[1]}L${to[0]} ${-to[1]}${tick(from)}${tick(to)}`} />
      <text
        x={mx}
        y={my - 5 * px}
        fontSize={13 * px}
        fill={palette.text.secondary}
        stroke="none"
        textAnchor="middle"
        transform={isLevel ? undefined : `rotate(-90 ${mx} ${my})`}
      >
        {text}
      </text>
    </g>
  );
}

type OverallProps = { readonly box: Box; readonly px: number };

/** Under a part, clear of the tip of a V; and beside it. */
const UNDER_PX = 26;
const BESIDE_PX = 16;

/** A part's breadth under it and its height beside it. */
export function Overall({ box: { minX, maxX, minY, maxY }, px }: OverallProps) {
  const notation = useAppSelector(selectNotation);
  const [low, left] = [minY - UNDER_PX * px, minX - BESIDE_PX * px];
  return (
    <>
      <Dimension from={[minX, low]} to={[maxX, low]} text={formatWithUnit(maxX - minX, notation)} px={px} />
      <Dimension from={[left, minY]} to={[left, maxY]} text={formatWithUnit(maxY - minY, notation)} px={px} />
    </>
  );
}
