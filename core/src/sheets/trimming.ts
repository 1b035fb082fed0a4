/**
 * In what order that which is cut proud is trimmed: each edge once what it is trimmed to is there, and before what
 * covers it.
 *
 * Frames first, as the skin lies on them, and a transom between the panels; one that caps them once it is on. Then the
 * panels as they go on: where the upper one laps the lower's edge the lowest goes on first, otherwise the highest, so
 * that each edge is trimmed while it is still free. The sheer, and what stands up to it, last, when it can be sighted
 * along both sides.
 */
import type { FramesPart, FramesValue, Frame } from '../frames';
import { proudOf, type Meeting, type Panel, type PanelsPart, type PanelsValue, type Transom } from '../panels';

/** One edge of one part: how much is left on, and when it comes off. */
export type Trim = {
  readonly part: string;
  readonly edge: 'skin' | 'top' | 'lower' | 'upper' | 'fore' | 'aft';
  readonly mm: number;
  readonly when: TrimWhen;
  /** The neighbour by which that is said. */
  readonly other?: string;
};

type TrimWhen =
  | 'before-the-skin'
  | 'when-fast'
  | 'before-next'
  | 'to-neighbour'
  | 'on-the-centreline'
  | 'before-the-transom'
  | 'to-the-transom'
  | 'to-the-panels'
  | 'last-with-the-sheer';

type TrimmedParts = {
  readonly panels: readonly Panel[];
  readonly transoms: readonly Transom[];
  readonly frames: readonly Frame[];
  /** Left on, by the frame's id. */
  readonly ofFrame: (id: string) => { readonly skin: number; readonly top: number } | undefined;
  readonly part: Pick<PanelsPart, 'meeting' | 'proud' | 'ownProud' | 'transomProud'>;
};

/** As far as the order depends on them. */
export type TrimmedWhole = {
  readonly project: {
    readonly panels: TrimmedParts['part'];
    readonly frames: { readonly frames: readonly Pick<FramesPart['frames'][number], 'id' | 'proud'>[] };
  };
  readonly values: { readonly panels: PanelsValue; readonly frames: FramesValue };
};

export const trimmingOf = ({ project, values }: TrimmedWhole): Trim[] =>
  trimmingOrder({
    ...{ panels: values.panels.panels, transoms: values.panels.transoms, frames: values.frames.frames },
    ofFrame: (id) => project.frames.frames.find((frame) => frame.id === id)?.proud,
    part: project.panels,
  });

/** All edges that have something left on, in the order in which they are trimmed. */
function trimmingOrder({ panels, transoms, frames, ofFrame, part }: TrimmedParts): Trim[] {
  const standing = [
    ...frames.map(({ id, name }) => ({ name, ...(ofFrame(id) ?? { skin: 0, top: 0 }) })),
    ...transoms.map(({ name }) => ({ name, ...part.transomProud })),
  ];
  // a transom that caps goes over the panels' ends, and is trimmed to them
  const caps = transoms.filter(({ fit }) => fit === 'caps').map(({ name }) => name);
  const skins = standing.map(({ name, skin: mm }): Trim => ({
    ...{ part: name, edge: 'skin', mm, when: caps.includes(name) ? 'to-the-panels' : 'before-the-skin' },
  }));
  const order = goingOn(panels, part.meeting);
  const covers = (end: Transom['end']) => transoms.find((transom) => transom.end === end);
  const ofPanels = order.flatMap((panel, k): Trim[] => {
    const left = proudOf(panel.id, part);
    const i = panels.indexOf(panel);
    const isOn = (other: Panel) => order.indexOf(other) < k;
    const along = (edge: 'lower' | 'upper'): Trim => {
      const neighbour = panels[edge === 'lower' ? i - 1 : i + 1];
      const base = { part: panel.name, edge, mm: left[edge] };
      if (neighbour) return { ...base, when: isOn(neighbour) ? 'to-neighbour' : 'before-next', other: neighbour.name };
      return { ...base, when: edge === 'upper' ? 'last-with-the-sheer' : 'on-the-centreline' };
    };
    const end = (edge: 'fore' | 'aft'): Trim => {
      const transom = covers(edge);
      const base = { part: panel.name, edge, mm: left[edge] };
      if (!transom) return { ...base, when: 'when-fast' };
      return { ...base, when: transom.fit === 'caps' ? 'before-the-transom' : 'to-the-transom', other: transom.name };
    };
    return [end('fore'), end('aft'), along('lower'), along('upper')];
  });
  const tops = standing.map(({ name, top: mm }): Trim => ({
    ...{ part: name, edge: 'top', mm, when: 'last-with-the-sheer' },
  }));
  const isCap = ({ when }: Trim) => when === 'to-the-panels';
  const [first, over] = [skins.filter((trim) => !isCap(trim)), skins.filter(isCap)];
  const all = [...first, ...ofPanels, ...over, ...tops].filter(({ mm }) => mm > 0);
  const isLast = ({ when }: Trim) => when === 'last-with-the-sheer';
  return [...all.filter((trim) => !isLast(trim)), ...all.filter(isLast)];
}

const goingOn = (panels: readonly Panel[], meeting: Meeting): readonly Panel[] =>
  meeting === 'lapped' ? panels : [...panels].reverse();

const EDGES: Readonly<Record<Trim['edge'], string>> = {
  ...{ skin: 'along the skin', top: 'top', lower: 'lower edge', upper: 'upper edge' },
  ...{ fore: 'fore end', aft: 'after end' },
};

/** Of which part, which edge, and when, in words. */
export function trimWords({ part, edge, when, other = '' }: Trim): { readonly what: string; readonly when: string } {
  const next = other.toLowerCase();
  const whens: Readonly<Record<TrimWhen, string>> = {
    'before-the-skin': 'planed to the net line, at its bevel, before any panel goes on',
    'when-fast': 'once the panel is fast',
    'before-next': `once the panel is fast, before the ${next} goes on`,
    'to-neighbour': `flush with the ${next}, which it lies on`,
    'on-the-centreline': 'to the centreline, before the other hand goes on',
    'before-the-transom': `flush, before the ${next} goes on`,
    'to-the-panels': 'flush with the panels, once it is fast',
    'to-the-transom': `flush with the ${next}, once the panel is fast`,
    'last-with-the-sheer': 'last, sighted along both sides',
  };
  return { what: `${part}, ${EDGES[edge]}`, when: whens[when] };
}
