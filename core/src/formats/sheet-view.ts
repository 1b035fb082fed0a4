/** A thing drawn to scale in a room of a sheet, with its breadth and height as dimensions. */
import { boundsOf, type Vec2 } from '../geometry';
import { formatFine, isImperial, type Notation } from '../measure';
import type { DrawnText } from './drawing';
import { settled, type LabelBox } from './labels';
import {
  LETTER_MM,
  merged,
  scaleFor,
  sheetLine,
  sheetText,
  type Content,
  type LINE_MM,
  type SheetScale,
} from './sheet';
import { dimensionAcross, dimensionUp, placer } from './sheet-parts';

export type ViewPath = {
  readonly kind: keyof typeof LINE_MM;
  readonly points: readonly Vec2[];
  readonly isClosed?: boolean;
};
/** `by`: from the place, on paper. */
export type ViewText = {
  readonly at: Vec2;
  readonly text: string;
  readonly by?: Vec2;
  readonly align?: DrawnText['align'];
  readonly heightMm?: number;
};
/** True millimetres. */
export type SheetView = { readonly paths: readonly ViewPath[]; readonly texts: readonly ViewText[] };

export type ViewOn = Content & {
  readonly scale: SheetScale;
  /** Where it ends downwards, its dimension included. */
  readonly foot: number;
};

type ViewIn = {
  readonly room: LabelBox;
  readonly notation: Notation;
  /** A scale that others on the sheet have; the largest that fits is taken if this does not, or is not given. */
  readonly scale?: SheetScale | undefined;
  /** From the thing to the dimension of its height. */
  readonly besideMm?: number;
};

const ACROSS_MM = 12;
/** For the figure of a height. */
const FIGURE_MM = 15.4;

/** In the upper middle of its room. */
export function viewOn(view: SheetView, { room, notation, scale: given, besideMm = 5 }: ViewIn): ViewOn {
  const box = boundsOf(view.paths.flatMap(({ points }) => points));
  const size = { width: box.maxX - box.minX, height: box.maxY - box.minY };
  const around = { width: besideMm + FIGURE_MM, height: ACROSS_MM };
  const scale =
    given ??
    scaleFor(
      size,
      { width: room.maxX - room.minX - around.width, height: room.maxY - room.minY - around.height - LETTER_MM },
      isImperial(notation),
    );
  const at: Vec2 = [
    (room.minX + room.maxX - around.width - size.width / scale.over) / 2,
    room.maxY - size.height / scale.over,
  ];
  const put = placer({ origin: [box.minX, box.minY], at, over: scale.over });
  const texts = view.texts.map(({ at: place, text, by = [0, 0], align = 'left', heightMm = LETTER_MM }) => {
    const [x, y] = put(place);
    return sheetText([x + by[0], y + by[1]], text, { align, heightMm });
  });
  const right = at[0] + size.width / scale.over;
  const say = (mm: number) => formatFine(mm, notation);
  const dimensions = merged(
    dimensionAcross([at[0], at[1] - ACROSS_MM + 2], right, say(size.width)),
    dimensionUp([right + besideMm, at[1]], at[1] + size.height / scale.over, say(size.height)),
  );
  return {
    paths: [
      ...view.paths.map(({ kind, points, isClosed }) => sheetLine(kind, points.map(put), isClosed ?? false)),
      ...dimensions.paths,
    ],
    texts: settled([...dimensions.texts, ...texts]),
    scale,
    foot: at[1] - ACROSS_MM,
  };
}

/** Where the figures of a corner stand: within the shape, or under it on its centreline. */
export const besideCorner = ([x, y]: Vec2, box: LabelBox): Pick<ViewText, 'by' | 'align'> =>
  Math.abs(x) < 1
    ? { by: [0, -5], align: 'center' }
    : {
        by: [x > 0 ? -2 : 2, y > (box.minY + box.maxY) / 2 ? -4.5 : 1.5],
        align: x > 0 ? 'right' : 'left',
      };
