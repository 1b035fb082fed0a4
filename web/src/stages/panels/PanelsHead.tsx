import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import TextField from '@mui/material/TextField';
import { memo } from 'react';

export const VIEWS = ['flat', 'fold', 'card'] as const;
export type PanelsView = (typeof VIEWS)[number];
const VIEW_NAMES: Readonly<Record<PanelsView, string>> = {
  flat: 'Flat shapes',
  fold: 'Fold it up',
  card: 'Card model',
};

export type PanelsLook = {
  readonly field: 'none' | 'bend' | 'stretch';
  readonly isByHand: boolean;
  readonly hasHoles: boolean;
};

type Props = {
  readonly view: PanelsView;
  readonly onView: (view: PanelsView) => void;
  readonly look: PanelsLook;
  readonly onLook: (look: PanelsLook) => void;
};

/** Which view of the panels, and how the flat shapes are drawn. */
export const PanelsHead = memo(function PanelsHead({ view, onView, look, onLook }: Props) {
  return (
    <Box
      className="no-print"
      sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', justifyContent: 'space-between', rowGap: 1 }}
    >
      <Tabs
        value={view}
        onChange={(_event, next: PanelsView) => onView(next)}
        aria-label="Panels flat, folded up or as a card model"
        sx={{ minHeight: 36, px: 1, '& .MuiTab-root': { minHeight: 36, py: 0 } }}
      >
        {VIEWS.map((name) => (
          <Tab key={name} value={name} label={VIEW_NAMES[name]} />
        ))}
      </Tabs>
      {view === 'flat' && (
        <Box sx={{ display: 'flex', gap: 1.5, px: 2, pt: { xs: 1, md: 0 }, flexWrap: 'wrap' }}>
          <TextField
            select
            label="Show"
            value={look.field}
            onChange={({ target }) => onLook({ ...look, field: target.value as PanelsLook['field'] })} // one of the items below
            sx={{ width: 205, '& .MuiSelect-select': { py: 0.6, fontSize: 14 } }}
          >
            <MenuItem value="none">the shapes</MenuItem>
            <MenuItem value="bend">how hard it bends</MenuItem>
            <MenuItem value="stretch">where it would stretch</MenuItem>
          </TextField>
          <FormControlLabel
            label="Holes"
            title="Holes to stitch by, the same number on both edges of a seam"
            control={
              <Checkbox
                size="small"
                checked={look.hasHoles}
                onChange={(_event, hasHoles) => onLook({ ...look, hasHoles })}
              />
            }
          />
          <FormControlLabel
            label="By hand"
            title="The same panels triangulated from station to station, laid over the developed ones"
            control={
              <Checkbox
                size="small"
                checked={look.isByHand}
                onChange={(_event, isByHand) => onLook({ ...look, isByHand })}
              />
            }
          />
        </Box>
      )}
    </Box>
  );
});
