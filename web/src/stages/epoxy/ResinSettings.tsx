/** What stands on the tins and on the maker's sheet. */
import Box from '@mui/material/Box';
import { ratioByWeight } from '@kalotrope/core/epoxy';
import { gramsPerShown, massUnit } from '@kalotrope/core/measure';
import type { Project } from '@kalotrope/core/project';
import { NumberField } from '../../controls/NumberField';
import { Section } from '../../controls/Section';
import { TemperatureField } from '../../controls/TemperatureField';
import { edited } from '../../state/document-slice';
import { useAppDispatch } from '../../state/store';

type Resin = Project['epoxy']['resin'];
type Shown = readonly [key: keyof Resin, label: string, unit: number];

export function ResinSettings({ project: { epoxy, notation } }: { readonly project: Project }) {
  const dispatch = useAppDispatch();
  const { resin } = epoxy;
  const mass = massUnit(notation);
  const unit = gramsPerShown(notation);
  const set = (key: keyof Resin, label: string) => (value: number) =>
    dispatch(edited({ label, edits: [{ path: ['epoxy', 'resin', key], value }] }));
  const field = ([key, label, one]: Shown) => (
    <NumberField
      key={key}
      label={label}
      value={resin[key] / one}
      onCommit={(value) => set(key, label)(value * one)}
      path={['epoxy', 'resin', key]}
      unit={one}
    />
  );
  const ratio = ratioByWeight({ ratioByVolume: [resin.ratioA, resin.ratioB], ...resin });
  const tins: readonly Shown[] = [
    ['ratioA', 'Parts of resin', 1],
    ['ratioB', 'To parts of hardener', 1],
    ['densityA', 'Weight of resin, g/ml', 1],
    ['densityB', 'Weight of hardener, g/ml', 1],
    ['potMinutes', 'Pot lasts, minutes', 1],
    ['potGrams', `Tried with, ${mass}`, unit],
    ['greatestPot', `Heaviest pot, ${mass}`, unit],
    ['scale', `Scale steps by, ${mass}`, unit],
    ['strokeA', `Stroke of resin, ${mass}`, unit],
    ['strokeB', `Stroke of hardener, ${mass}`, unit],
  ];
  const hours: readonly Shown[] = [
    ['dampest', 'Dampest, %', 1],
    ['tackyHours', 'Next coat from, h', 1],
    ['bondsHours', 'Next coat until, h', 1],
    ['sandHours', 'Sand from, h', 1],
    ['curedHours', 'Cured after, h', 1],
  ];
  return (
    <Section title="The resin" aside={`${ratio.toFixed(2)} to 1 by weight`}>
      <p className="quiet">
        By volume, as the tins say it. A density is known by weighing a full measure of each part. Strokes of a pump:
        weigh ten and take a tenth; 0 where there is none.
      </p>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
        {tins.map(field)}
        <TemperatureField label="Tried at" celsius={resin.potC} onCommit={set('potC', 'Tried at')} />
        <TemperatureField label="Coldest" celsius={resin.leastC} onCommit={set('leastC', 'Coldest')} />
        {hours.map(field)}
      </Box>
    </Section>
  );
}
