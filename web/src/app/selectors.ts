/** Read-outs of the state that several screens share. */
import { createSelector } from '@reduxjs/toolkit';
import { worstFirst, type Finding, type Stage } from '@kalotrope/core/findings';
import {
  bendLines,
  drawLine,
  layTape,
  type Hull,
  type HullLine,
  type Longitudinal,
  type Station,
  type Tape,
} from '@kalotrope/core/lines';
import { formatFine, formatShare, formatMass, unitLabel, type Notation } from '@kalotrope/core/measure';
import type { Derived } from '@kalotrope/core/project';
import type { NestResult } from '@kalotrope/core/sheets';
import type { DerivedState } from './derived-slice';
import { pickedPanel } from './picked-panel';
import type { Picked } from './screen-slice';
import type { RootState } from './store';

export const selectProject = (state: RootState) => state.document.project;
export const selectDerived = (state: RootState) => state.derived.derived;
/** Lines drawn before, by their figures: an edit of one leaves the others the same object, and so undrawn. */
const drawnBefore = new WeakMap<Longitudinal, HullLine>();

function drawnOnce(line: HullLine, longitudinals: readonly Longitudinal[]): HullLine {
  // one that runs out on another changes with that, too
  const own = line.runOuts ? undefined : longitudinals.find(({ id }) => id === line.id);
  const drawn = (own && drawnBefore.get(own)) ?? drawLine(line);
  if (own) drawnBefore.set(own, drawn);
  return drawn;
}

/**
 * The lines as they are drawn: worked out here at once, so that what is dragged follows the hand. Without residuals,
 * which come with the engine's answer.
 */
export const selectLiveHull = createSelector(
  [(state: RootState) => state.document.project?.lines.longitudinals],
  (longitudinals): Hull | null => {
    if (!longitudinals) return null;
    const hull = bendLines({ longitudinals }).value;
    const drawn = (line: HullLine) => drawnOnce(line, longitudinals);
    return { ...hull, lines: hull.lines.map(drawn), extras: hull.extras.map(drawn) };
  },
);

/** The stations; the same list until one of them moves. */
export const selectStations = createSelector([selectDerived], (derived) => derived?.lines.value.stations ?? [], {
  memoizeOptions: { resultEqualityCheck: areSameStations },
});

function areSameStations(a: readonly Station[], b: readonly Station[]): boolean {
  return a.length === b.length && a.every(({ label, x }, i) => label === b[i]?.label && x === b[i].x);
}

export const selectNotation = (state: RootState) => state.screen.notation;
export const selectPicked = (state: RootState) => state.screen.picked;

export const selectFindings = createSelector(
  [selectDerived, (_: RootState, stage: Stage) => stage],
  (derived, stage): readonly Finding[] => (derived ? worstFirst(derived[stage].findings) : []),
);

/** One line under each stage's name: how it stands. */
export const selectStatus = createSelector(
  [selectDerived, (state: RootState) => state.derived, selectNotation],
  (derived, state, notation): Readonly<Record<Stage, string>> | null => derived && statusOf(derived, state, notation),
);

function statusOf(derived: Derived, state: DerivedState, notation: Notation): Record<Stage, string> {
  const own: Record<Stage, string> = {
    lines: fairness(derived, notation),
    panels: plural(derived.panels.value.panels.length + derived.panels.value.transoms.length, 'shape'),
    frames: plural(derived.frames.value.length, 'frame'),
    joints: plural(
      derived.joints.value.reduce((sum, panel) => sum + panel.joints.length * (panel.spansCentreline ? 1 : 2), 0),
      'scarf',
    ),
    sheets: sheetsStatus(state),
    epoxy: `${formatMass(derived.epoxy.value.resinWithWaste)} mixed`,
  };
  for (const stage of Object.keys(own) as Stage[]) {
    const open = derived[stage].findings.filter((finding) => finding.severity !== 'note').length;
    if (open > 0) own[stage] = `${open} to check`;
  }
  return own;
}

function fairness(derived: Derived, notation: Notation): string {
  const off = Math.max(0, ...derived.lines.value.lines.flatMap((line) => line.residuals.map((r) => r.total)));
  const unit = notation === 'ft-in-8ths' ? '' : ` ${unitLabel(notation)}`;
  return notation === 'ft-in-8ths' || notation.startsWith('in-')
    ? `fair to ${off.toFixed(1)} mm`
    : `fair to ${formatFine(off, notation)}${unit}`;
}

function sheetsStatus({ layouts, derived, isNesting }: DerivedState): string {
  const made = (derived?.sheets.value.batches ?? []).flatMap(({ thickness, job }) => {
    const layout = layouts[thickness];
    return layout && layout.key === JSON.stringify(job) ? [layout.result] : [];
  });
  if (made.length === 0) return isNesting ? 'laying out' : 'not laid out yet';
  const count = made.reduce((sum, result) => sum + result.sheetsUsed, 0);
  const density = made.reduce((sum, result) => sum + result.density * result.sheetsUsed, 0) / Math.max(1, count);
  return `${plural(count, 'sheet')}, ${formatShare(density)}`;
}

export const plural = (count: number, word: string): string =>
  `${count} ${count === 1 ? word : /f$/.test(word) && word !== 'scarf' ? `${word.slice(0, -1)}ves` : `${word}s`}`;

/** The tape belongs to the picked edge: a line, a panel's upper edge, a frame's half outline. */
export const selectTape = createSelector([selectDerived, selectPicked], (derived, picked): Tape | null => {
  if (!derived) return null;
  return tapeOf(derived, picked) ?? null;
});

function tapeOf(derived: Derived, picked: Picked | null): Tape | undefined {
  const { lines, stations } = derived.lines.value;
  if (picked?.kind === 'panel') {
    const panel = pickedPanel(derived.panels.value.panels, picked);
    const along = panel?.stretches[1].flatMap(
      ({ line }) => lines.find(({ id }) => id === line)?.name.toLowerCase() ?? [],
    );
    return (
      panel &&
      layTape(
        `${panel.name}, along ${along?.length ? [...new Set(along)].join(' and ') : 'the edge'}`,
        panel.edges[1].points.map((p) => p.space),
        stations,
      )
    );
  }
  if (picked?.kind === 'frame') {
    const frame = derived.frames.value.find((other) => other.id === picked.id);
    return (
      frame &&
      layTape(
        `${frame.name}, from the centreline round to the sheer`,
        frame.outline.map(([y, z]) => [frame.x, y, z] as const),
        [],
      )
    );
  }
  const wanted = picked?.kind === 'line' || picked?.kind === 'point' ? picked.line : undefined;
  const line = lines.find((other) => other.id === wanted) ?? lines[lines.length - 1];
  return line && layTape(line.name, line.curve, stations);
}

/** The layouts that still belong to the batches, in their order. */
export const currentLayouts = ({ derived, layouts }: DerivedState): (NestResult | undefined)[] =>
  (derived?.sheets.value.batches ?? []).map(({ thickness, job }) => {
    const layout = layouts[thickness];
    return layout?.key === JSON.stringify(job) ? layout.result : undefined;
  });
