/**
 * Fastenings: through the skin into the timber behind it, and through a frame into its cleats: how many, where each
 * goes on the panel's outside, and how long.
 *
 * Method (methods: fastenings): along every line over the middle of a timber, evenly, to a whole number of gaps; none
 * where another timber's notch is. Length: two and a half times what is held, or so much that 2 mm of the timber are
 * left before its far face, whichever is less.
 */
import { at, contains, lerp2, placeAtLength, polylineLength, type Vec2 } from '../../geometry';
import { thicknessOf, type Panel } from '../../panels';
import { CLEARANCE, PILOT_SHARE, WASHER_UNDER } from '../constants';
import type { Frame } from '../frame';
import type { MemberRun } from '../member';
import { outsideLines } from '../outside';
import type { FasteningUse, FramesPart } from '../schema';
import { evenSpacing } from './spacing';

export type ScrewRow = {
  /** Empty: through no panel, but through a frame into its cleat. */
  readonly panel: string;
  /** Of what is held: the panel, or the frame. */
  readonly panelName: string;
  /** Of the timber that they go into, and the id of its frame or member. */
  readonly into: string;
  readonly intoId: string;
  readonly use: Exclude<FasteningUse, 'none'>;
  /** On the flat panel: of one side; none through a frame. */
  readonly places: readonly Vec2[];
  /** On both sides of the boat. */
  readonly count: number;
  readonly spacingMm: number;
  readonly lengthMm: number;
  /** Of what is held. */
  readonly heldMm: number;
  /** Across the row, of what they go into: a landing. */
  readonly landingMm: number;
  /** Each has a washer under its head. */
  readonly hasWashers: boolean;
};

/** Held by so many times its thickness. */
const HOLD = 2.5;
/** Left of the timber before its far face. */
const LEFT_MM = 2;

export const screwLength = (held: number, timber: number): number => Math.min(HOLD * held, held + timber - LEFT_MM);

/** Holes to drill for a screw of so many mm: into the timber, and through what is held. */
export const drillsFor = (diameter: number) => ({
  pilotMm: PILOT_SHARE.value * diameter,
  clearanceMm: diameter + CLEARANCE.value,
});

export type ScrewsAsked = {
  readonly frames: readonly Frame[];
  readonly members: readonly MemberRun[];
  readonly thickness: number;
  readonly screws: FramesPart['screws'];
};

export function screwRows(panels: readonly Panel[], asked: ScrewsAsked): ScrewRow[] {
  if (asked.screws.spacing === 0) return [];
  return [
    ...panels.flatMap((panel) => rowsOn(panel, asked)),
    ...asked.frames.flatMap((frame) => intoCleats(frame, asked)),
  ];
}

const useOf = (id: string, { own, use }: FramesPart['screws']): FasteningUse =>
  own.find((other) => other.id === id)?.use ?? use;

/** Along a run of so many mm; undefined: none there. */
function evenly(run: number, use: FasteningUse, { ends, spacing, staples }: FramesPart['screws']) {
  if (use === 'none') return undefined;
  const even = evenSpacing({ run, ends, about: use === 'staples' ? staples : spacing });
  return even && { ...even, use };
}

type Row = Pick<ScrewRow, 'panel' | 'panelName' | 'into' | 'intoId' | 'landingMm'> & {
  readonly run: number;
  readonly hands: 1 | 2;
  /** What is held, and what they go into: as deep as a screw can go. */
  readonly held: number;
  readonly timber: number;
  readonly placeAt: (s: number) => Vec2;
  readonly isClear?: (place: Vec2) => boolean;
};

/** A row along a run through a panel; none where there is nothing to drive. */
export function screwRow(
  { run, hands, held, timber, placeAt, isClear = () => true, ...row }: Row,
  screws: FramesPart['screws'],
): ScrewRow[] {
  const even = screws.spacing === 0 ? undefined : evenly(run, useOf(row.intoId, screws), screws);
  const places = (even?.at ?? []).map(placeAt).filter(isClear);
  if (!even || places.length === 0) return [];
  return [
    {
      ...{ ...row, use: even.use, places, count: places.length * hands, spacingMm: even.spacing },
      ...{ lengthMm: screwLength(held, timber), heldMm: held },
      hasWashers: even.use === 'drawn' && held < WASHER_UNDER.value,
    },
  ];
}

type Into = {
  readonly into: string;
  readonly intoId: string;
  readonly line: readonly Vec2[];
  /** Of the timber, as deep as a screw can go. */
  readonly timber: number;
  readonly landingMm: number;
  /** Where nothing is to be driven. */
  readonly clear: readonly (readonly Vec2[])[];
};

function rowsOn(panel: Panel, { frames, members, thickness, screws }: ScrewsAsked): ScrewRow[] {
  const bands = members.flatMap((run) =>
    run.marks.flatMap(({ panel: on, near, far }) => (on === panel.id ? [{ run, near, far }] : [])),
  );
  const row = ({ into, intoId, line, timber, landingMm, clear }: Into): ScrewRow[] => {
    const isClear = (place: Vec2) => !clear.some((band) => contains(band, place));
    return screwRow(
      {
        ...{ panel: panel.id, panelName: panel.name, into, intoId, landingMm, isClear },
        ...{ run: polylineLength(line), hands: panel.spansCentreline ? 1 : 2, timber },
        held: thicknessOf(panel, thickness),
        placeAt: (s) => placeAtLength(line, s).point,
      },
      screws,
    );
  };
  const notches = bands.filter(({ run }) => run.isThrough).map(({ near, far }) => [...near, ...[...far].reverse()]);
  const athwart = frames.flatMap((frame) => {
    const timber = Math.min(...(frame.timbered?.timbers ?? []).map(({ breadthMm }) => breadthMm));
    if (!Number.isFinite(timber)) return [];
    const landingMm = frame.width / (frame.isUnderSeam ? 2 : 1);
    return outsideLines(panel, frame, thickness).flatMap((line) =>
      row({ into: frame.name, intoId: frame.id, line, timber, landingMm, clear: notches }),
    );
  });
  const along = bands.flatMap(({ run, near, far }) =>
    row({
      ...{ into: run.name, intoId: run.id, timber: run.depth, landingMm: run.width, clear: [] },
      line: near.map((p, i) => lerp2(p, at(far, i), 0.5)),
    }),
  );
  return [...athwart, ...along];
}

/** From the frame's other face into each of its cleats. */
function intoCleats({ id, name, width, cleats }: Frame, { screws }: ScrewsAsked): ScrewRow[] {
  return cleats.flatMap(({ along, pieces, breadthMm, depthMm }) =>
    pieces.flatMap(({ lengthMm, isPair }): ScrewRow[] => {
      const even = evenly(lengthMm, useOf(id, screws), screws);
      if (!even) return [];
      return [
        {
          ...{
            panel: '',
            panelName: name,
            into: `${name}, cleat along ${along}`,
            intoId: id,
            use: even.use,
            places: [],
          },
          ...{ count: (even.gaps + 1) * (isPair ? 2 : 1), spacingMm: even.spacing, landingMm: breadthMm },
          ...{ lengthMm: screwLength(width, depthMm), heldMm: width },
          hasWashers: even.use === 'drawn' && width < WASHER_UNDER.value,
        },
      ];
    }),
  );
}
