/** Joints between sheets, a panel and a hand at a time: what is planed or cut, where it lies, and the glue. */
import { boundsOf } from '../geometry';
import { formatFine, type Notation } from '../measure';
import { cutLineOf, type Panel } from '../panels';
import { panelsToCut, type SetupValue } from '../setup';
import type { Task, TaskStep } from '../stage';
import type { JointedPanel } from './jointed-panel';
import { KIND_WORDS } from './kinds';
import type { Joint } from './pieces';

type Whole = {
  readonly project: { readonly notation: Notation };
  readonly values: {
    readonly panels: { readonly panels: readonly Panel[] };
    readonly setup: Pick<SetupValue, 'built'>;
    readonly joints: readonly JointedPanel[];
  };
};

export function jointsTasks({ project: { notation }, values }: Whole): Task[] {
  const panels = panelsToCut(values);
  return values.joints.flatMap((jointed) => {
    const panel = panels.find(({ id }) => id === jointed.panel);
    if (!panel || jointed.joints.length === 0) return [];
    const fore = boundsOf(cutLineOf(panel)).minX;
    return handsOf(jointed).map((hand): Task => ({
      ...{ id: [jointed.panel, hand].filter(Boolean).join('.'), name: jointed.name, kind: 'Join sheets' },
      ...(hand && { hand }),
      steps: jointed.joints.flatMap((joint, k) => jointSteps(joint, { jointed, k, fore, notation })),
    }));
  });
}

const handsOf = ({ isPair, isPort }: JointedPanel): readonly Task['hand'][] =>
  isPair ? ['starboard', 'port'] : [isPort ? 'port' : undefined];

type Of = { readonly jointed: JointedPanel; readonly k: number; readonly fore: number; readonly notation: Notation };

function jointSteps(joint: Joint, { jointed: { pieces }, k, fore, notation }: Of): TaskStep[] {
  const { kind, width, u } = joint;
  const [before, behind] = [pieces[k]?.name ?? '', pieces[k + 1]?.name ?? ''];
  const length = (label: string, mm: number) => ({ label, value: formatFine(mm, notation), isLength: true as const });
  const id = (what: string) => `${joint.key} ${what}`;
  const lies: TaskStep = {
    ...{ id: id('lies'), say: `${k + 1}: the ${KIND_WORDS[kind]} lies, along from the fore end` },
    figures:
      width === 0
        ? [length('at', u - fore)]
        : [length('from', u - width / 2 - fore), length('to', u + width / 2 - fore)],
    hint: `Between ${before} and ${behind}; a taut string along both shows that they lie straight.`,
  };
  const glue: TaskStep =
    kind === 'butt'
      ? {
          ...{ id: id('glue'), say: `${k + 1}: glued when the layer is laid, against the last piece`, figures: [] },
          hint: 'It closes between two layers: no strap, and no gap.',
        }
      : {
          ...{ id: id('glue'), say: `${k + 1}: glue it, on film, under weights`, figures: [] },
          hint: 'Pinned so that it does not slide; left until it is hard enough to sand.',
        };
  return [...cutSteps(joint, { before, behind, id, k, width: length('long', width) }), lies, glue];
}

type Cutting = {
  readonly before: string;
  readonly behind: string;
  readonly id: (what: string) => string;
  readonly k: number;
  readonly width: TaskStep['figures'][number];
};

function cutSteps({ kind }: Joint, { before, behind, id, k, width }: Cutting): TaskStep[] {
  switch (kind) {
    case 'scarf':
      return [
        { id: id('fore'), say: `${k + 1}: plane ${before}, its after end, inside up`, figures: [width] },
        { id: id('aft'), say: `${k + 1}: plane ${behind}, its fore end, outside up`, figures: [width] },
      ];
    case 'strap':
      return [{ id: id('strap'), say: `${k + 1}: cut the strap; the edges square`, figures: [width] }];
    case 'tongues':
      return [{ id: id('tongues'), say: `${k + 1}: ease the tongues, and try them dry`, figures: [width] }];
    case 'butt':
      return [{ id: id('butt'), say: `${k + 1}: plane both ends square, and try them dry`, figures: [] }];
    case 'bought':
      return [{ id: id('bought'), say: `${k + 1}: try the joint as it was bought, dry`, figures: [width] }];
  }
}
