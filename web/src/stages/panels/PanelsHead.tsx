import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { memo } from 'react';
import type { Field } from '@kalotrope/core/panels';
import { Tick, ViewTabs } from '../../controls/ViewTabs';

export type PanelsView = 'flat' | 'gaps' | 'fold' | 'card';
const VIEW_NAMES: Readonly<Record<PanelsView, string>> = {
  flat: 'Flat shapes',
  gaps: 'Will they meet?',
  fold: 'Fold it up',
  card: 'Card model',
};

export type PanelsLook = {
  readonly field: 'none' | Field;
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
    <ViewTabs
      label="Panels flat, how they meet, folded up or as a card model"
      names={VIEW_NAMES}
      view={view}
      onView={onView}
    >
      {view === 'flat' && (
        <>
          <TextField
            select
            label="Show"
            value={look.field}
            // one of the items below
            onChange={({ target }) => onLook({ ...look, field: target.value as PanelsLook['field'] })}
            sx={{ width: 150, '& .MuiSelect-select': { py: 0.6, fontSize: 14 } }}
          >
            <MenuItem value="none">the shapes</MenuItem>
            <MenuItem value="bend">the bend</MenuItem>
            <MenuItem value="twist">the twist</MenuItem>
            <MenuItem value="stretch">the stretch</MenuItem>
          </TextField>
          <Tick
            label="Holes"
            hint="Holes to stitch by, the same number on both edges of a seam"
            isTicked={look.hasHoles}
            onTick={(hasHoles) => onLook({ ...look, hasHoles })}
          />
          <Tick
            label="By hand"
            hint="The same panels triangulated from station to station, laid over the developed ones"
            isTicked={look.isByHand}
            onTick={(isByHand) => onLook({ ...look, isByHand })}
          />
        </>
      )}
    </ViewTabs>
  );
});
