import { useTheme } from '@mui/material/styles';

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
