/** What is joined, laid out and marked where the boat is built as it stands. */
import { describe, expect, it } from 'vitest';
import type { Drawing } from '../formats';
import { area, boundsOf, polylineLength, unionOf } from '../geometry';
import { changedJoint } from '../joints';
import { cutLineOf } from '../panels';
import { createDerive, demoProject, type Project } from '../project';
import { searchAll } from '../project/derive';
import { wholeOf } from '../project/whole';
import { sheetsStage } from '../sheets';
import { markedAsBuilt, panelsToCut } from './to-cut';

const derive = createDerive();
const asBuilt = (project: Project): Project => ({ ...project, setup: { ...project.setup, asBuilt: true } });
const valuesOf = (project: Project) => {
  const { panels, setup, joints, sheets } = derive(project);
  return { panels: panels.value, setup: setup.value, joints: joints.value, sheets: sheets.value };
};
/** Its readings are of an evening, out of true: one side is not like the other. */
const drawn = demoProject('veyra', 'x');
const built = asBuilt(drawn);

describe('panels of a boat whose sides differ', () => {
  const values = valuesOf(built);
  const cut = panelsToCut(values);
  it('are cut one for each hand, under ids of their own', () => {
    const hands = values.setup.built.map(({ panel, hand }) => `${panel.id} ${hand}`);
    expect(hands.some((one) => one.endsWith(' port'))).toBe(true);
    expect(new Set(cut.map(({ id }) => id)).size).toBe(values.setup.built.length);
    expect(cut.filter(({ only }) => only === 'port').map(({ id }) => id)).toEqual(
      cut.filter(({ only }) => only === 'starboard').map(({ id }) => `${id}.port`),
    );
  });
  it('are joined as they are: their pieces together are what was developed', () => {
    for (const panel of cut) {
      const { pieces } = values.joints.find((one) => one.panel === panel.id)!;
      const [whole, ...others] = unionOf(pieces.map(({ outline }) => outline));
      expect(others).toEqual([]);
      expect(area(whole!) / area(cutLineOf(panel)), panel.name).toBeCloseTo(1, 5);
    }
    const outlines = values.setup.built.map(({ panel }) => cutLineOf(panel));
    expect(cut.map(cutLineOf)).toEqual(expect.arrayContaining(outlines));
  });
  it('lie on the sheets each once, what is for port turned over', () => {
    const jobs = values.sheets.batches.flatMap(({ job }) => job.parts);
    for (const panel of cut.filter(({ only }) => only)) {
      const { pieces } = values.joints.find((one) => one.panel === panel.id)!;
      const sign = panel.only === 'port' ? -1 : 1;
      for (const { id, outline } of pieces) {
        const lying = jobs.filter((part) => part.id === id || part.id.startsWith(`${id}.`));
        expect(lying.map((part) => part.id)).toEqual([id]);
        const [own, other] = [boundsOf(outline), boundsOf(lying[0]!.outline)];
        expect(sign > 0 ? other.minX : -other.maxX).toBeCloseTo(own.minX, 6);
        expect(sign * area(outline)).toBeCloseTo(signed(lying[0]!.outline) * Math.sign(signed(outline)), 3);
      }
    }
  });
  it('have on them where the frames stand', () => {
    const { sheets } = searchAll(built, derive(built), 3);
    const whole = wholeOf(built, derive(built), { sheets: sheets! });
    const drawings = sheetsStage.drawings!(whole as never);
    const port = cut.find(({ only }) => only === 'port')!;
    expect(drawings.flatMap(({ texts }) => texts).some(({ text }) => text.startsWith(port.name))).toBe(true);
    const inked = (list: readonly Drawing[]) =>
      list
        .flatMap(({ paths }) => paths)
        .filter(({ layerName }) => layerName === 'FRAMES')
        .reduce((sum, { points }) => sum + polylineLength(points), 0);
    // joints keep clear of frames: no mark lies on two pieces
    const [laid, made] = [inked(drawings), inked([...markedAsBuilt(whole).values()])];
    expect(made).toBeGreaterThan(3000);
    expect(laid / made).toBeCloseTo(1, 3);
  });
  it('keep the builder’s joints in one place for both hands', () => {
    const hand = (only: 'starboard' | 'port', of = values) => {
      const { id } = panelsToCut(of).find((panel) => panel.only === only && joinsOf(of, panel.id) > 0)!;
      return of.joints.find(({ panel }) => panel === id)!;
    };
    const port = hand('port');
    const own = changedJoint([], port, port.joints[0]!, { at: port.joints[0]!.u - 150 });
    expect(own.map(({ panel }) => panel)).toEqual([hand('starboard').panel]);
    const after = valuesOf({ ...built, joints: { ...built.joints, own } });
    const places = (['starboard', 'port'] as const).map((only) => hand(only, after).joints[0]!.u);
    expect(places).toEqual([own[0]!.at, own[0]!.at]);
  });
});

const joinsOf = ({ joints }: ReturnType<typeof valuesOf>, id: string) =>
  joints.find(({ panel }) => panel === id)?.joints.length ?? 0;

const signed = (outline: readonly (readonly [number, number])[]): number =>
  outline.reduce((sum, [x, y], i) => {
    const [a, b] = outline[(i + 1) % outline.length]!;
    return sum + (x * b - a * y) / 2;
  }, 0);

describe('a hand that cannot be made as the boat stands', () => {
  it('is cut as it was drawn, and not left out', () => {
    const values = valuesOf(built);
    const side = values.setup.built.find(({ hand }) => hand === 'port')!.panel.id;
    for (const missing of ['port', 'starboard'] as const) {
      const left = values.setup.built.filter(({ panel, hand }) => panel.id !== side || hand !== missing);
      const cut = panelsToCut({ ...values, setup: { built: left } }).filter(({ id, like }) => (like ?? id) === side);
      expect(cut.map(({ only }) => only)).toEqual(['starboard', 'port']);
      const asDrawn = values.panels.panels.find(({ id }) => id === side)!;
      expect(cutLineOf(cut.find(({ only }) => only === missing)!)).toEqual(cutLineOf(asDrawn));
    }
  });
});

describe('panels of a boat whose sides are alike, or that is built as drawn', () => {
  it('are pairs as before, under their own ids', () => {
    const tamsel = valuesOf(asBuilt({ ...demoProject('tamsel', 'x') }));
    const ids = panelsToCut(tamsel).map(({ id, only }) => [id, only]);
    expect(ids).toEqual(tamsel.panels.panels.map(({ id }) => [id, undefined]));
  });
  it('are the very same where nothing was developed as built', () => {
    const values = valuesOf(drawn);
    expect(panelsToCut(values)).toBe(values.panels.panels);
  });
});
