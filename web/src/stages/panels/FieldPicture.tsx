import { useTheme } from '@mui/material/styles';
import { memo, useMemo } from 'react';
import { fieldPatches, type Field, type Panel } from '@kalotrope/core/panels';
import { formatWithUnit } from '@kalotrope/core/measure';
import { selectNotation } from '../../app/selectors';
import { useAppSelector } from '../../app/store';
import { boxAround, pathOf } from '../../drawing/DrawingSurface';
import { BANDS, bandOf, worstPlace } from '../../drawing/bands';

type Props = { readonly panel: Panel; readonly field: Field; readonly thickness: number; readonly px: number };

/** How hard the panel is asked, in bands from pale to dark; the worst place ringed and named. */
export const FieldPicture = memo(function FieldPicture({ panel, field, thickness, px }: Props) {
  const { palette } = useTheme();
  const notation = useAppSelector(selectNotation);
  const bands = useMemo(() => {
    const paths = BANDS.map(() => '');
    for (const { flat, share } of fieldPatches(panel, field, thickness)) paths[bandOf(share)] += pathOf(flat, true);
    return paths;
  }, [panel, field, thickness]);
  const worst = worstPlace(panel, field);
  const { minX, maxX } = boxAround(panel.outline);
  const share = worst ? (worst.at[0] - minX) / (maxX - minX) : 0;
  return (
    <g pointerEvents="none">
      {bands.map((d, i) => (
        <path key={i} d={d} fill={BANDS[i]?.colour} stroke={BANDS[i]?.colour} strokeWidth={0.6 * px} />
      ))}
      {worst && (
        <>
          <circle
            cx={worst.at[0]}
            cy={-worst.at[1]}
            r={9 * px}
            fill="none"
            stroke={palette.text.primary}
            strokeWidth={2 * px}
          />
          <text
            x={worst.at[0]}
            y={-worst.at[1] - 14 * px}
            fontSize={13 * px}
            textAnchor={share < 0.2 ? 'start' : share > 0.8 ? 'end' : 'middle'}
            fill={palette.text.primary}
            stroke={palette.background.default}
            strokeWidth={3.5 * px}
            paintOrder="stroke"
          >
            {field === 'bend'
              ? `tightest, radius ${formatWithUnit(worst.value, notation)}`
              : `most, ${(worst.value * 100).toFixed(3)} %`}
          </text>
        </>
      )}
    </g>
  );
});
