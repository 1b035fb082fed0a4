/** For those without such devices: a scale and a sensor that the program's own server plays, and what can be wrong. */
import Box from '@mui/material/Box';
import { useState } from 'react';
import { changeStandIn } from '../../devices/streams';
import { Act } from '../../controls/Act';
import { NumberField, numberBetween } from '../../controls/NumberField';
import { Section } from '../../controls/Section';
import { SelectField } from '../../controls/SelectField';
import { TemperatureField } from '../../controls/TemperatureField';
import { gramsPerShown, massUnit } from '@kalotrope/core/measure';
import { said } from '../../state/screen-slice';
import { selectNotation } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';

const FAULTS = {
  none: 'nothing',
  drift: 'it drifts',
  dropout: 'it falls silent',
  freeze: 'it freezes',
  spike: 'it jumps',
} as const;
type Fault = keyof typeof FAULTS;

export function StandIns() {
  const notation = useAppSelector(selectNotation);
  const dispatch = useAppDispatch();
  const [state, setState] = useState({ load: 0, tempC: 18, humidity: 60, scale: 'none', shop: 'none' });
  const change = (device: 'scale' | 'shop', asked: object, known: Partial<typeof state>) =>
    void changeStandIn(device, asked).then((isDone) =>
      isDone
        ? setState((before) => ({ ...before, ...known }))
        : dispatch(said('The stand-ins do not answer: the program’s server is not running.')),
    );
  const unit = gramsPerShown(notation);
  const put = (load: number) => change('scale', { load }, { load });
  const fault = (device: 'scale' | 'shop') => (next: Fault) => change(device, { fault: next }, { [device]: next });
  return (
    <Section title="Stand-in devices">
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
        <NumberField
          label={`Lies on the scale, ${massUnit(notation)}`}
          value={state.load / unit}
          read={numberBetween(0, 20_000)}
          onCommit={(shown) => put(Math.min(20_000, shown * unit))}
        />
        <SelectField
          label="Wrong with the scale"
          value={state.scale as Fault}
          names={FAULTS}
          onChange={fault('scale')}
        />
        <TemperatureField
          label="At the sensor"
          celsius={state.tempC}
          onCommit={(tempC) => change('shop', { tempC }, { tempC })}
        />
        <SelectField
          label="Wrong with the sensor"
          value={state.shop as Fault}
          names={FAULTS}
          onChange={fault('shop')}
        />
        <NumberField
          label="Damp at the sensor, %"
          value={state.humidity}
          read={numberBetween(0, 100)}
          onCommit={(humidity) => change('shop', { humidity }, { humidity })}
        />
      </Box>
      <Act label="Set the scale to nought" onAct={() => change('scale', { tare: true }, {})} />
    </Section>
  );
}
