import { evenSpacing } from '@kalotrope/core/frames';
import { Refusal, numberOption, trim, type Answer, type Options } from '../io';

const LONGEST_MM = 1_000_000;

export function spacingCommand(options: Options): Answer {
  const run = numberOption(options, 'run', { min: 0, max: LONGEST_MM });
  const ends = numberOption(options, 'ends', { min: 0, max: LONGEST_MM });
  const about = numberOption(options, 'about', { min: 0.01, max: LONGEST_MM });
  const found = evenSpacing({ run, ends, about });
  if (!found)
    throw new Refusal(
      run <= 2 * ends
        ? `--ends is ${ends}; expected less than half of the run, ${run / 2}`
        : `--about is ${about}; expected a gap of which the run holds 10000 at most`,
    );
  const places = found.at.map(trim);
  return {
    json: { gaps: found.gaps, spacing: trim(found.spacing), at: places },
    text: [`${found.gaps} gaps of ${found.spacing.toFixed(2)} mm, at`, ...places.map((place) => place.toFixed(1))].join(
      '\n',
    ),
  };
}
