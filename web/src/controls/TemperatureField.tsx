import { fromShownTemperature, shownTemperature, temperatureUnit } from '@kalotrope/core/measure';
import { selectNotation } from '../state/selectors';
import { useAppSelector } from '../state/store';
import { NumberField, numberBetween } from './NumberField';

type Props = { readonly label: string; readonly celsius: number; readonly onCommit: (celsius: number) => void };

/** What a shop and a hardener can be, °C. */
const [LEAST_C, MOST_C] = [-40, 60] as const;

/** A temperature in the boat's unit. */
export function TemperatureField({ label, celsius, onCommit }: Props) {
  const notation = useAppSelector(selectNotation);
  const [least, most] = [shownTemperature(LEAST_C, notation), shownTemperature(MOST_C, notation)];
  return (
    <NumberField
      label={`${label}, ${temperatureUnit(notation)}`}
      value={Number(shownTemperature(celsius, notation).toFixed(1))}
      read={numberBetween(least, most)}
      onCommit={(shown) => onCommit(Number(fromShownTemperature(shown, notation).toFixed(3)))}
    />
  );
}
