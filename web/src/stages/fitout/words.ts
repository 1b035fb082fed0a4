/** What the choices of a part inside or on top are called. */
import type { InsidePlan } from '@kalotrope/core/fitout';

export const KINDS: Readonly<Record<InsidePlan['kind'], string>> = {
  sole: 'sole',
  seat: 'side seat',
  thwart: 'thwart',
  top: 'top of a tank or a bunk',
  deck: 'deck',
  'side-deck': 'side deck',
  breasthook: 'breasthook',
  knee: 'quarter knee',
};
export const FITS: Readonly<Record<InsidePlan['fit'], string>> = {
  inside: 'in the hull',
  over: 'over the sheer',
};
export const HANDS: Readonly<Record<InsidePlan['hand'], string>> = {
  across: 'right across',
  pair: 'a pair',
  starboard: 'starboard only',
  port: 'port only',
};
export const HEIGHTS_OF: Readonly<Record<InsidePlan['height']['of'], string>> = {
  top: 'its upper face',
  under: 'its under side',
};
export const SCHOOLS: Readonly<Record<'boat' | 'filleted' | 'framed', string>> = {
  boat: 'as the boat',
  filleted: 'square',
  framed: 'bevelled to the skin',
};
export const SHAPES: Readonly<Record<InsidePlan['hatches'][number]['shape'], string>> = {
  rounded: 'rounded corners',
  oval: 'oval',
};
export const STUFFS = { sheet: 'plywood', board: 'solid timber' } as const;
export const PAIRS = { pair: 'the same to port', one: 'this one only' } as const;
export const YES_NO = { yes: 'yes', no: 'no' } as const;

export const EDGES_SECTION = 'Its edges';
export const LANDS_SECTION = 'What it lies on';
export const PIECES_SECTION = 'In pieces';
export const HATCHES_SECTION = 'Hatches';
export const FITTINGS_SECTION = 'Fittings';
export const SKIN_SECTION = 'Along the skin';
