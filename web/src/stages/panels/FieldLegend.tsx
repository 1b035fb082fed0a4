import Box from '@mui/material/Box';
import type { Field } from '@kalotrope/core/panels';
import { OVER, RAMP } from '../../drawing/bands';

export const FIELD_WHAT: Readonly<Record<Field, string>> = {
  bend: 'Bend, of the tightest that the sheet takes dry with its grain along',
  twist: 'Twist, of the most that is taken up in the fastening',
  stretch: 'Stretch, of what is lost in the joints',
};
const WIDE = 140;

type Props = { readonly what: string; readonly most?: string };

/** What the colours of a field mean. */
export function FieldLegend({ what, most = 'all that it takes' }: Props) {
  const ramp = RAMP.map(([share, colour]) => `${colour} ${share * 100}%`).join(', ');
  const hatch = `repeating-linear-gradient(45deg, ${OVER} 0 4px, #F4EBD3 4px 6px)`;
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1, px: 1.5, py: 0.75, fontSize: 13 }}>
      <span>{what}:</span>
      <span>none</span>
      <Box
        role="img"
        aria-label="pale to dark"
        sx={{
          width: WIDE,
          height: 12,
          background: `linear-gradient(90deg, ${ramp})`,
          border: 1,
          borderColor: 'divider',
        }}
      />
      <span>{most}</span>
      <Box component="span" sx={{ width: 20, height: 12, background: hatch, border: 1, borderColor: 'divider' }} />
      <span>more</span>
    </Box>
  );
}
