/**
 * The glossary's drawings: schematic, in units of a picture 480 wide, y down. Each shows several words; a label says
 * whose it is, so that the one that is asked for can be made to stand out.
 */
import { fitted, ties } from './inside-pictures';
import { arc, closed, curve, label, open, sag, WIDTH, type Picture, type Point } from './picture';

export type { Picture, PicturePath } from './picture';

function profile(): Picture {
  const sheer = (t: number): Point => [40 + 400 * t, sag(36, 66, 56)(t)];
  const chine = (t: number): Point => [64 + 366 * t, sag(92, 142, 132)(t)];
  const keel = (t: number): Point => [86 + 338 * t, sag(138, 172, 160)(t)];
  const stations = [0.2, 0.4, 0.6, 0.8].map((t) => 86 + 338 * t);
  return {
    title: 'A hull from the side',
    width: WIDTH,
    height: 230,
    paths: [
      open('thin', [20, 190], [460, 190]),
      ...stations.map((x) => open('dashed', [x, 52], [x, 190])),
      open('thin', [60, 118], [436, 118]),
      open('edge', ...curve(sheer)),
      open('edge', ...curve(chine)),
      open('edge', ...curve(keel)),
      open('edge', sheer(0), chine(0), keel(0)),
      open('edge', sheer(1), keel(1)),
      open('dashed', [440, 56], [440, 160]),
      closed('part', [60, 200], [430, 200], [430, 208], [60, 208]),
    ],
    labels: [
      label('Sheer', [250, 56], 'sheer', 'middle'),
      label('Chine', [150, 122], 'chine', 'middle'),
      label('Keel', [230, 166], 'keel', 'middle'),
      label('Stem', [36, 110], 'stem', 'start'),
      label('Transom', [426, 86], 'transom', 'end'),
      label('Rake', [446, 130], 'rake', 'start'),
      label('Base line', [20, 186], 'base-line', 'start'),
      label('Rocker', [100, 180], 'rocker', 'start'),
      label('Waterline', [330, 114], ['waterline', 'guide-line'], 'middle'),
      ...stations.map((x, i) => label(String(i + 1), [x, 46], 'station', 'middle')),
      label('Strongback', [250, 224], 'strongback', 'middle'),
      label('Profile', [20, 20], 'profile'),
    ],
  };
}

/** Two frames seen end on: half a bulkhead and half a ring, with what runs along the hull through them. */
function ringAndBulkhead(): Picture {
  const right: Point[] = [
    [240, 186],
    [356, 150],
    [396, 60],
  ];
  const left = right.map(([x, y]): Point => [480 - x, y]);
  const camber = arc([240, 540], 505, -108, -90);
  return {
    title: 'Half a bulkhead and half a ring frame',
    width: WIDTH,
    height: 236,
    paths: [
      closed('part', [240, 186], ...left.slice(1), ...camber),
      closed('part', [240, 186], ...right.slice(1), [360, 60], [326, 134], [240, 160]),
      open('edge', ...right),
      open('edge', ...left),
      // the clamp, a stringer and the chine log, on either side
      ...([1, -1] as const).flatMap((side) => {
        const on = (points: readonly Point[]) => points.map(([x, y]): Point => [240 + side * (x - 240), y]);
        return [
          closed(
            'glue',
            ...on([
              [396, 60],
              [384, 60],
              [376, 78],
              [388, 78],
            ]),
          ),
          closed(
            'glue',
            ...on([
              [378, 100],
              [368, 96],
              [362, 110],
              [372, 114],
            ]),
          ),
          closed(
            'glue',
            ...on([
              [356, 150],
              [363, 134],
              [351, 131],
              [343, 154],
            ]),
          ),
        ];
      }),
      closed('glue', [228, 182], [240, 186], [252, 182], [252, 164], [228, 164]),
      closed('thin', ...arc([196, 160], 7, 0, 360)),
      // an opening with its doubler, and a cleat under the top
      closed('glue', [152, 84], [204, 84], [204, 122], [152, 122]),
      closed('thin', [160, 91], [196, 91], [196, 115], [160, 115]),
      closed('glue', ...camber.slice(3, -2), ...[...camber.slice(3, -2)].reverse().map(([x, y]): Point => [x, y + 9])),
    ],
    labels: [
      label('Camber', [190, 26], 'camber', 'middle'),
      label('Sheer clamp', [402, 68], 'clamp'),
      label('Stringer', [388, 112], 'stringer'),
      label('Chine log', [374, 148], 'chine-log'),
      label('Keelson', [240, 208], 'keelson', 'middle'),
      label('Limber hole', [130, 208], 'limber-hole', 'middle'),
      label('Ring frame', [288, 80], 'ring-frame', 'middle'),
      label('Cleat', [70, 44], 'cleat'),
      label('Doubler', [178, 138], 'doubler', 'middle'),
      label('Mould: the same, not left in', [20, 230], 'mould'),
    ],
  };
}

