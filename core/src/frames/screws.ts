/**
 * Screws through the skin into the timber behind it: where each goes on the panel's outside, and how long.
 *
 * Method (methods: fastenings): along every line over the middle of a timber, evenly, to a whole number of gaps; none
 * where another timber's notch is. Length: two and a half times the skin, or so much that 2 mm of the timber are
 * left before its far face, whichever is less.
 */
import { at, contains, lerp2, placeAtLength, polylineLength, type Vec2 } from '../geometry';
import type { Panel } from '../panels';
import type { Frame } from './frame';
import type { MemberRun } from './member';
import { outsideLines } from './outside';
import type { FramesPart } from './schema';
import { evenSpacing } from './spacing';

export type ScrewRow = {
  readonly panel: string;
  readonly panelName: string;
  /** Of the timber that they go into. */
  readonly into: string;
  /** On the flat panel: of one side. */
  readonly places: readonly Vec2[];
  /** On both sides of the boat. */
  readonly count: number;
  readonly spacingMm: number;
  readonly lengthMm: number;
};

/** Held by so many times its thickness. */
const HOLD = 2.5;
/** Left of the timber before its far face. */
const LEFT_MM = 2;

export const screwLength = (held: number, timber: number): number => Math.min(HOLD * held, held + timber - LEFT_MM);

export type ScrewsAsked = {
  readonly frames: readonly Frame[];
  readonly members: readonly MemberRun[];
  readonly thickness: number;
  readonly screws: FramesPart['screws'];
};

export function screwRows(panels: readonly Panel[], asked: ScrewsAsked): ScrewRow[] {
  if (asked.screws.spacing === 0) return [];
  return panels.flatMap((panel) => rowsOn(panel, asked));
}

function rowsOn(panel: Panel, { frames, members, thickness, screws }: ScrewsAsked): ScrewRow[] {
  const bands = members.flatMap((run) =>
    run.marks.flatMap(({ panel: on, near, far }) => (on === panel.id ? [{ run, near, far }] : [])),
  );
  const row = (
    into: string,
    line: readonly Vec2[],
    timber: number,
    clear: readonly (readonly Vec2[])[],
  ): ScrewRow[] => {
    const even = evenSpacing({ run: polylineLength(line), ends: screws.ends, about: screws.spacing });
    const places = (even?.at ?? [])
      .map((s) => placeAtLength(line, s).point)
      .filter((place) => !clear.some((band) => contains(band, place)));
    if (!even || places.length === 0) return [];
    const lengthMm = screwLength(thickness, timber);
    const count = places.length * (panel.spansCentreline ? 1 : 2);
    return [{ panel: panel.id, panelName: panel.name, into, places, count, spacingMm: even.spacing, lengthMm }];
  };
  const notches = bands.filter(({ run }) => run.isThrough).map(({ near, far }) => [...near, ...[...far].reverse()]);
  const athwart = frames.flatMap((frame) => {
    const timber = Math.min(...(frame.timbered?.timbers ?? []).map(({ breadthMm }) => breadthMm));
    if (!Number.isFinite(timber)) return [];
    return outsideLines(panel, frame, thickness).flatMap((line) => row(frame.name, line, timber, notches));
  });
  const along = bands.flatMap(({ run, near, far }) =>
    row(
      run.name,
      near.map((p, i) => lerp2(p, at(far, i), 0.5)),
      run.depth,
      [],
    ),
  );
  return [...athwart, ...along];
}
