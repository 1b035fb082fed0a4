/** A frame on a sheet of paper: its blank to scale, figures at its corners, and the bevel along its edges. */
import {
  besideCorner,
  checkLength,
  innerBox,
  lineKey,
  merged,
  pageOnItsSide,
  sheetsOf,
  tablePages,
  viewOn,
  type PaperSheets,
  type SheetHead,
  type SheetTable,
  type ViewText,
} from '../formats';
import { at, boundsOf, type Vec2 } from '../geometry';
import { formatDeg, formatFine, formatThickness, formatWithUnit, unitLabel, type Notation } from '../measure';
import type { FramesWhole } from './drawings';
import { cutOutline, type Frame } from './frame';
import type { School } from './schema';

/** For the table, beside the drawing. */
const TABLE_MM = 104;
const FOOT_MM = 22;
/** Points of an edge listed: its ends and three between. */
const SHARES = [0, 0.25, 0.5, 0.75, 1];

export const framesSheets = ({ project, values, sheetHead }: FramesWhole): PaperSheets[] =>
  values.frames.map((frame) =>
    frameSheet(frame, { head: sheetHead, school: project.school, gap: project.frames.filletGap }),
  );

type SheetOf = { readonly head: SheetHead; readonly school: School; readonly gap: number };

function frameSheet(frame: Frame, { head, school, gap }: SheetOf): PaperSheets {
  const inner = innerBox(pageOnItsSide(head.paper));
  const { notation } = head;
  const cut = cutOutline(frame, school, gap);
  const box = boundsOf(cut);
  const mirror = [...frame.outline].reverse().map(([y, z]): Vec2 => [-y, z]);
  const room = { ...inner, maxX: inner.maxX - TABLE_MM, minY: inner.minY + FOOT_MM };
  const drawn = viewOn(
    {
      paths: [
        { kind: 'cut', points: cut, isClosed: true },
        { kind: 'mark', points: [...mirror, ...frame.outline] },
        {
          kind: 'construction',
          points: [
            [0, box.minY],
            [0, box.maxY],
          ],
        },
      ],
      texts: [
        { at: [0, (box.minY + box.maxY) / 2], text: frame.name, by: [2, 0], heightMm: 6 },
        ...cornersOf(frame).map(([y, z]): ViewText => ({
          at: [y, z],
          text: `${formatFine(y, notation)} out, ${formatFine(z, notation)} up`,
          ...besideCorner([y, z], box),
        })),
      ],
    },
    { room, notation },
  );
  const [first, ...more] = tablePages([edgesTable(frame, notation)], {
    first: { ...inner, minX: inner.maxX - TABLE_MM + 4 },
    later: inner,
  });
  const content = merged(
    drawn,
    first ?? { paths: [], texts: [] },
    lineKey(
      [
        ['cut', 'cut'],
        ['mark', `edge of the ${FACES[frame.face]}`],
        ['construction', 'centreline'],
      ],
      [inner.minX, inner.minY + 12],
    ),
    checkLength([room.maxX, inner.minY + 6], notation),
  );
  const isTimber = school === 'framed';
  const stuff = isTimber ? 'timber' : 'plywood';
  const wide = isTimber ? formatWithUnit(frame.width, notation) : formatThickness(frame.width, notation);
  const sheet = {
    ...{ name: `${frame.id}-sheet`, title: `${frame.name}, its outline and bevels`, part: frame.name },
    hand: `1 to cut, ${FACES[frame.face]} at ${formatWithUnit(frame.x, notation)} from the stem`,
    ...{
      material: `${wide} ${stuff}`,
    },
    scale: drawn.scale.words,
  };
  return sheetsOf(head, sheet, [content, ...more]);
}

const FACES = { fore: 'forward face', aft: 'after face' } as const;

/** Where edges begin and end. */
const cornersOf = ({ edges }: Frame): Vec2[] => {
  const ends = edges.flatMap(({ points }) => [at(points, 0), at(points, -1)].map(({ y, z }): Vec2 => [y, z]));
  return ends.filter((p, i) => ends.findIndex((q) => Math.hypot(q[0] - p[0], q[1] - p[1]) < 0.5) === i);
};

/** Bevel from square; plus: the other face is smaller. */
const edgesTable = ({ edges }: Frame, notation: Notation): SheetTable => ({
  columns: [
    { head: `in ${unitLabel(notation)}, on` },
    ...['out', 'up', 'bevel', 'other face in'].map((head) => ({ head, isFigure: true })),
  ],
  rows: edges.flatMap((edge) =>
    SHARES.map((share) => {
      const { y, z, bevelDeg, otherFaceOffset } = at(edge.points, Math.round(share * (edge.points.length - 1)));
      const figures = [y, z].map((mm) => formatFine(mm, notation));
      return [edge.panelName, ...figures, formatDeg(bevelDeg), formatFine(otherFaceOffset, notation)];
    }),
  ),
});
