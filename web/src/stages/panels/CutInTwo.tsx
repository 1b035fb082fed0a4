import Box from '@mui/material/Box';
import type { EditValue } from '@kalotrope/core/findings';
import { straightMiddle, type Panel, type PanelsPart, type PanelSplit } from '@kalotrope/core/panels';
import { edited } from '../../state/document-slice';
import { Act } from '../../controls/Act';
import { Section } from '../../controls/Section';
import { NumberField, numberBetween } from '../../controls/NumberField';
import { useAppDispatch, useAppStore } from '../../state/store';

type Props = { readonly panel: Panel; readonly panels: readonly Panel[]; readonly part: PanelsPart };

/** The picked panel cut in two along a line drawn on it, or made whole again. */
export function CutInTwo({ panel, panels, part }: Props) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  // from the list as it is then: what is shown here may lag behind an edit
  const set = (label: string, change: (now: readonly PanelSplit[]) => readonly PanelSplit[]) => {
    const value = change(store.getState().document.project?.panels.splits ?? []) as EditValue; // a plain list
    dispatch(edited({ label, edits: [{ path: ['panels', 'splits'], value }] }));
  };
  const split = part.splits.find(({ id }) => id === panel.partOf?.id);
  return (
    <Section title="Cut in two">
      {split ? (
        <>
          {panel.partOf?.part !== 'half' && (
            <SplitLine
              split={split}
              lower={panels.find((other) => other.partOf?.id === split.id) ?? panel}
              onChange={(own) =>
                dispatch(
                  edited({
                    label: 'Line of the cut',
                    edits: Object.entries(own).map(([key, value]) => ({
                      path: ['panels', 'splits', split.id, key],
                      value,
                    })),
                  }),
                )
              }
            />
          )}
          <Act
            label="Make it whole again"
            onAct={() => set('Whole panel', (now) => now.filter(({ id }) => id !== split.id))}
          />
        </>
      ) : (
        <>
          <p className="quiet">
            {panel.spansCentreline
              ? 'Along the centreline, into a mirrored pair: where it is wider than the sheet.'
              : 'Along a line drawn on it, where it is deeper than the sheet. Bent, both parts are the same surface.'}
          </p>
          <Act
            label={`Cut the ${panel.name.toLowerCase()} in two`}
            onAct={() => {
              const ends = { fore: 0.5, aft: 0.5 };
              const own = { id: panel.id, ...ends, middle: straightMiddle(panel, ends) };
              set('Cut in two', (now) => [...now.filter(({ id }) => id !== panel.id), own]);
            }}
          />
        </>
      )}
    </Section>
  );
}

const SHARE = numberBetween(5, 95);

type LineProps = {
  readonly split: PanelSplit;
  /** The part under the line. */
  readonly lower: Panel;
  readonly onChange: (own: Partial<PanelSplit>) => void;
};

function SplitLine({ split, lower, onChange }: LineProps) {
  const percent = (key: 'fore' | 'middle' | 'aft', label: string) => (
    <NumberField
      label={label}
      read={SHARE}
      value={Number((split[key] * 100).toFixed(1))}
      onCommit={(value) => onChange({ [key]: value / 100 })}
    />
  );
  return (
    <>
      <p className="quiet">
        Drag the line by its handles, or say how far it lies from the lower edge to the upper, in %.
      </p>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 1fr', gap: 1, my: 1.25 }}>
        {percent('fore', 'Fore %')}
        {percent('middle', 'Middle %')}
        {percent('aft', 'Aft %')}
      </Box>
      <Act label="Make the line straight" onAct={() => onChange({ middle: straightMiddle(lower, split, split) })} />
    </>
  );
}
