/** Timber at the saw: each stick with what is cut from it, where it is laid out; and each piece as it is ripped. */
import { formatDeg, formatFine, type Notation } from '../measure';
import type { Task, TaskStep } from '../stage';
import { planOf } from './judge';
import { FACE_DOWN } from './rips';
import { sectionOfStick } from './runs';
import type { TimberValue, TimberWhole } from './value';

export function timberTasks({ project: { notation }, values: { timber }, found }: TimberWhole): Task[] {
  const plan = planOf(timber, found.timber);
  const sticks = (plan?.sticks ?? []).map(({ stock, cuts, left }, k): Task => {
    const stick = timber.job.stock.find(({ id }) => id === stock);
    return {
      ...{ id: `stick.${k + 1}`, name: `Stick ${k + 1}`, kind: 'Cut to length' },
      steps: [
        {
          ...{ id: 'take', say: `Take a stick ${sectionOfStick(timber.runs, timber.job, stock, notation)}` },
          figures: [length('long', stick?.length ?? 0, notation)],
        },
        ...cuts.map(({ run, length: mm }, i) => ({
          ...{ id: `cut ${i + 1}`, say: `Cut ${nameOf(timber, run)}`, figures: [length('long', mm, notation)] },
        })),
        { id: 'left', say: 'What is left is kept', figures: [length('long', left, notation)] },
      ],
    };
  });
  // without a plan each length by itself
  const runs = plan
    ? []
    : timber.runs.map((run): Task => ({
        ...{ id: `run.${run.id}`, name: run.name, kind: 'Cut to length' },
        steps: [
          {
            ...{ id: 'cut', say: `Cut ${run.qty} of it` },
            figures: [length('long', run.length, notation)],
            ...(run.mayScarf && { hint: 'Where no stick is so long it may be scarfed; lay the timber out first.' }),
          },
        ],
      }));
  return [...sticks, ...runs, ...timber.rips.map((rip) => ripTask(rip, notation))];
}

const length = (label: string, mm: number, notation: Notation) => ({
  ...{ label, value: formatFine(mm, notation), isLength: true as const },
});

const nameOf = ({ runs }: TimberValue, id: string): string => runs.find((run) => run.id === id)?.name ?? id;

function ripTask({ run, name, qty, ...rip }: TimberValue['rips'][number], notation: Notation): Task {
  const { blankWidth, depth, tiltDeg, wider, leftMm } = rip;
  const steps: TaskStep[] = [
    {
      ...{ id: 'set', say: 'Set the fence, the saw upright' },
      figures: [length('wide', blankWidth, notation), length('deep', depth, notation)],
      hint: 'A push stick, no gloves at the blade, eyes and ears covered.',
    },
    ...(tiltDeg === 0
      ? []
      : [
          {
            ...{ id: 'tilt', say: `Tilt the saw; ${FACE_DOWN[wider]} down`, figures: [] },
            ...{ figures: [{ label: 'saw tilts', value: formatDeg(tiltDeg) }] },
          },
        ]),
    {
      ...{ id: 'rip', say: `Rip ${qty} of it`, figures: [length('left to plane', leftMm, notation)] },
    },
  ];
  return { id: `rip.${run}`, name, kind: 'Rip', steps };
}
