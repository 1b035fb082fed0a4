/** Which panels are sheathed: all below a chine, whatever they were cut into. */
import type { Hull } from '../lines';
import type { Panel } from '../panels';
import type { EpoxyFinding } from './findings';
import type { EpoxyPart } from './schema';

/** Of both sides of the boat, m². */
export const bothSides = ({ areaM2, spansCentreline }: Pick<Panel, 'areaM2' | 'spansCentreline'>): number =>
  areaM2 * (spansCentreline ? 1 : 2);

type Sheathing = {
  /** Lowest first. */
  readonly lines: Hull['lines'];
  readonly panels: readonly Panel[];
  readonly part: Pick<EpoxyPart, 'sheathe' | 'sheatheTo'>;
};

type Sheathed = {
  readonly sheathed: readonly Panel[];
  readonly bare: readonly Panel[];
  /** Absent where all of the skin is sheathed or none of it, or there is no chine. */
  readonly upTo: Hull['lines'][number] | undefined;
};

/** The lines up to which a bottom may be sheathed: all between keel and sheer, lowest first. */
export const chinesOf = (lines: Hull['lines']): Hull['lines'] =>
  lines.slice(0, -1).filter(({ isOnCentreline }) => !isOnCentreline);

export function sheathedPanels({ lines, panels, part }: Sheathing): Sheathed {
  if (part.sheathe === 'all') return { sheathed: panels, bare: [], upTo: undefined };
  const chines = chinesOf(lines);
  const upTo = chines.find(({ id }) => id === part.sheatheTo) ?? chines[chines.length - 1];
  if (part.sheathe === 'none' || !upTo) return { sheathed: [], bare: panels, upTo: undefined };
  const level = (line: string) => lines.findIndex(({ id }) => id === line);
  const isBelow = (panel: Panel) => level(upperLineOf(panel, panels)) <= level(upTo.id);
  return { sheathed: panels.filter(isBelow), bare: panels.filter((panel) => !isBelow(panel)), upTo };
}

/** The line at the top of a panel; of a part of one, at the top of the whole, which its uppermost part has. */
function upperLineOf(panel: Panel, panels: readonly Panel[]): string {
  const parts = panel.partOf ? panels.filter(({ partOf }) => partOf?.id === panel.partOf?.id) : [panel];
  return (parts[parts.length - 1] ?? panel).between[1];
}

/** What "the bottom" came to, where it is not the whole skin. */
export function sheathingFindings(input: Sheathing): EpoxyFinding[] {
  const where = { stage: 'epoxy' } as const;
  if (input.part.sheathe !== 'bottom' || input.panels.length === 0) return [];
  const { sheathed, bare, upTo } = sheathedPanels(input);
  if (!upTo) return [{ severity: 'check', code: 'no-chine-to-sheathe-to', where, data: {} }];
  const names = (list: readonly Panel[]) => list.map(({ name }) => name.toLowerCase()).join(', ');
  const data = { line: upTo.name.toLowerCase(), sheathed: names(sheathed), bare: names(bare) };
  return [{ severity: 'note', code: 'sheathed-up-to', where, data }];
}