function timbers(): Picture {
  const right: Point[] = [
    [240, 190],
    [352, 190],
    [400, 50],
  ];
  const over = (points: readonly Point[]) => points.map(([x, y]): Point => [480 - x, y]);
  const floor: Point[] = [
    [128, 190],
    [352, 190],
    [360, 166],
    [120, 166],
  ];
  const side: Point[] = [
    [360, 166],
    [400, 50],
    [378, 50],
    [338, 166],
  ];
  const gusset: Point[] = [
    [300, 166],
    [300, 190],
    [352, 190],
    [376, 120],
    [354, 120],
  ];
  return {
    title: 'A frame of sawn timber, with what holds it together',
    width: WIDTH,
    height: 236,
    paths: [
      closed('part', ...floor),
      closed('part', ...side),
      closed('part', ...over(side)),
      closed('glue', ...gusset),
      closed('glue', ...over(gusset)),
      closed('glue', [234, 190], [246, 190], [246, 130], [234, 130]),
      closed('thin', [98, 66], [382, 66], [386, 84], [94, 84]),
      open('edge', ...over(right).reverse(), ...right),
    ],
    labels: [
      label('Cross-spall', [240, 56], 'cross-spall', 'middle'),
      label('Gusset', [292, 150], 'gusset', 'end'),
      label('Girder', [240, 122], 'girder', 'middle'),
    ],
  };
}

function section(): Picture {
  const half: Point[] = [
    [240, 176],
    [336, 140],
    [380, 54],
  ];
  const other = half.map(([x, y]): Point => [480 - x, y]);
  return {
    title: 'A section, seen from aft',
    width: WIDTH,
    height: 210,
    paths: [
      closed('part', ...other.slice().reverse(), ...half.slice(1)),
      open('edge', ...half),
      open('edge', ...other),
      open('dashed', [240, 20], [240, 196]),
      open('thin', [240, 54], [380, 54]),
      open('thin', [240, 176], [340, 176]),
      open('thin', ...arc([240, 176], 70, 0, -20.6)),
      open('thin', [336, 140], [336, 60]),
      open('thin', ...arc([336, 140], 60, -90, -62.9)),
      open('thin', [60, 192], [420, 192]),
      open('thin', [408, 54], [408, 192]),
    ],
    labels: [
      label('Centreline', [244, 30], 'centreline'),
      label('Half-breadth', [300, 48], ['half-breadth', 'offsets'], 'middle'),
      label('Height', [412, 126], 'offsets'),
      label('Deadrise', [316, 170], 'deadrise'),
      label('Flare', [342, 76], 'flare'),
      label('Bulkhead', [190, 110], ['bulkhead', 'frame'], 'middle'),
      label('Base line', [60, 206], 'base-line'),
    ],
  };
}

