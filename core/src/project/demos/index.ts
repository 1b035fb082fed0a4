/** The demo boats: invented, for an invented place. See bench/draw-demo-lines.ts for how their lines were drawn. */
import { plainFrame } from '../../frames';
import { linesOf } from '../../lines';
import { longitudinalsOf, newProject } from '../defaults';
import type { Project } from '../document';
import { ORRIN_TABLE } from './orrin';
import { TAMSEL_TABLE } from './tamsel';
import { VEYRA_TABLE } from './veyra';

export type DemoId = 'tamsel' | 'orrin' | 'veyra' | 'slips';
export const DEMO_IDS: readonly DemoId[] = ['tamsel', 'orrin', 'veyra', 'slips'];

/** The name of each, as the list of projects has it. */
export const DEMO_NAMES: Readonly<Record<DemoId, string>> = {
  tamsel: 'Tamsel 430',
  orrin: 'Orrin pram',
  veyra: 'Veyra 520',
  slips: 'Tamsel table with slips',
};

/** A fresh copy of a demo under the given project id. */
export function demoProject(demo: DemoId, id: string): Project {
  if (demo === 'slips') return slips(id);
  if (demo === 'veyra') return veyra(id);
  return demo === 'tamsel' ? tamsel(id) : orrin(id);
}

/** Frames from the bow aft: the first two have their fore face on the station, the others their after one. */
const numbered = (kind: string, width: number, xs: readonly number[]): Project['frames']['frames'] =>
  xs.map((x, i) =>
    plainFrame({ id: `frame.${i + 1}`, name: `${kind} ${i + 1}`, x, width, face: i < 2 ? 'fore' : 'aft' }),
  );

function tamsel(id: string): Project {
  const lines = linesOf(longitudinalsOf(TAMSEL_TABLE));
  const base = newProject({ id, name: DEMO_NAMES.tamsel, notation: 'mm', lines });
  return {
    ...base,
    note:
      'V-bottomed skiff of the Lough Arvel ringing station: two people and a bundle of net poles over shallow ' +
      'water.',
    frames: { ...base.frames, frames: numbered('Bulkhead', 9, [1200, 2400, 3600]) },
  };
}

function orrin(id: string): Project {
  const lines = linesOf(longitudinalsOf(ORRIN_TABLE));
  const base = newProject({ id, name: DEMO_NAMES.orrin, notation: 'ft-in-8ths', lines });
  return {
    ...base,
    note: 'Flat-bottomed pram with a bow transom, framed, with chine logs: the tender that lives on the landing stage.',
    school: 'framed',
    frames: { ...base.frames, frames: numbered('Frame', 20, [609.6, 1371.6, 2057.4]) },
    epoxy: { ...base.epoxy, tapeLayersInside: 0, tapeLayersOutside: 1 },
  };
}

function veyra(id: string): Project {
  const lines = linesOf(longitudinalsOf(VEYRA_TABLE));
  const base = newProject({ id, name: DEMO_NAMES.veyra, notation: 'mm', lines });
  return {
    ...base,
    note:
      'Double-ended pulling boat for the far islands. Her forefoot was drawn hollow, and the bottom will not ' +
      'lie on it: see Panels.',
    frames: { ...base.frames, frames: numbered('Bulkhead', 9, [900, 2000, 3200, 4300]) },
  };
}

/** What went wrong when the table was typed in: two digits swapped, an inch lost, a hundred too many. */
const SLIPS: Readonly<Record<string, readonly [number, number]>> = {
  'chine 3': [494.6, 192],
  'sheer 5': [689.7, 506.2],
  'keel 2': [0, 269.1],
};

function slips(id: string): Project {
  const typed = TAMSEL_TABLE.map(([line, station, x, ...own]) => {
    const [halfBreadth, height] = SLIPS[`${line} ${station}`] ?? own;
    return [line, station, x, halfBreadth, height] as const;
  });
  const lines = linesOf(longitudinalsOf(typed));
  return {
    ...newProject({ id, name: DEMO_NAMES.slips, notation: 'mm', lines }),
    note: 'The first boat’s table as someone typed it in, with three errors in it.',
  };
}
