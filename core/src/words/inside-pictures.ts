/** The glossary's drawings of what lies inside and on top. */
import { closed, label, open, WIDTH, type Picture, type Point } from './picture';

export function fitted(): Picture {
  const half: Point[] = [
    [240, 186],
    [350, 150],
    [390, 30],
  ];
  return {
    title: 'What lies inside, seen from aft',
    width: WIDTH,
    height: 206,
    paths: [
      open('edge', ...half),
      open('edge', ...half.map(([x, y]): Point => [480 - x, y])),
      closed('part', [126, 138], [354, 138], [352, 146], [128, 146]),
      closed('part', [140, 146], [340, 146], [318, 158], [162, 158]),
      closed('part', [104, 74], [376, 74], [374, 82], [106, 82]),
    ],
    labels: [
      label('Thwart', [240, 66], 'thwart', 'middle'),
      label('Sole', [240, 130], 'sole', 'middle'),
      label('Bearer', [330, 176], 'bearer'),
    ],
  };
}

/** What ties the sides together, and what an oar turns in. */
export function ties(): Picture {
  const over = ([x, y]: Point): Point => [x, 200 - y];
  const side: Point[] = [
    [20, 100],
    [70, 70],
    [140, 46],
    [240, 30],
    [350, 28],
    [450, 40],
  ];
  const knee: Point[] = [
    [450, 44],
    [396, 36],
    [428, 56],
    [450, 96],
  ];
  const rowlock: Point[] = [
    [234, 24],
    [250, 23],
    [250, 33],
    [234, 35],
  ];
  return {
    title: 'What ties the sides together, from above',
    width: WIDTH,
    height: 206,
    paths: [
      open('edge', ...side, ...side.map(over).reverse()),
      closed('part', [28, 100], [70, 75], [62, 100], [70, 125]),
      ...[knee, knee.map(over), rowlock, rowlock.map(over)].map((ring) => closed('part', ...ring)),
    ],
    labels: [
      label('Breasthook', [82, 105], 'breasthook'),
      label('Rowlock', [242, 54], 'rowlock', 'middle'),
      label('Knee', [416, 92], 'knee', 'end'),
    ],
  };
}