function body(): Picture {
  const half = (share: number, way: 1 | -1): Point[] => [
    [240, 170 - 36 * (1 - share)],
    [240 + way * 96 * share, 140 - 40 * (1 - share)],
    [240 + way * (54 + 96 * share), 46 - 14 * (1 - share)],
  ];
  return {
    title: 'The body plan',
    width: WIDTH,
    height: 196,
    paths: [
      open('dashed', [240, 18], [240, 186]),
      ...[0.35, 0.65, 0.95].flatMap((share) => [open('edge', ...half(share, 1))]),
      ...[0.98, 0.9, 0.8].flatMap((share) => [open('edge', ...half(share, -1))]),
    ],
    labels: [
      label('Forward stations', [420, 176], ['body-plan', 'station'], 'end'),
      label('Aft stations', [60, 176], ['body-plan', 'station']),
    ],
  };
}

function panel(): Picture {
  const upper = (t: number): Point => [30 + 420 * t, sag(110, 46, 74)(t)];
  const lower = (t: number): Point => [52 + 380 * t, sag(124, 142, 160)(t)];
  const rulings = Array.from({ length: 13 }, (_, i) => (i + 0.5) / 13);
  const lean = (t: number) => Math.max(0, t - 0.16 * (1 - t));
  return {
    title: 'A panel, flat',
    width: WIDTH,
    height: 190,
    paths: [
      closed('part', ...curve(upper), ...curve(lower).reverse()),
      ...rulings.map((t) => open('thin', upper(lean(t)), lower(t))),
      open('dashed', upper(0.45), lower(0.42)),
      open('edge', [118, 112], [84, 112]),
      open('edge', [92, 107], [84, 112], [92, 117]),
    ],
    labels: [
      label('Ruling', [300, 38], ['ruling', 'twist'], 'middle'),
      label('Station', [222, 34], 'station', 'middle'),
      label('FORE', [122, 116], [], 'start'),
      label('Panel', [360, 118], ['panel', 'strake'], 'middle'),
    ],
  };
}

function batten(): Picture {
  const line = (t: number): Point => [30 + 300 * t, sag(140, 52, 66)(t)];
  const nails = [0, 0.2, 0.4, 0.6, 0.8, 1].map(line);
  const teeth = Array.from({ length: 16 }, (_, i) => (i + 0.5) / 16);
  const off: Point = [210, 26];
  return {
    title: 'A batten along its nails',
    width: WIDTH,
    height: 190,
    paths: [
      ...teeth.map((t) => {
        const [[x, y], [x1, y1], [x2, y2]] = [line(t), line(t - 0.01), line(t + 0.01)];
        const tooth = (18 + 12 * Math.sin(Math.PI * t)) / Math.hypot(x2 - x1, y2 - y1);
        return open('thin', [x, y], [x - (y2 - y1) * tooth, y + (x2 - x1) * tooth]);
      }),
      open('edge', ...curve(line), [440, 40]),
      ...nails.map((nail) => closed('part', ...arc(nail, 4.5, 0, 345))),
      closed('part', ...arc(off, 4.5, 0, 345)),
      open('dashed', off, [210, 56]),
    ],
    labels: [
      label('Batten', [70, 76], 'batten', 'middle'),
      label('This one is not fair', [222, 30], 'fair'),
      label('Knuckle', [336, 86], 'knuckle'),
      label('Curvature comb', [170, 130], 'curvature-comb', 'middle'),
    ],
  };
}

function bevel(): Picture {
  const drop = (x: number) => 60 + (x - 60) * 0.22;
  return {
    title: 'A frame’s edge under the skin',
    width: WIDTH,
    height: 190,
    paths: [
      closed('part', [40, drop(40)], [440, drop(440)], [440, drop(440) - 16], [40, drop(40) - 16]),
      closed('part', [180, drop(180)], [270, drop(270)], [270, 178], [180, 178]),
      open('dashed', [180, drop(180)], [270, drop(180)]),
      open('thin', ...arc([180, drop(180)], 66, 0, 12.4)),
    ],
    labels: [
      label('Skin', [400, drop(400) - 24], 'skin', 'middle'),
      label('Faying face', [96, 112], 'faying-face', 'middle'),
      label('Bevel', [276, drop(180) + 4], 'bevel'),
      label('Station face', [172, 150], 'station', 'end'),
      label('Frame', [225, 150], ['frame', 'bulkhead'], 'middle'),
    ],
  };
}

