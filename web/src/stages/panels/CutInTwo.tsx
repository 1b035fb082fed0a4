import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { EditValue } from '@kalotrope/core/findings';
import { straightMiddle, type Panel, type PanelsPart, type PanelSplit } from '@kalotrope/core/panels';
import { edited } from '../../app/document-slice';
import { NumberField, numberBetween } from '../../app/NumberField';
import { useAppDispatch } from '../../app/store';

type Props = { readonly panel: Panel; readonly panels: readonly Panel[]; readonly part: PanelsPart };

/** The picked panel cut in two along a line drawn on it, or made whole again. */
export function CutInTwo({ panel, panels, part }: Props) {
  const dispatch = useAppDispatch();
  const set = (label: string, splits: readonly PanelSplit[]) =>
    dispatch(edited({ label, edits: [{ path: ['panels', 'splits'], value: splits as EditValue }] })); // a plain list
  const split = part.splits.find(({ id }) => id === panel.partOf?.id);
  const others = part.splits.filter((other) => other !== split);
  return (
    <Box component="section" sx={{ mt: 1.5, pt: 1.5, borderTop: 1, borderColor: 'divider' }} className="no-print">
      <Typography variant="h2">Cut in two</Typography>
      {split ? (
        <>
          {panel.partOf?.part !== 'half' && (
            <SplitLine
              split={split}
              lower={panels.find((other) => other.partOf?.id === split.id) ?? panel}
              onChange={(next) => set('Line of the cut', [...others, next])}
            />
          )}
          <Button size="small" onClick={() => set('Whole panel', others)}>
            Make it whole again
          </Button>
        </>
      ) : (
        <>
          <Typography variant="body2" color="text.secondary">
            {panel.spansCentreline
              ? 'Along the centreline, into a mirrored pair: where it is wider than the sheet.'
              : 'Along a line drawn on it, where it is deeper than the sheet. Bent, both parts are the same surface.'}
          </Typography>
          <Button
            size="small"
            onClick={() => {
              const ends = { fore: 0.5, aft: 0.5 };
              set('Cut in two', [...others, { id: panel.id, ...ends, middle: straightMiddle(panel, ends) }]);
            }}
          >
            Cut the {panel.name.toLowerCase()} in two
          </Button>
        </>
      )}
    </Box>
  );
}

const SHARE = numberBetween(5, 95);

type LineProps = {
  readonly split: PanelSplit;
  /** The part under the line. */
  readonly lower: Panel;
  readonly onChange: (split: PanelSplit) => void;
};

function SplitLine({ split, lower, onChange }: LineProps) {
  const percent = (key: 'fore' | 'middle' | 'aft', label: string) => (
    <NumberField
      label={label}
      read={SHARE}
      value={Number((split[key] * 100).toFixed(1))}
      onCommit={(value) => onChange({ ...split, [key]: value / 100 })}
    />
  );
  return (
    <>
      <Typography variant="body2" color="text.secondary">
        Drag the line by its handles, or say how far it lies from the lower edge to the upper, in %.
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 1fr', gap: 1, my: 1.25 }}>
        {percent('fore', 'Fore %')}
        {percent('middle', 'Middle %')}
        {percent('aft', 'Aft %')}
      </Box>
      <Button size="small" onClick={() => onChange({ ...split, middle: straightMiddle(lower, split, split) })}>
        Make the line straight
      </Button>
    </>
  );
}
