/**
 * A bevel stick: a strip at full size with a line across it for every bevel of a log, keelson or clamp, to set a gauge
 * to. Each line leaves square by its bevel, as the log's edge does; the strip's lower edge is the log's own.
 */
import { closedPath, openPath, TEXT_MM, type Drawing, type DrawnText } from '../formats';
import { at, type Vec2 } from '../geometry';
import { formatFine, toRad, type Notation } from '../measure';
import type { RollingBevel } from './rolling-bevel';

const BROAD_MM = 50;
/** Between the feet of two lines: room for what stands over each. */
const STEP_MM = 80;
const LETTER_MM = TEXT_MM * 0.55;
/** Flatter than this from square no gauge is set by a strip: the line ends at its edge. */
const MOST_DEG = 60;

export function bevelStick({ line, name, rows }: RollingBevel, notation: Notation): Drawing {
  const lean = (bevelDeg: number) => BROAD_MM * Math.tan(toRad(Math.max(-MOST_DEG, Math.min(MOST_DEG, bevelDeg))));
  const leans = rows.map(({ bevelDeg }) => lean(bevelDeg));
  const [before, after] = [Math.max(0, ...leans.map((x) => -x)), Math.max(0, ...leans)];
  const feet = rows.map((_, i) => before + (i + 0.5) * STEP_MM);
  const long = before + after + rows.length * STEP_MM;
  return {
    name: `stick-${line}`,
    title: `${name}, bevel stick`,
    hand: 'both sides alike',
    material: 'a batten or card',
    paths: [
      closedPath('cut', [
        [0, 0],
        [long, 0],
        [long, BROAD_MM],
        [0, BROAD_MM],
      ]),
      ...feet.map((x, i): ReturnType<typeof openPath> => {
        const foot: Vec2 = [x, 0];
        return openPath([foot, [x + at(leans, i), BROAD_MM]]);
      }),
    ],
    texts: [
      { at: [0, -LETTER_MM - 6], heightMm: LETTER_MM, text: `${name}: FORE at the left; along it from its fore end` },
      ...rows.map(({ station, s }, i): DrawnText => ({
        at: [at(feet, i) + at(leans, i), BROAD_MM + 4],
        heightMm: LETTER_MM,
        align: 'center',
        text: station !== undefined && /^\d/.test(station) ? `st. ${station}` : (station ?? formatFine(s, notation)),
      })),
    ],
  };
}
