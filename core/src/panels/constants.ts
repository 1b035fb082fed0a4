/** What plywood takes, and the usual settings. Values from outside carry their source. Lengths mm unless named. */
import { house, type Constant } from '../stage';

export const TWIST_LIMIT_DEG = house(1, '°', 'rulings twisted less than this are taken up in the fastening');

export const STRAIN_LIMITS = house(
  { joints: 0.001, force: 0.003 },
  'fraction',
  'rule of thumb: up to the first is lost in the joints, up to the second by force and good clamps',
);

/** Least radius of bend for dry structural plywood, by thickness. */
export const LEAST_RADII = {
  value: [
    { thicknessIn: 0.25, acrossFt: 2, alongFt: 5 },
    { thicknessIn: 0.3125, acrossFt: 2, alongFt: 6 },
    { thicknessIn: 0.375, acrossFt: 3, alongFt: 8 },
    { thicknessIn: 0.5, acrossFt: 6, alongFt: 12 },
    { thicknessIn: 0.625, acrossFt: 8, alongFt: 16 },
    { thicknessIn: 0.75, acrossFt: 12, alongFt: 20 },
  ],
  unit: 'in, ft',
  source: "plywood industry association's published bending table",
  note: 'bend axis across or along the face grain; under 1/4 in scaled by thickness',
} as const satisfies Constant;

export const SKIN_THICKNESS = house(
  6,
  'mm',
  'the usual sheet for boats of four to five metres that one person carries',
);
export const THINNEST_LAYER = house(2.5, 'mm', 'thinner plywood for boats is hardly to be had');
export const TRANSOM_THICKNESS = house(9, 'mm', 'one size up from the skin: it carries loads and is not bent');
export const MARKING_STEP = house(200, 'mm', 'close enough for a batten round nails on any curve of a small boat');
export const MARKING_STEP_INCHES = house(12, 'in', 'marks a foot apart, as plans in feet and inches have them');
export const MARKING_STRAY = house(0.3, 'mm', 'the half of a pencil line: a batten that strays less is on the edge');
export const MARKED_WITHIN = house(0.5, 'mm', 'a nail at a pencil cross, nineteen times of twenty');
export const RULE_READ = house(0.5, 'mm', 'half of the rule’s finest division, read by eye');
export const RULE_READ_INCHES = house(1 / 32, 'in', 'the finest division of a common rule');
export const CUT_WITHIN = house(0.5, 'mm', 'sawn outside the line and planed to it, nineteen times of twenty');
export const PLANED_OVER = house(150, 'mm', 'the half of a smoothing plane’s sole on either side');
export const THICKNESS_WITHIN = house(0.3, 'mm', 'what sheets of one make differ by, nineteen times of twenty');
export const FRAMES_WITHIN = house(2, 'mm', 'what a string and a rule are held to, nineteen times of twenty');
export const STITCH_SPACING = house(150, 'mm', 'ties at a hand and a half draw a 6 mm edge together all along');
export const STITCH_INSET = house(9, 'mm', 'a hole nearer to the edge tears out of thin ply');
export const SHEET_SIZE = house(
  { width: 2440, height: 1220 },
  'mm',
  'eight feet by four: the sheet that most yards sell',
);
