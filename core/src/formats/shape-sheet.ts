/** The sheet of a part: its shape to scale about the boat's centreline, and its tables beside it. */
import { boundsOf, type Outline, type Vec2 } from '../geometry';
import { formatFine } from '../measure';
import { pageOnItsSide } from './paper';
import { innerBox, merged, sheetsOf, type LINE_MM, type PaperSheets, type SheetHead, type TitleOf } from './sheet';
import { checkLength, lineKey } from './sheet-parts';
import { tablePages, type SheetTable } from './sheet-table';
import { besideCorner, viewOn, type ViewText } from './sheet-view';

export type ShapeSheet = Omit<TitleOf, 'scale'> & {
  readonly name: string;
  readonly title: string;
  /** As it is cut; x athwart from the centreline, y up. Of one that lies along: x aft, y out from the centreline. */
  readonly cut: Outline;
  readonly isAlong?: boolean;
  /** Of one that no centreline passes, whatever its coordinates. */
  readonly isAside?: boolean;
  readonly holes?: readonly Outline[];
  /** What is trimmed to, where it is cut larger. */
  readonly net?: readonly (readonly Vec2[])[];
  /** Lines on it, and what the key calls them. */
  readonly mark?: { readonly lines: readonly (readonly Vec2[])[]; readonly words: string };
  /** The places that have their figures beside them. */
  readonly corners: readonly Vec2[];
  readonly tables: readonly SheetTable[];
  /** For the tables, beside the drawing. */
  readonly tableMm: number;
};

/** For the key and the check length, under the drawing. */
const FOOT_MM = 22;
const KEY_MM = 12;
const GAP_MM = 4;
const NAME_MM = 6;
/** Under the part and its dimension. */
const UNDER_MM = 18;

export function shapeSheet(head: SheetHead, sheet: ShapeSheet): PaperSheets {
  const { cut, holes = [], net = [], mark, corners, tables, tableMm, part, isAlong = false, isAside = false } = sheet;
  const inner = innerBox(pageOnItsSide(head.paper));
  const { notation } = head;
  const box = boundsOf(cut);
  const middle = (box.minY + box.maxY) / 2;
  // words over an opening would be crossed by its edge
  const isOpen = corners.length === 0;
  const room = { ...inner, maxX: inner.maxX - tableMm, minY: inner.minY + FOOT_MM };
  const figures = corners.map(([y, z]): ViewText => ({
    at: [y, z],
    text: `${formatFine(Math.abs(y), notation)} out, ${formatFine(z, notation)} up`,
    ...besideCorner([y, z], box),
  }));
  const hasCentreline = !isAside && (!isAlong || (box.minY <= 0 && box.maxY >= 0));
  const centreline: Vec2[] = isAlong
    ? [
        [box.minX, 0],
        [box.maxX, 0],
      ]
    : [
        [0, box.minY],
        [0, box.maxY],
      ];
  const drawn = viewOn(
    {
      paths: [
        ...[cut, ...holes].map((points) => ({ kind: 'cut' as const, points, isClosed: true })),
        ...net.map((points) => ({ kind: 'edge' as const, points })),
        ...(mark?.lines ?? []).map((points) => ({ kind: 'mark' as const, points })),
        ...(hasCentreline ? [{ kind: 'construction' as const, points: centreline }] : []),
      ],
      texts: [
        isOpen
          ? { at: [box.minX, box.minY], text: part, by: [0, -UNDER_MM], heightMm: NAME_MM }
          : { at: [0, middle], text: part, by: [2, 0], heightMm: NAME_MM },
        ...figures,
      ],
    },
    { room, notation },
  );
  const [first, ...more] = tablePages(tables, {
    first: { ...inner, minX: room.maxX + GAP_MM },
    later: inner,
  });
  const key: (readonly [keyof typeof LINE_MM, string])[] = [
    ['cut', 'cut'],
    ...(net.length > 0 ? [['edge', 'net line: trim to it in place'] as const] : []),
    ...(mark ? [['mark', mark.words] as const] : []),
    ...(hasCentreline ? [['construction', 'centreline'] as const] : []),
  ];
  const content = merged(
    drawn,
    ...(first ? [first] : []),
    lineKey(key, [inner.minX, inner.minY + KEY_MM]),
    checkLength([room.maxX, inner.minY + KEY_MM / 2], notation),
  );
  return sheetsOf(head, { ...sheet, scale: drawn.scale.words }, [content, ...more]);
}
