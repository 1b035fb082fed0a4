import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { chinesOf } from '@kalotrope/core/epoxy';
import { clothWeightUnit, gramsPerShown, massUnit } from '@kalotrope/core/measure';
import type { Project } from '@kalotrope/core/project';
import { edited } from '../../state/document-slice';
import { LengthField } from '../../controls/LengthField';
import { NumberField } from '../../controls/NumberField';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { selectDerived } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

type NumberKey =
  | 'tapeWeight'
  | 'sheathingWeight'
  | 'sealingCoats'
  | 'waste'
  | 'fillerShare'
  | 'glueFillerShare'
  | 'tapeLayersInside'
  | 'tapeLayersOutside';

/** Label, and what one shown unit is in the project. */
type Shown = readonly [NumberKey, string, number];
const NUMBERS: readonly Shown[] = [
  ['tapeLayersInside', 'Tapes inside', 1],
  ['tapeLayersOutside', 'Tapes outside', 1],
  ['sealingCoats', 'Sealing coats', 1],
  ['waste', 'Waste, %', 0.01],
  ['fillerShare', 'Filler, % of mix', 0.01],
  ['glueFillerShare', 'Filler in glue, %', 0.01],
];

const FILLET_BY = { larger: 'the larger', radius: 'radius', leg: 'leg' } as const;
const COATING = { flat: 'flat, before assembly', hull: 'the hull after' } as const;
const PACES = {
  seal: 'Sealing',
  glue: 'Gluing',
  tack: 'Tacking',
  fillet: 'Filleting',
  tape: 'Taping',
  sheathe: 'Sheathing',
} as const;

/** How far up the outside is sheathed: by a chine where there are several. */
function Sheathing({ part }: { readonly part: Project['epoxy'] }) {
  const dispatch = useAppDispatch();
  const lines = useAppSelector((state) => selectDerived(state)?.lines.value.lines);
  const chines = chinesOf(lines ?? []);
  const highest = chines[chines.length - 1];
  const bottoms = chines.map(({ id, name }) => ({
    label: chines.length === 1 ? 'the bottom' : `to ${name.toLowerCase()}`,
    sheathe: 'bottom' as const,
    sheatheTo: id === highest?.id ? null : id,
  }));
  const choices = [
    { label: 'nothing', sheathe: 'none' as const, sheatheTo: part.sheatheTo },
    ...(bottoms.length > 0 ? bottoms : [{ label: 'the bottom', sheathe: 'bottom' as const, sheatheTo: null }]),
    { label: 'all of it', sheathe: 'all' as const, sheatheTo: part.sheatheTo },
  ];
  const isChosen = (choice: (typeof choices)[number]) =>
    choice.sheathe === part.sheathe && (choice.sheathe !== 'bottom' || choice.sheatheTo === part.sheatheTo);
  const chosen = choices.findIndex(isChosen);
  const highestBottom = choices.length - 2; // where the chine that was chosen is no longer there
  const choose = (index: number) => {
    const choice = choices[index];
    if (!choice) return;
    const edits = (['sheathe', 'sheatheTo'] as const).map((key) => ({ path: ['epoxy', key], value: choice[key] }));
    dispatch(edited({ label: 'Sheathing', edits }));
  };
  return (
    <TextField
      select
      label="Sheathe outside"
      value={chosen >= 0 ? chosen : highestBottom}
      onChange={(event) => choose(Number(event.target.value))}
    >
      {choices.map(({ label }, i) => (
        <MenuItem key={label} value={i}>
          {label}
        </MenuItem>
      ))}
    </TextField>
  );
}

export function EpoxySettings({ project }: { readonly project: Project }) {
  const dispatch = useAppDispatch();
  const { words, gramsPerM2 } = clothWeightUnit(project.notation);
  const weights: readonly Shown[] = [
    ['tapeWeight', `Tape, ${words}`, gramsPerM2],
    ['sheathingWeight', `Cloth, ${words}`, gramsPerM2],
  ];
  const set = (key: keyof Project['epoxy'], label: string) => (value: number | string) =>
    dispatch(edited({ label, edits: [{ path: ['epoxy', key], value }] }));
  return (
    <Section title="Rates">
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
        <LengthField
          label="Fillet radius"
          mm={project.epoxy.filletRadius}
          onCommit={set('filletRadius', 'Fillet radius')}
          path={['epoxy', 'filletRadius']}
        />
        <LengthField
          label="Least leg"
          mm={project.epoxy.filletLeg}
          onCommit={set('filletLeg', 'Least leg')}
          path={['epoxy', 'filletLeg']}
        />
        <SelectField
          label="Fillets go by"
          value={project.epoxy.filletBy}
          names={FILLET_BY}
          onChange={set('filletBy', 'Fillets go by')}
        />
        <LengthField
          label="Tape width"
          mm={project.epoxy.tapeWidth}
          onCommit={set('tapeWidth', 'Tape width')}
          path={['epoxy', 'tapeWidth']}
        />
        <LengthField
          label="Next one narrower by"
          mm={project.epoxy.tapeStep}
          onCommit={set('tapeStep', 'Next tape narrower')}
          path={['epoxy', 'tapeStep']}
        />
        {[...weights, ...NUMBERS].map(([key, label, unit]) => (
          <NumberField
            key={key}
            label={label}
            value={project.epoxy[key] / unit}
            onCommit={(value) => set(key, label)(value * unit)}
            path={['epoxy', key]}
            unit={unit}
          />
        ))}
        <Sheathing part={project.epoxy} />
        <SelectField
          label="When it is sealed"
          value={project.epoxy.coating}
          names={COATING}
          onChange={set('coating', 'When it is sealed')}
        />
      </Box>
    </Section>
  );
}

/** How fast one works, by which pots are cut to what can be used up. */
export function Paces({ project: { epoxy, notation } }: { readonly project: Project }) {
  const dispatch = useAppDispatch();
  const unit = gramsPerShown(notation);
  return (
    <Section title="Pace of work" aside={`${massUnit(notation)} a minute`}>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
        {(Object.keys(PACES) as (keyof typeof PACES)[]).map((key) => (
          <NumberField
            key={key}
            label={`${PACES[key]}, ${massUnit(notation)}/min`}
            value={epoxy.rates[key] / unit}
            onCommit={(value) =>
              dispatch(edited({ label: PACES[key], edits: [{ path: ['epoxy', 'rates', key], value: value * unit }] }))
            }
            path={['epoxy', 'rates', key]}
            unit={unit}
          />
        ))}
      </Box>
    </Section>
  );
}
