/** One load: what it weighs and where its middle is. */
import Button from '@mui/material/Button';
import { LOADS_PATH, type Load } from '@kalotrope/core/weights';
import { LengthField } from '../../controls/LengthField';
import { NameField } from '../../controls/NameField';
import { NumberField } from '../../controls/NumberField';
import { Tick } from '../../controls/ViewTabs';
import { selectNotation } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { heavyUnit, kgPerShown } from './shown';
import { useLoads } from './use-loads';

const WHOLE_ROW = { gridColumn: '1 / 3' };
const UNDER = { marginTop: 10 };

export function LoadFields({ load }: { readonly load: Load }) {
  const { loads, put, change } = useLoads();
  const notation = useAppSelector(selectNotation);
  const unit = kgPerShown(notation);
  const path = (key: keyof Load) => [...LOADS_PATH, load.id, key];
  const length = (key: 'x' | 'out' | 'up', label: string) => (
    <LengthField
      label={label}
      mm={load[key]}
      onCommit={(mm) => change(load.id, label.toLowerCase(), { [key]: mm })}
      path={path(key)}
    />
  );
  return (
    <>
      <Tick
        label="Aboard"
        hint="Ashore it stays in the list and weighs nothing"
        isTicked={load.isAboard}
        onTick={(isAboard) => change(load.id, isAboard ? 'aboard' : 'ashore', { isAboard })}
      />
      <div className="field-grid no-print" style={UNDER}>
        <div style={WHOLE_ROW}>
          <NameField
            label="Name of the load"
            value={load.name}
            most={60}
            onCommit={(name) => change(load.id, 'name', { name })}
          />
        </div>
        <NumberField
          label={`It weighs, ${heavyUnit(notation)}`}
          value={load.kg / unit}
          unit={unit}
          onCommit={(shown) => change(load.id, 'weight', { kg: shown * unit })}
          path={path('kg')}
        />
        {length('x', 'From the stem to it')}
        {length('out', 'It, to starboard')}
        {length('up', 'Height of it')}
      </div>
      <Button
        onClick={() =>
          put(
            `${load.name} taken out`,
            loads.filter((one) => one !== load),
          )
        }
      >
        Take it out of the list
      </Button>
    </>
  );
}
