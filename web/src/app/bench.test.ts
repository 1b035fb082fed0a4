import { describe, expect, it } from 'vitest';
import { createDerive, demoProject, searchAll } from '@kalotrope/core/project';
import { frameThing } from '@kalotrope/core/frames';
import { lineThing, pointThing } from '@kalotrope/core/lines';
import { panelThing } from '@kalotrope/core/panels';
import { derivedArrived, derivedReducer, foundArrived } from '../state/derived-slice';
import { documentReducer, edited, initialDocument, opened } from '../state/document-slice';
import { initialScreen, picked, screenReducer, tapeMarked } from '../state/screen-slice';
import { plural } from '../controls/words';
import { selectFindings, selectLiveHull } from '../state/selectors';
import type { RootState } from '../state/store';
import { bench } from './stages';

const { selectStatus, selectTape } = bench;

const project = demoProject('tamsel', 'x');
const derived = createDerive()(project);
const empty = derivedReducer(undefined, { type: 'start' });
const arrived = derivedReducer(empty, derivedArrived({ derived, version: 4 }));
const state = (parts: Partial<RootState> = {}): RootState => ({
  document: documentReducer(initialDocument, opened({ project, saves: 0 })),
  screen: initialScreen,
  derived: arrived,
  ...parts,
});
const withPicked = (choice: Parameters<typeof picked>[0]) =>
  state({ screen: screenReducer(initialScreen, picked(choice)) });

describe('results', () => {
  it('that come late for an older version are dropped', () => {
    expect(derivedReducer(arrived, derivedArrived({ derived, version: 3 }))).toBe(arrived);
    expect(derivedReducer(arrived, derivedArrived({ derived, version: 5 })).version).toBe(5);
  });
});

describe('the lines as they are drawn', () => {
  it('follow an edit before the engine has answered; a line that was not touched stays the same object', () => {
    const before = state({ derived: empty });
    const edit = {
      label: 'x',
      edits: [{ path: ['lines', 'longitudinals', 'sheer', 'points', 3, 'height'], value: 580 }],
    };
    const after = { ...before, document: documentReducer(before.document, edited(edit)) };
    const [old, now] = [selectLiveHull(before), selectLiveHull(after)];
    expect(now?.lines[2]?.points[3]?.height).toBe(580);
    expect(now?.lines[2]).not.toBe(old?.lines[2]);
    expect(now?.lines[0]).toBe(old?.lines[0]);
    expect(now?.lines[1]).toBe(old?.lines[1]);
  });
  it('are the same object through a change that bends nothing', () => {
    const before = state();
    const edit = { label: 'x', edits: [{ path: ['lines', 'fairingTolerance'], value: 4 }] };
    const after = { ...before, document: documentReducer(before.document, edited(edit)) };
    expect(selectLiveHull(after)).toBe(selectLiveHull(before));
  });
});

describe('how a stage stands', () => {
  it('is one line a stage', () => {
    expect(selectStatus(state())).toMatchObject({
      panels: '3 shapes',
      frames: '3 frames',
      joints: '4 joints',
      sheets: 'not laid out yet',
    });
    expect(selectStatus(state())?.lines).toMatch(/^worst point \d\.\d mm off fair$/);
    expect(selectStatus(state({ derived: empty }))).toBeNull();
  });
  it('counts the sheets of the layouts that still belong, and no others', () => {
    const layouts = searchAll(project, derived, 1).sheets ?? [];
    const withLayouts = derivedReducer(arrived, foundArrived({ sheets: layouts }));
    expect(selectStatus(state({ derived: withLayouts }))?.sheets).toMatch(/^\d+ sheets, \d+ %$/);
    const others = layouts.map((layout) => ({ ...layout, key: 'of another job' }));
    const stale = derivedReducer(arrived, foundArrived({ sheets: others }));
    expect(selectStatus(state({ derived: stale }))?.sheets).toBe('not laid out yet');
  });
  it('counts what a layout leaves off the sheets as something to check, and says it there', () => {
    const few = {
      ...project,
      sheets: { ...project.sheets, stock: project.sheets.stock.map((s) => ({ ...s, qty: 1 })) },
    };
    const short = createDerive()(few);
    const found = { sheets: searchAll(few, short, 1).sheets ?? [] };
    const told = derivedReducer(
      derivedReducer(empty, derivedArrived({ derived: short, version: 1 })),
      foundArrived(found),
    );
    const now = state({
      derived: told,
      document: documentReducer(initialDocument, opened({ project: few, saves: 0 })),
    });
    const left = found.sheets.flatMap(({ result }) => result.unplaced);
    expect(left.length).toBeGreaterThan(0);
    const findings = selectFindings(now, 'sheets');
    expect(selectStatus(now)?.sheets).toBe(`${findings.length} to check`);
    expect(
      findings.reduce((sum, { code, data }) => sum + (code === 'sheets-too-few' ? Number(data['count']) : 0), 0),
    ).toBe(left.length);
  });
  it('says what is to check before anything else', () => {
    const lines = {
      ...derived.lines,
      findings: [
        {
          severity: 'check' as const,
          code: 'line-turns-back' as const,
          where: { stage: 'lines' as const },
          data: { line: 'Keel', station: 'station 2', backMm: 9 },
        },
      ],
    };
    const checked = derivedReducer(empty, derivedArrived({ derived: { ...derived, lines }, version: 1 }));
    expect(selectStatus(state({ derived: checked }))?.lines).toBe('1 to check');
    expect(selectFindings(state({ derived: checked }), 'lines')).toHaveLength(1);
  });
  it.each([
    [1, 'scarf', '1 scarf'],
    [2, 'scarf', '2 scarfs'],
    [0, 'sheet', '0 sheets'],
  ] as const)('counts %d %s', (count, word, text) => {
    expect(plural(count, word)).toBe(text);
  });
});

describe('the tape', () => {
  it('lies on the sheer until something is picked', () => {
    expect(selectTape(state())?.name).toBe('Sheer');
    expect(selectTape(withPicked(pointThing('keel', 2)))?.name).toBe('Keel');
    expect(selectTape(withPicked(panelThing('keel-chine')))?.name).toBe('Bottom, along chine');
    expect(selectTape(withPicked(frameThing('frame.2')))?.name).toMatch(/^Bulkhead 2/);
  });
  it('is as long as the line that the picked edge lies on', () => {
    const panel = derived.panels.value.panels[0];
    const length = (panel?.edges[1].length ?? 0) - (panel?.allowances?.[1].longerBy ?? 0);
    const tape = selectTape(withPicked(panelThing('keel-chine')));
    expect(Math.abs((tape?.length ?? 0) - length)).toBeLessThan(0.01); // the tape lies along chords
    expect(tape?.ticks.map((tick) => tick.label)).toEqual(['1', '2', '3', '4', '5', '6']);
  });
  it('loses its mark when another thing is picked', () => {
    const marked = screenReducer(initialScreen, tapeMarked(120));
    expect(screenReducer(marked, picked(lineThing('keel'))).tapeMm).toBeNull();
  });
});
