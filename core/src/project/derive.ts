/**
 * The chain of stages: from a project to everything that follows from it.
 *
 * Each step is remembered with the parts of the project and the results it was made from, compared by content (the
 * parts are small) or by identity (results); so an edit recomputes only what it touches. A panel is remembered by its
 * own two lines: moving the sheer leaves the bottom alone.
 */
import type { Finding, Stage, StageResult } from '../findings';
import { at } from '../geometry';
import { takeOff, type Takeoff } from '../epoxy';
import { shapeFrames, type Frame } from '../frames';
import { planJoints, type JointedPanel } from '../joints';
import { drawLines, suspectsOf, type Hull, type HullLine } from '../lines';
import {
  cutPanel,
  cylinderFor,
  depthOfInside,
  developPanel,
  endOnCylinder,
  findTransoms,
  judgePanel,
  judgeRounding,
  neighboursOf,
  notMade,
  panelIdOf,
  panelInputs,
  roundedStrip,
  roundTransom,
  sharedStretches,
  splitPanel,
  type Panel,
  type PanelInput,
  type RoundedChine,
  type RoundedStrip,
  type StripSheet,
  type Transom,
  type TransomCylinder,
} from '../panels';
import { listParts, nestBatches, type CutPart, type NestBatch } from '../sheets';
import type { Project } from './document';

export type Derived = {
  readonly lines: StageResult<Hull>;
  readonly panels: StageResult<{
    readonly panels: readonly Panel[];
    readonly transoms: readonly Transom[];
    /** Of the rounded chines. */
    readonly strips: readonly RoundedStrip[];
  }>;
  readonly frames: StageResult<readonly Frame[]>;
  readonly joints: StageResult<readonly JointedPanel[]>;
  readonly sheets: StageResult<{
    readonly parts: readonly CutPart[];
    readonly batches: readonly NestBatch[];
  }>;
  readonly epoxy: StageResult<Takeoff>;
};

export type Derive = ((project: Project) => Derived) & {
  /** The stages that the last call computed anew. */
  readonly lastComputed: () => readonly string[];
};

/** A chain with its own memory; keep one for each open project. */
export function createDerive(): Derive {
  const memory = new Map<string, { keys: readonly unknown[]; value: unknown }>();
  let computed: string[] = [];
  const remember = <T>(name: string, keys: readonly unknown[], make: () => T): T => {
    const known = memory.get(name);
    // the value under a name always comes from the same call below, so its type is T
    if (known && known.keys.length === keys.length && known.keys.every((key, i) => key === keys[i]))
      return known.value as T;
    const value = make();
    memory.set(name, { keys, value });
    computed.push(name);
    return value;
  };
  const derive = (project: Project): Derived => {
    computed = [];
    return deriveWith(project, remember);
  };
  return Object.assign(derive, { lastComputed: () => computed });
}

type Remember = <T>(name: string, keys: readonly unknown[], make: () => T) => T;
const text = (part: unknown): string => JSON.stringify(part);

function deriveWith(project: Project, remember: Remember): Derived {
  const { thickness, transomThickness } = project.panels;
  // what is ticked off, lies under a view or bounds the fairing bends no batten
  const { longitudinals, heightsFrom } = project.lines;
  const lines = remember('lines', [text(longitudinals), heightsFrom], () =>
    drawLines({ longitudinals, heightsFrom }, (line, quantity, writing) =>
      remember(`suspects ${line.id} ${quantity}`, [linePoints(line), text(writing)], () =>
        suspectsOf(line, quantity, writing),
      ),
    ),
  );
  const hull = lines.value;
  const panels = derivePanels(hull, project, remember);
  const { panels: skin, transoms, strips } = panels.value;
  const frames = remember('frames', [panels, text(project.frames), thickness], () =>
    shapeFrames(hull, skin, project.frames, { skin: depthOfInside(project.panels), strips }),
  );
  const joints = remember('joints', [panels, frames, text(project.joints), text(project.sheets), thickness], () =>
    planJoints(skin, { frames: frames.value, thickness, sheet: sheetFor(project), part: project.joints }),
  );
  const { school } = project;
  const sheets = remember(
    'sheets',
    [joints, frames, panels, text(project.sheets), thickness, transomThickness, school, project.frames.filletGap],
    () => {
      const parts = listParts({
        jointed: joints.value,
        transoms,
        frames: frames.value,
        thickness,
        transomThickness,
        school,
        filletGap: project.frames.filletGap,
      });
      const batches = nestBatches(parts, project.sheets);
      return {
        value: { parts, batches: batches.value },
        findings: batches.findings,
        assumed: batches.assumed,
      };
    },
  );
  const epoxy = remember('epoxy', [panels, frames, joints, text(project.epoxy), school, thickness], () =>
    takeOff({
      panels: skin,
      transoms,
      frames: frames.value,
      jointed: joints.value,
      school,
      thickness,
      part: project.epoxy,
    }),
  );
  return { lines, panels, frames, joints, sheets, epoxy };
}

