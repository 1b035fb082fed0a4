import { useTheme } from '@mui/material/styles';
import { memo, useMemo } from 'react';
import { lerp2 } from '@kalotrope/core/geometry';
import { formatDeg, formatWithUnit, type Notation } from '@kalotrope/core/measure';
import { fieldBands, type Field, type Panel } from '@kalotrope/core/panels';
import { pathOf } from '../../drawing/DrawingSurface';
import { bandColour, LIMITS, OVER, worstPlace } from '../../drawing/bands';

type Props = { readonly panel: Panel; readonly field: Field; readonly thickness: number; readonly px: number };

/** How hard the panel is asked, pale to dark and hatched where it is more than it takes; the worst place ringed. */
export const FieldPicture = memo(function FieldPicture({ panel, field, thickness, px }: Props) {
  const { palette } = useTheme();
  const paths = useMemo(
    () =>
      fieldBands(panel, field, { thickness, limits: LIMITS }).map((polygons) =>
        polygons.map((polygon) => pathOf(polygon, true)).join(''),
      ),
    [panel, field, thickness],
  );
  const worst = worstPlace(panel, field);
  const ring = worst && lerp2(worst.ruling.flatP, worst.ruling.flatQ, worst.w);
  return (
    <g pointerEvents="none" data-field={field}>
      {paths.map((d, i) => {
        const isOver = i === paths.length - 1;
        // the stroke closes the hair's breadth that is left between two fills
        return (
          d !== '' && (
            <path
              key={i}
              d={d}
              fill={isOver ? 'url(#over)' : bandColour(i)}
              stroke={isOver ? OVER : bandColour(i)}
              strokeWidth={0.6 * px}
            />
          )
        );
      })}
      {ring && (
        <circle cx={ring[0]} cy={-ring[1]} r={9 * px} fill="none" stroke={palette.text.primary} strokeWidth={2 * px} />
      )}
    </g>
  );
});

/** The hatch of what is more than the sheet takes, for a surface; put it in once. */
export const OverPattern = ({ px }: { readonly px: number }) => (
  <defs>
    <pattern id="over" width={7 * px} height={7 * px} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <rect width={7 * px} height={7 * px} fill={OVER} />
      <path d={`M0 0V${7 * px}`} stroke="#F4EBD3" strokeWidth={2.4 * px} />
    </pattern>
  </defs>
);

/** The figure at the ringed place, in words that follow the panel's name. */
export function worstText(panel: Panel, field: Field, notation: Notation): string {
  const worst = worstPlace(panel, field);
  if (!worst) return { bend: ': flat', twist: ': no twist', stretch: ': no stretch' }[field];
  if (field === 'bend') return `: tightest ${formatWithUnit(worst.value, notation)}`;
  return field === 'twist' ? `: most ${formatDeg(worst.value, 2)}` : `: most ${(worst.value * 100).toFixed(3)} %`;
}
