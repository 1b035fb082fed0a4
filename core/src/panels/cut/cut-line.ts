/** The line along which a panel or a transom is cut: its outline, or one larger by what is left on. */
import type { Outline } from '../../geometry';

/** What is cut in place of an outline, and the stretches of that which are trimmed to. */
export type Proud = { readonly outline: Outline; readonly net: readonly Outline[] };

export const cutLineOf = ({ outline, proud }: { readonly outline: Outline; readonly proud?: Proud }): Outline =>
  proud?.outline ?? outline;
