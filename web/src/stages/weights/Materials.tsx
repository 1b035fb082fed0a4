/** What a cubic metre of each weighs, the water, and what is drawn nowhere. */
import type { WeightsPart } from '@kalotrope/core/weights';
import { NumberField } from '../../controls/NumberField';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { Tick } from '../../controls/ViewTabs';
import { edited } from '../../state/document-slice';
import { selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { densityPerShown, densityUnit, heavyUnit, kgPerShown } from './shown';
import { MATERIAL_SECTION } from './words';

const WATER_NAMES = { fresh: 'fresh', salt: 'salt' } as const;

export function Materials({ part }: { readonly part: WeightsPart }) {
  const dispatch = useAppDispatch();
  const notation = useAppSelector(selectNotation);
  const set = (key: keyof WeightsPart, label: string, value: string | number | boolean) =>
    dispatch(edited({ label, edits: [{ path: ['weights', key], value }] }));
  const figure = (key: 'ply' | 'timber' | 'fittings', label: string, unit: number) => (
    <NumberField
      label={label}
      value={part[key] / unit}
      unit={unit}
      onCommit={(shown) => set(key, label, shown * unit)}
      path={['weights', key]}
    />
  );
  const [dense, per] = [densityPerShown(notation), densityUnit(notation)];
  return (
    <Section title={MATERIAL_SECTION}>
      <div className="field-grid no-print">
        {figure('ply', `Plywood, ${per}`, dense)}
        {figure('timber', `Timber, ${per}`, dense)}
        {figure('fittings', `Fittings, ${heavyUnit(notation)}`, kgPerShown(notation))}
        <SelectField
          label="Water"
          value={part.water}
          names={WATER_NAMES}
          onChange={(water) => set('water', 'Water', water)}
        />
      </div>
      <Tick
        label="Float line on the panels"
        hint="Marked on them, as far as it passes each"
        isTicked={part.onPanels}
        onTick={(onPanels) => set('onPanels', 'Float line on the panels', onPanels)}
      />
      <p className="quiet">Weigh an offcut, and divide by its length, breadth and thickness.</p>
    </Section>
  );
}
