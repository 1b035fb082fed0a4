/** Differences as a table has them: its head says millimetres; an inch's parts say what they are. */
import { formatSmall, isImperial, type Notation } from '../measure';

/** Less than a pencil shows is none. */
const NONE_MM = 0.05;

export function smallFigure(mm: number, notation: Notation): string {
  const shown = Math.abs(mm) < NONE_MM ? 0 : mm;
  return isImperial(notation) ? formatSmall(shown, notation) : shown.toFixed(1);
}

/** With its sign, but for none. */
export const signedFigure = (mm: number, notation: Notation): string =>
  `${mm >= NONE_MM ? '+' : ''}${smallFigure(mm, notation)}`;

/** As exact as anything is cut; what is shown is sent with every edit, and digits that say nothing are weight. */
export const hundredths = (mm: number): number => Math.round(mm * 100) / 100;
