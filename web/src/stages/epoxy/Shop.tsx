/** How warm and how damp the shop is: as it was typed, or as its sensor says. */
import Box from '@mui/material/Box';
import type { Project } from '@kalotrope/core/project';
import { formatTemperature } from '@kalotrope/core/measure';
import type { ShopState } from '../../devices/use-shop';
import { Act } from '../../controls/Act';
import { NumberField } from '../../controls/NumberField';
import { Section } from '../../controls/Section';
import { TemperatureField } from '../../controls/TemperatureField';
import { edited } from '../../state/document-slice';
import { useAppDispatch } from '../../state/store';

type Props = {
  readonly project: Project;
  readonly shop: ShopState;
  readonly isSensed: boolean;
  readonly onSense: (isSensed: boolean) => void;
};

export function Shop({ project: { epoxy, notation }, shop, isSensed, onSense }: Props) {
  const dispatch = useAppDispatch();
  const set = (key: 'tempC' | 'humidity', label: string) => (value: number) =>
    dispatch(edited({ label, edits: [{ path: ['epoxy', 'shop', key], value }] }));
  const { tempC, humidity } = shop.reading ?? epoxy.shop;
  return (
    <Section title="The shop" aside={`${formatTemperature(tempC, notation)}, ${humidity.toFixed(0)} %`}>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
        <TemperatureField label="How warm it is" celsius={epoxy.shop.tempC} onCommit={set('tempC', 'How warm it is')} />
        <NumberField
          label="Humidity, %"
          value={epoxy.shop.humidity}
          onCommit={set('humidity', 'Humidity')}
          path={['epoxy', 'shop', 'humidity']}
        />
      </Box>
      {isSensed && (
        <p className="quiet">
          {shop.reading
            ? 'The sensor goes before what is typed here.'
            : shop.isLost
              ? 'Nothing comes from the sensor: what is typed here holds.'
              : 'Waiting for the sensor.'}
        </p>
      )}
      <Act
        label={isSensed ? 'Stop listening to the sensor' : 'Listen to the stand-in sensor'}
        onAct={() => onSense(!isSensed)}
      />
    </Section>
  );
}
