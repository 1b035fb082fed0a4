/** Both faces of the skin, panel by panel. */
import { insideOf, outsideOf, type Panel } from '../panels';

/** Of the usual sheet, from the lines' surface inward to either face, mm: to the outside it is nothing, or less. */
export type FacesOfSkin = { readonly inside: number; readonly outside: number };

/** A panel's own, the outside first. */
export const facesOf = (panel: Panel, { inside, outside }: FacesOfSkin): readonly [number, number] => [
  -outsideOf(panel, -outside),
  insideOf(panel, inside),
];