function scarf(): Picture {
  return {
    title: 'A scarf, its length eight times the thickness',
    width: WIDTH,
    height: 150,
    paths: [
      closed('part', [20, 60], [320, 60], [160, 80], [20, 80]),
      closed('part', [322, 62], [460, 62], [460, 82], [162, 82]),
      open('thin', [160, 104], [320, 104]),
      open('thin', [160, 98], [160, 110]),
      open('thin', [320, 98], [320, 110]),
      open('dashed', [160, 80], [160, 104]),
      open('dashed', [320, 60], [320, 104]),
    ],
    labels: [
      label('Scarf, 8 × the thickness', [240, 124], 'scarf', 'middle'),
      label('Staggered: the next panel’s is elsewhere', [240, 44], 'stagger', 'middle'),
    ],
  };
}

/** The seam's corner, how far the side leans out from it, and what of it is rounded. */
const CORNER: Point = [150, 150];
const OUT_DEG = 35;
const ROUND = 40;

function fillet(): Picture {
  const lean = (OUT_DEG * Math.PI) / 180;
  /** `up` along the side's inner face, `off` from it into the boat. */
  const onSide = (up: number, off: number): Point => [
    CORNER[0] - up * Math.sin(lean) + off * Math.cos(lean),
    CORNER[1] - up * Math.cos(lean) - off * Math.sin(lean),
  ];
  // the circle touches both faces: its middle is on the line that halves the corner
  const reach = ROUND * Math.tan(lean / 2 + Math.PI / 4) ** -1;
  const middle: Point = [CORNER[0] + reach, CORNER[1] - ROUND];
  const round = (radius: number) => arc(middle, radius, 90, 180 - OUT_DEG);
  return {
    title: 'A seam, cut across',
    width: WIDTH,
    height: 210,
    paths: [
      closed('part', CORNER, [440, 150], [440, 168], [150, 168]),
      closed('part', onSide(0, 0), onSide(140, 0), onSide(140, -18), onSide(0, -18)),
      closed('glue', CORNER, ...round(ROUND)),
      open('glass', [236, 147], ...round(ROUND - 3), onSide(90, 3)),
      open('glass', [250, 171], [150, 171], onSide(-4, -21), onSide(90, -21)),
      closed('thin', [186, 144], [186, 176], [140, 176], onSide(30, -26), onSide(30, 6)),
    ],
    labels: [
      label('Fillet', [200, 112], ['fillet', 'filler']),
      label('Tape inside', [246, 142], 'tape'),
      label('Tape outside, sheathing', [262, 188], ['tape', 'sheathing']),
      label('Stitch', [176, 194], 'stitches', 'middle'),
      label('Inner corners touch', [4, 204], 'set-back'),
    ],
  };
}

function sheet(): Picture {
  return {
    title: 'Parts on a sheet',
    width: WIDTH,
    height: 220,
    paths: [
      closed('edge', [30, 20], [450, 20], [450, 200], [30, 200]),
      closed('part', [42, 32], [400, 44], [410, 96], [42, 100]),
      closed('part', [42, 112], [410, 108], [390, 186], [60, 188]),
      open('edge', [150, 70], [300, 70]),
      open('edge', [292, 65], [300, 70], [292, 75]),
      open('edge', [158, 65], [150, 70], [158, 75]),
    ],
    labels: [
      label('Grain', [226, 62], 'grain', 'middle'),
      label('Gap for the cut', [424, 106], 'gap-for-the-cut', 'end'),
    ],
  };
}

export const PICTURES = {
  ring: ringAndBulkhead(),
  timbers: timbers(),
  profile: profile(),
  section: section(),
  body: body(),
  panel: panel(),
  batten: batten(),
  bevel: bevel(),
  scarf: scarf(),
  fillet: fillet(),
  sheet: sheet(),
  fitted: fitted(),
  ties: ties(),
} as const satisfies Record<string, Picture>;
export type PictureName = keyof typeof PICTURES;
