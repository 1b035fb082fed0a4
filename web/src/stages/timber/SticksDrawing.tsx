/** Every stick that is bought as a bar, with what is cut from it, to one scale. */
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { runOfThing, runThing, sectionOfStick, type TimberPlan, type TimberValue } from '@kalotrope/core/timber';
import { formatWithUnit } from '@kalotrope/core/measure';
import { picked } from '../../state/screen-slice';
import { selectNotation, selectPicked } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { DrawingSurface } from '../../drawing/DrawingSurface';

type Props = { readonly value: TimberValue; readonly plan: TimberPlan };

/** From one bar to the next, of the longest stick: less the more there are, so that they fill the place. */
const PITCH = { all: 0.55, least: 0.062, most: 0.13 };
/** On a narrow screen letters are as large, and all else is small: so far apart that a line goes between. */
const NARROW_PITCH = 0.125;
/** Of that: a bar's height. */
const BAR = 0.42;
/** As wide as a name's letter, px. */
const LETTER_PX = 6.6;
/** Left free beside it. */
const ROOM_PX = 8;

export function SticksDrawing({ value, plan }: Props) {
  const { palette } = useTheme();
  const notation = useAppSelector(selectNotation);
  const choice = runOfThing(useAppSelector(selectPicked));
  const dispatch = useAppDispatch();
  const { runs, job } = value;
  const lengthOf = (stock: string) => job.stock.find(({ id }) => id === stock)?.length ?? 0;
  const longest = Math.max(...plan.sticks.map(({ stock }) => lengthOf(stock)));
  const isWide = useMediaQuery(useTheme().breakpoints.up('md'));
  const even = Math.min(PITCH.most, Math.max(PITCH.least, PITCH.all / plan.sticks.length));
  const pitch = longest * (isWide ? even : Math.max(NARROW_PITCH, even));
  const bar = BAR * pitch;
  const bounds = { minX: 0, maxX: longest, minY: -pitch * plan.sticks.length, maxY: 0 };
  return (
    <DrawingSurface label="Sticks with what is cut from them" bounds={bounds}>
      {({ px }) =>
        plan.sticks.map(({ stock, index, cuts, left }, k) => {
          const y = k * pitch + pitch - bar;
          let at = 0;
          return (
            <g key={`${stock} ${index}`} fill="none">
              <text x={0} y={y - 5 * px} fontSize={12.5 * px} fill={palette.text.secondary}>
                {k + 1}: {sectionOfStick(runs, job, stock, notation)}, {formatWithUnit(lengthOf(stock), notation)}
                {left > 0 && `; left ${formatWithUnit(left, notation)}`}
              </text>
              <rect
                x={0}
                y={y}
                width={lengthOf(stock)}
                height={bar}
                stroke={palette.text.secondary}
                strokeWidth={px}
                strokeDasharray={`${4 * px} ${3 * px}`}
              />
              {cuts.map(({ run, copy, part, length }) => {
                const from = at;
                at += length + job.kerf;
                const own = runs.find(({ id }) => id === run);
                const name = own?.name ?? run;
                const isPicked = choice === run;
                const words = `${name}, ${formatWithUnit(length, notation)}`;
                const shown = [words, formatWithUnit(length, notation)].find(
                  (text) => (text.length * LETTER_PX + ROOM_PX) * px < length,
                );
                return (
                  <g
                    key={`${run} ${copy} ${part}`}
                    style={{ cursor: 'pointer' }}
                    onClick={() => dispatch(picked(runThing(run)))}
                  >
                    <title>{words}</title>
                    <rect
                      x={from}
                      y={y}
                      width={length}
                      height={bar}
                      fill="#E9D6AE"
                      stroke={isPicked ? palette.secondary.main : palette.text.primary}
                      strokeWidth={(isPicked ? 2.6 : 1.2) * px}
                    />
                    {shown && (
                      <text
                        x={from + length / 2}
                        y={y + bar / 2 + 4.3 * px}
                        fontSize={12 * px}
                        textAnchor="middle"
                        fill="#1D2C36"
                      >
                        {shown}
                      </text>
                    )}
                  </g>
                );
              })}
            </g>
          );
        })
      }
    </DrawingSurface>
  );
}
