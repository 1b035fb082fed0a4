import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import type { ReactNode } from 'react';

type Props<View extends string> = {
  /** What the tabs choose between, for a screen reader. */
  readonly label: string;
  readonly names: Readonly<Record<View, string>>;
  readonly view: View;
  readonly onView: (view: View) => void;
  /** How the view is drawn: beside the tabs, or under them where there is no room. */
  readonly children?: ReactNode;
};

/** High enough for a finger on a narrow screen. */
const TAB_PX = { xs: 44, md: 36 };

/** The views of a stage, one tab each, over its drawing. */
export function ViewTabs<View extends string>({ label, names, view, onView, children }: Props<View>) {
  return (
    <Box
      className="no-print"
      sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', justifyContent: 'space-between', rowGap: 1 }}
    >
      <Tabs
        value={view}
        onChange={(_event, next: View) => onView(next)}
        aria-label={label}
        sx={{ minHeight: TAB_PX, px: 1, '& .MuiTab-root': { minHeight: TAB_PX, py: 0 } }}
      >
        {(Object.keys(names) as View[]).map((name) => (
          <Tab key={name} value={name} label={names[name]} />
        ))}
      </Tabs>
      {children && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, px: 2, pt: { xs: 1, md: 0 } }}>{children}</Box>
      )}
    </Box>
  );
}

type TickProps = {
  readonly label: string;
  readonly hint: string;
  readonly isTicked: boolean;
  readonly onTick: (isTicked: boolean) => void;
};

/** One thing that is drawn or not. */
export function Tick({ label, hint, isTicked, onTick }: TickProps) {
  return (
    <FormControlLabel
      label={label}
      title={hint}
      control={<Checkbox size="small" checked={isTicked} onChange={(_event, next) => onTick(next)} />}
    />
  );
}