function derivePanels(hull: Hull, project: Project, remember: Remember): Derived['panels'] {
  const { thickness, linesTo, meeting, roundedChines } = project.panels;
  const rounded = text(roundedChines);
  const { transomRadius, transomThickness } = project.panels;
  const bend =
    transomRadius === null ? undefined : cylinderFor(hull, { radius: transomRadius, thickness: transomThickness });
  const cylinder = bend?.cylinder;
  const made = panelInputs(hull).map((input) => ({
    input,
    parts: derivePanel(input, cylinder, project, remember),
  }));
  const keys = made.map(({ parts }) => parts);
  const ends = text(
    hull.lines.map((line) => [line.points[0], line.points[line.points.length - 1], line.runOuts ?? null]),
  );
  const stripSheets = roundedChines.map((chine) => stripSheetFor(project, chine));
  return remember(
    'panels',
    [...keys, ends, thickness, linesTo, meeting, rounded, text(stripSheets), text(bend ?? null)],
    () => {
      const findings: Finding[] = [];
      const panels: Panel[] = [];
      for (const { input, parts } of made) collect(input, parts, thickness, { findings, panels });
      const { transoms, findings: about } = findTransoms(hull, cylinder && { cylinder, panels });
      const skin = { thickness, linesTo, meeting, roundedChines };
      const shared = sharedStretches(panels);
      const cut = panels.map((panel) => {
        const keys = [panel, thickness, linesTo, meeting, rounded, ...neighboursOf(panel, shared)];
        return remember(`cut ${panel.id}`, keys, () => cutPanel(panel, shared, skin));
      });
      const strips = roundedChines.flatMap((chine, i) => {
        const strip = roundedStrip(panels, chine, skin, at(stripSheets, i));
        const name = hull.lines.find(({ id }) => id === chine.id)?.name ?? chine.id;
        findings.push(...judgeRounding(panels, { chine, name: name.toLowerCase(), strip }));
        return strip ? [strip] : [];
      });
      return {
        value: { panels: cut, transoms: transoms.map((transom) => roundTransom(transom, hull, strips)), strips },
        findings: [...findings, ...about, ...(bend?.findings ?? [])],
        assumed: [],
      };
    },
  );
}

/** The panel between two lines, in two where it is cut along a line drawn on it. */
function derivePanel(
  input: PanelInput,
  cylinder: TransomCylinder | undefined,
  project: Project,
  remember: Remember,
): Parts {
  const id = panelIdOf(input);
  const panel = remember(`panel ${id}`, [input.name, ...input.rows.map(rowText)], () => developPanel(input));
  const split = project.panels.splits.find((other) => other.id === id);
  return remember(`parts ${id}`, [panel, text(split ?? null), text(cylinder ?? null)], () => {
    if ('reason' in panel) return panel;
    return splitPanel(cylinder ? endOnCylinder(panel, cylinder) : panel, split);
  });
}

type Parts = readonly Panel[] | { readonly reason: string };

const linePoints = (line: HullLine): string => text(line.points);

/** What an edge is made of: of each line its points and where its ends run out, and the stretch of it. */
const rowText = (row: PanelInput['rows'][0]): string =>
  text(row.map(({ line, from, to }) => [line.points, line.runOuts ?? null, from, to]));

function collect(
  input: PanelInput,
  parts: Parts,
  thickness: number,
  into: { findings: Finding[]; panels: Panel[] },
): void {
  if ('reason' in parts) {
    into.findings.push(notMade(input, parts.reason));
    return;
  }
  into.panels.push(...parts);
  into.findings.push(...parts.flatMap((part) => judgePanel(part, input, thickness)));
}

/** The longest sheet in stock of the skin's thickness; the usual size when there is none. */
function sheetFor(project: Project): { width: number; height: number; margin: number } {
  const mine = project.sheets.stock.filter((sheet) => sheet.thickness === project.panels.thickness && sheet.qty > 0);
  const [longest] = [...mine].sort((a, b) => b.width - a.width);
  return { width: longest?.width ?? 2440, height: longest?.height ?? 1220, margin: project.sheets.margin };
}

/** What the strip of a rounded chine is cut from: a sheet of its layers' thickness in stock, or the usual size. */
function stripSheetFor(project: Project, chine: RoundedChine): StripSheet {
  const stock = project.sheets.stock.find(({ thickness, qty }) => thickness === chine.layerThickness && qty > 0);
  return { length: stock?.width ?? 2440, width: stock?.height ?? 1220, kerf: project.sheets.gap };
}

/** All findings in the order of the stages. */
export const allFindings = (derived: Derived): readonly Finding[] =>
  (['lines', 'panels', 'frames', 'joints', 'sheets', 'epoxy'] as const satisfies readonly Stage[]).flatMap(
    (stage) => derived[stage].findings,
  );
