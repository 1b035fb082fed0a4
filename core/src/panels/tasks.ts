/** Panels marked out point by point, one hand at a time; transoms, both halves at once. */
import { at, polylineLength, simplifyRing, type Vec2 } from '../geometry';
import type { Station } from '../lines';
import { formatFine, formatSmall, formatWithUnit, type Notation } from '../measure';
import type { Task, TaskStep } from '../stage';
import { cutOf } from './cut/layers';
import type { PanelsWhole } from './drawings';
import { isCutTwice, type Panel } from './panel';
import { inFrame, markingOf, stationMarks, type MarkingOut } from './reading/marking';
import { markingSteps } from './reading/marking-words';
import type { Transom } from './transom/transom';
import { transomPoints } from './transom/transom-sheet';

type Hand = 'port' | 'starboard';

/** What of an outline is seen on so small a picture, mm. */
const SEEN_MM = 2;

export const panelsTasks = (whole: PanelsWhole): Task[] => [
  ...ofPanels(whole),
  ...whole.values.panels.transoms.map((transom) => ofTransom(transom, whole.project.notation)),
];

const ofPanels = ({ project, values }: PanelsWhole): Task[] =>
  values.panels.panels.flatMap(cutOf).flatMap((panel) => {
    const { notation } = project;
    const out = markingOf(panel, project.panels);
    const said = markingSteps(panel, project.panels, out, notation);
    return handsOf(panel).map((hand): Task => {
      const seen = asLies(panel, hand);
      return {
        id: hand ? `${panel.id}.${hand}` : panel.id,
        name: panel.name,
        ...(hand && { hand }),
        kind: 'Mark out',
        picture: simplifyRing(panel.outline, SEEN_MM).map((p) => seen(inFrame(out.frame, p))),
        steps: [
          { id: 'line', say: at(said, 0), figures: [], hint: lies(panel, hand) },
          ...edgeSteps(out, seen, notation),
          ...stationMarks(panel, values.lines.stations).map((mark) => stationStep(mark, { ...out, seen }, notation)),
          ...checkSteps(panel, out, notation),
          {
            ...{ id: 'name', say: `Write on it: ${[panel.name, hand].filter(Boolean).join(', ')}, FORE`, figures: [] },
            // what is cut outside the line is said by the step before the last
            hint: panel.proud ? at(said, -2) : 'Then it is cut along the line.',
          },
        ],
      };
    });
  });

/** Both halves at once, from the centreline. */
function ofTransom(transom: Transom, notation: Notation): Task {
  const { points, isHalf } = transomPoints(transom);
  const fine = (mm: number) => formatFine(mm, notation);
  const widest = Math.max(...transom.outline.map(([u]) => u)) - Math.min(...transom.outline.map(([u]) => u));
  return {
    ...{ id: transom.id, name: transom.name, kind: 'Mark out' },
    picture: simplifyRing(transom.outline, SEEN_MM),
    steps: [
      {
        ...{ id: 'line', say: 'Square a centreline up from a straight edge of the sheet', figures: [] },
        hint: 'Heights are along the sheet from that edge: its foot on the centreline stands there. You look from aft.',
      },
      ...points.map(([u, v], k): TaskStep => ({
        ...{ id: `point ${k + 1}`, say: isHalf ? `Point ${k + 1}, to either side` : `Point ${k + 1}` },
        figures: [
          {
            label: isHalf ? 'out' : `out to ${u < 0 ? 'port' : 'starboard'}`,
            value: fine(Math.abs(u)),
            isLength: true,
          },
          { label: 'up', value: fine(v), isLength: true },
        ],
        places: isHalf
          ? [
              [u, v],
              [-u, v],
            ]
          : [[u, v]],
      })),
      {
        ...{ id: 'across', say: 'Across at the widest' },
        figures: [{ label: 'should be', value: fine(widest), isLength: true }],
        reading: { kind: 'length', should: widest, expects: formatWithUnit(widest, notation) },
      },
      {
        ...{ id: 'name', say: `Join them with a batten. Write on it: ${transom.name}, UP`, figures: [] },
        hint: transom.proud
          ? 'This is the net line: more is left on along its edges.'
          : 'Then it is cut along the line.',
      },
    ],
  };
}

