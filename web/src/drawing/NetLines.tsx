import { useTheme } from '@mui/material/styles';
import { pathOf } from './DrawingSurface';

type Props = { readonly lines: readonly (readonly (readonly [number, number])[])[]; readonly px: number };

/** The line that is trimmed to, on what is cut larger. */
export function NetLines({ lines, px }: Props) {
  const { palette } = useTheme();
  return lines.map((points, i) => (
    <path
      key={i}
      d={pathOf(points)}
      fill="none"
      stroke={palette.text.primary}
      strokeWidth={px}
      strokeDasharray={`${9 * px} ${4 * px}`}
      pointerEvents="none"
    />
  ));
}
