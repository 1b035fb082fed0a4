/** What the choices of a frame are called. */
import {
  framesStage,
  type CleatPlan,
  type FramePlan,
  type FramesPart,
  type GirderPlan,
  type Member,
  type Opening,
  type SlotPlan,
  type TakenShape,
  type TimberSettings,
} from '@kalotrope/core/frames';

export const DATUM_PATH = [framesStage.name, 'datum'];
export const STANDING_PATH = [framesStage.name, 'standing'];

type Kind = FramePlan['kind'];
const KINDS: Readonly<Record<Exclude<Kind, 'usual'>, string>> = {
  bulkhead: 'bulkhead, plywood',
  ring: 'ring frame, plywood',
  sawn: 'sawn frame, timber',
  mould: 'mould, not built in',
};
const USUAL_FILLETED: Readonly<Record<Kind, string>> = { usual: 'as the boat: bulkhead', ...KINDS };
const USUAL_FRAMED: Readonly<Record<Kind, string>> = { usual: 'as the boat: sawn frame', ...KINDS };
export const kindNames = (isFramed: boolean) => (isFramed ? USUAL_FRAMED : USUAL_FILLETED);

export const FACES: Readonly<Record<FramePlan['face'], string>> = {
  fore: 'forward face; thickness goes aft',
  aft: 'after face; thickness goes forward',
};
export const STANDING: Readonly<Record<FramesPart['standing'], string>> = {
  each: 'as each frame is told',
  'no-bevel': 'the face that needs no bevel',
  'to-bevel': 'the other, to be bevelled',
};
export const TAKEN_WAYS: Readonly<Record<TakenShape['way'], string>> = {
  plumb: 'a plumb line, at heights',
  two: 'two fixed points',
};
export const SLOT_EDGES: Readonly<Record<SlotPlan['edge'], string>> = { skin: 'the skin', top: 'the top' };
export const CLEAT_FACES: Readonly<Record<CleatPlan['face'], string>> = { fore: 'forward face', aft: 'after face' };
export const ENDS: Readonly<Record<FramesPart['planked']['from'], string>> = {
  fore: 'the fore end',
  aft: 'the after end',
};
export const HANDS: Readonly<Record<FramePlan['bounds']['hand'], string>> = {
  across: 'right across',
  pair: 'a pair, port and starboard',
  starboard: 'starboard only',
  port: 'port only',
};
export const TOPS: Readonly<Record<FramePlan['top']['kind'], string>> = {
  straight: 'straight across',
  level: 'level at a height',
  rise: 'cambered, by its rise',
  radius: 'cambered, by its radius',
};
export const SHAPES: Readonly<Record<Opening['shape'], string>> = { rounded: 'rounded corners', oval: 'oval' };
export const BOAT_SCHOOLS = {
  boat: 'as the boat',
  filleted: 'filleted, square',
  framed: 'on timber, bevelled',
} as const;
export const PART_SCHOOLS = { ...BOAT_SCHOOLS, boat: 'as the part' } as const;
export const PLACES: Readonly<Record<Member['on'], string>> = {
  above: 'on the panel above it',
  below: 'on the panel below it',
  centre: 'along the centreline',
};
export const SIDES: Readonly<Record<Member['side'], string>> = { inside: 'inside', outside: 'outside' };
export const NOTCHED = { yes: 'notched for it', no: 'left whole' } as const;

export const TIMBER_CORNERS: Readonly<Record<TimberSettings['corner'], string>> = {
  mitred: 'mitred, both cut on the line between',
  floor: 'the floor runs out to the skin',
  sides: 'the sides run down to the bottom',
};
export const PLATE_FACES = { 0: 'none', 1: 'on one face', 2: 'on both faces' } as const;

export const GIRDER_HANDS: Readonly<Record<GirderPlan['hand'], string>> = {
  centre: 'on the centreline',
  pair: 'a pair, port and starboard',
  starboard: 'starboard only',
  port: 'port only',
};
export const GIRDER_TOPS: Readonly<Record<GirderPlan['top']['kind'], string>> = {
  straight: 'straight between two heights',
  sheer: 'along the sheer',
};
export const HALVINGS: Readonly<Record<GirderPlan['halving'], string>> = {
  frame: 'halved, the frame goes over it',
  girder: 'halved, it goes over the frame',
  between: 'in pieces between them',
};

/** The parts of the slip, and the labels of what can always be set in them. */
export const SHAPE_SECTION = 'Its shape';
export const EDGE_SECTION = 'How its edges are made';
export const TIMBER_SECTION = 'Its timbers';
export const CUT_SECTION = 'Openings, holes and slots';
export const TAKEN_SECTION = 'Shapes taken off a boat';
export const BEVEL_OF_SHAPE = 'Bevel of its edge, °';
export const CUT_TO = 'Cut to';
export const CLEAT_SECTION = 'Cleats on it';
export const PLANKED_SECTION = 'A bottom planked athwart';
export const PLANKED_PANEL = 'Panel laid across';
export const MEMBERS_SECTION = 'Members along the hull';
export const KEPT_SECTION = 'Room round cuts, and the cutter';
export const KEPT_LABELS = {
  opening: 'Plywood round an opening',
  hole: 'Plywood round a hole',
  corner: 'Least corner of an opening',
} as const;
export const RELIEF = 'Cutter’s radius, 0: by hand';
export const SCREWS_SECTION = 'Screws and staples';
export const SCREW_LABELS = {
  spacing: 'Screws every, 0: none',
  ends: 'First from an end',
  diameter: 'Thickness of a screw',
  staples: 'Staples every',
} as const;
export const SCREW_USE = 'What becomes of them';
export const GIRDERS_SECTION = 'Girders along the boat';
export const BEVELS_SECTION = 'Bevels along a line';
export const SHAPE_LABELS = {
  rake: 'Rake, top aft, °',
  lining: 'Core or lining',
  hand: 'It goes',
  top: 'Its top',
  proudSkin: 'Left on along the skin',
  proudTop: 'Left long at the top',
} as const;
export const WHOLE_PART = 'The whole part';
export const BEVEL_STEP = 'Bevels every';
