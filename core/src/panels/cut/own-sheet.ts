/**
 * A panel of a sheet thinner or thicker than the skin's usual one, as a bottom thicker than the sides.
 *
 * The lines stay where they are: its faces lie about them as the usual sheet's do (to the outside, the middle or the
 * inside), by its own thickness. Lengths mm.
 */
import { asItIs, type Remember } from '../../stage';
import type { OwnSheet, Panel } from '../panel';
import type { LinesTo, OwnThickness, PanelsPart } from '../schema';

/** From the lines inward to the inner face of a sheet. */
export const depthOfInside = ({ thickness, linesTo }: SheetOnLines): number =>
  ({ outside: 1, middle: 0.5, inside: 0 })[linesTo] * thickness;

type SheetOnLines = { readonly thickness: number; readonly linesTo: LinesTo };

type Asked = Pick<PanelsPart, 'ownThickness'> & SheetOnLines;

/** The thickness that a panel is told to be, or the whole that it is a part of; undefined: as all. */
const ownThicknessOf = (
  { id, partOf }: Pick<Panel, 'id' | 'partOf'>,
  own: PanelsPart['ownThickness'],
): number | undefined => (own.find((one) => one.id === id) ?? own.find((one) => one.id === partOf?.id))?.thickness;

/** The list with the panel of another thickness; null: of the usual sheet. */
export const withOwnThickness = (
  own: readonly OwnThickness[],
  id: string,
  thickness: number | null,
): OwnThickness[] => [...own.filter((one) => one.id !== id), ...(thickness === null ? [] : [{ id, thickness }])];

/** The panel with the sheet that it is told to be of; the very same where that is the usual one. */
export function inOwnSheet(panel: Panel, { thickness, linesTo, ownThickness }: Asked, remember: Remember): Panel {
  const thicknessMm = ownThicknessOf(panel, ownThickness);
  if (thicknessMm === undefined || thicknessMm === thickness) return panel;
  const more = thicknessMm - thickness;
  const insideBy = depthOfInside({ thickness: more, linesTo });
  const own = remember(`own sheet ${panel.id}`, asItIs<OwnSheet>, {
    thicknessMm,
    insideBy,
    outsideBy: more - insideBy,
  });
  return remember(`in own sheet ${panel.id}`, withOwnSheet, panel, own);
}

const withOwnSheet = (panel: Panel, own: OwnSheet): Panel => ({ ...panel, own });

/** How thick what is cut is: a layer, the panel's own sheet, or the usual one. */
export const thicknessOf = ({ layer, own }: Pick<Panel, 'layer' | 'own'>, usual: number): number =>
  layer?.thicknessMm ?? own?.thicknessMm ?? usual;

/** How deep under the lines a panel's inside lies, of how deep the usual sheet's does. */
export const insideOf = ({ own }: Pick<Panel, 'own'>, usual: number): number => usual + (own?.insideBy ?? 0);

/** How far over the lines a panel's outside lies, of how far the usual sheet's does. */
export const outsideOf = ({ own }: Pick<Panel, 'own'>, usual: number): number => usual + (own?.outsideBy ?? 0);

/**
 * How far from the line along its own sheet the face of one panel meets that of another, at a turn φ of their normals:
 * both faces lie on the same side of the lines, this one `own` and the other `other` off them.
 *
 * (other − own·cos φ)/sin φ, which is d·tan(φ/2) where both are alike. Where that would take the farther face past the
 * line it stops there, and the nearer stands back by own·tan φ, against the other's edge: so a soft corner of unlike
 * sheets stays one that can be planed (derived here; it goes over from one to the other without a step).
 */
export function meetsAt(own: number, other: number, turnRad: number): number {
  if (own === other) return own * Math.tan(turnRad / 2);
  const [sin, cos] = [Math.sin(turnRad), Math.cos(turnRad)];
  if (other <= own * cos) return 0;
  if (own <= other * cos) return own * (sin / cos);
  return (other - own * cos) / sin;
}