const handsOf = (panel: Panel): readonly (Hand | undefined)[] =>
  isCutTwice(panel) ? ['starboard', 'port'] : [panel.only];

/** Which face is up, and where the fore end lies for who stands before the lower edge. */
function lies({ only }: Panel, hand: Hand | undefined): string {
  // of one that is there on one side only what is drawn is what the starboard one's inside would be
  if (only === 'port') return 'Outside face up; the fore end to your left.';
  return `Inside face up; the fore end to your ${hand === 'port' ? 'right' : 'left'}.`;
}

const CORNERS = {
  lower: 'A corner of the lower edge: the batten ends here.',
  upper: 'A corner of the upper edge: the batten ends here.',
  both: 'A corner of either edge: the battens end here.',
} as const;

type Seen = (p: Vec2) => Vec2;

/** As it lies before one: the port one's fore end to the right. */
const asLies = ({ only }: Panel, hand: Hand | undefined): Seen =>
  hand === 'port' && only === undefined ? ([u, v]) => [-u, v] : (p) => p;

const edgeSteps = ({ rows }: MarkingOut, seen: Seen, notation: Notation): TaskStep[] =>
  rows.map(({ u, lower, upper, corner }) => ({
    id: `at ${u.toFixed(1)}`,
    say: `At ${formatFine(u, notation)} along the line`,
    figures: [
      { label: 'lower edge', value: formatFine(lower, notation), isLength: true },
      { label: 'upper edge', value: formatFine(upper, notation), isLength: true },
    ],
    places: [seen([u, lower]), seen([u, upper])],
    ...(corner && { hint: CORNERS[corner] }),
  }));

/** Nearer to its chord a mark is drawn straight, mm. */
const STRAIGHT_MM = 0.5;

function stationStep(
  { label, curve }: { readonly label: Station['label']; readonly curve: readonly Vec2[] },
  { frame, seen }: MarkingOut & { readonly seen: Seen },
  notation: Notation,
): TaskStep {
  const placed = curve.map((p) => inFrame(frame, p)).sort((a, b) => a[1] - b[1]);
  const [low, high] = [at(placed, 0), at(placed, -1)];
  const fine = (mm: number) => formatFine(mm, notation);
  return {
    id: `station ${label}`,
    say: `Station ${label}`,
    figures: [
      { label: 'on the lower edge, at', value: fine(low[0]), isLength: true },
      { label: 'on the upper edge, at', value: fine(high[0]), isLength: true },
    ],
    places: placed.map(seen),
    hint: curveWords(placed, fine, notation),
  };
}

function curveWords(placed: readonly Vec2[], fine: (mm: number) => string, notation: Notation): string {
  const [a, b] = [at(placed, 0), at(placed, -1)];
  const long = polylineLength([a, b]);
  const off = ([x, y]: Vec2) => (long === 0 ? 0 : ((b[0] - a[0]) * (y - a[1]) - (b[1] - a[1]) * (x - a[0])) / long);
  const furthest = placed.reduce((most, p) => (Math.abs(off(p)) > Math.abs(off(most)) ? p : most), a);
  if (Math.abs(off(furthest)) < STRAIGHT_MM) return 'A straight line between the two.';
  return (
    `Not straight: ${formatSmall(Math.abs(off(furthest)), notation)} off at ${fine(furthest[0])} along, ` +
    `${fine(furthest[1])} out.`
  );
}

function checkSteps(panel: Panel, { diagonals }: MarkingOut, notation: Notation): TaskStep[] {
  const checks = [
    ['fore lower to aft upper', 'From the forward lower corner to the after upper one', diagonals[0]],
    ['aft lower to fore upper', 'From the after lower corner to the forward upper one', diagonals[1]],
    ['lower edge', 'Along the lower edge, the tape on the line', panel.edges[0].length],
    ['upper edge', 'Along the upper edge, the tape on the line', panel.edges[1].length],
  ] as const;
  return checks.map(([id, say, should]) => ({
    ...{ id, say, figures: [{ label: 'should be', value: formatFine(should, notation), isLength: true }] },
    reading: { kind: 'length', should, expects: formatWithUnit(should, notation) },
  }));
}
