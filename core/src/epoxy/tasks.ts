/** Pots weighed out one by one, each with the clocks that it has. */
import { formatMass, formatTemperature, massFigure, massUnit, type Notation } from '../measure';
import type { Task, TaskPot, TaskStep } from '../stage';
import { STIR_MINUTES } from './constants';
import type { PlannedPot } from './jobs';
import { shortly, type EpoxySheetsWhole } from './sheets';

export const potTasks = ({ project: { epoxy, notation }, values }: EpoxySheetsWhole): Task[] => {
  const { jobs, plan } = values.epoxy;
  const warm = formatTemperature(epoxy.shop.tempC, notation);
  return jobs.flatMap(({ name }) => {
    const pots = plan.pots.filter(({ job }) => job === name);
    return pots.map((pot): Task => ({
      ...{ id: `${name} ${pot.number}`, kind: 'Mix a pot', steps: stepsOf(pot, warm, notation) },
      pot: inPot(pot, epoxy.shop.tempC),
      name: pots.length > 1 ? `${name}, pot ${pot.number} of ${pots.length}` : name,
    }));
  });
};

const WRITTEN = 'Ticked, the pot is written down as mixed.';

/** With filler or without: the step at which all of it is in and stirred. */
const lastPour = ({ filler }: PlannedPot) => (filler > 0 ? 'filler' : 'stir');

const inPot = (pot: PlannedPot, shopC: number): TaskPot => ({
  ...{ step: lastPour(pot), job: pot.job, number: pot.number, a: pot.a, b: pot.b, filler: pot.filler },
  ...{ planned: pot.total, potLife: pot.potLife, shopC },
});

function stepsOf({ readings, filler, total, covers, minutes, potLife }: PlannedPot, warm: string, notation: Notation) {
  const [a, b, all] = readings;
  const shows = (grams: number) => [
    { label: `the scale shows, ${massUnit(notation)}`, value: massFigure(grams, notation) },
  ];
  const steps: TaskStep[] = [
    {
      ...{ id: 'ready', say: 'Gloves on, air moving, the pot on the scale set to nought', figures: [] },
      hint: 'Everything that it is for lies ready, dry-fitted, and the clamps are there.',
    },
    { id: 'resin', say: 'Resin', figures: shows(a) },
    { id: 'hardener', say: 'Hardener, into the same pot', figures: shows(b) },
    {
      ...{ id: 'stir', say: 'Stir, scraping the sides', minutes: STIR_MINUTES.value, figures: [] },
      hint: `With the flat end of the stick, into the corner of the pot.${filler > 0 ? '' : ` ${WRITTEN}`}`,
    },
    ...(filler > 0 ? [{ id: 'filler', say: 'Filler, stirred in', figures: shows(all), hint: WRITTEN }] : []),
    {
      ...{ id: 'use', say: `Use it: ${shortly(covers)}`, minutes: Math.max(1, Math.floor(potLife)) },
      figures: [
        { label: 'work, min', value: minutes.toFixed(0) },
        { label: 'goes off, min', value: potLife.toFixed(0) },
      ],
      hint: `${formatMass(total, notation)} at ${warm}. Warm in the hand is too late: spread it out, outdoors.`,
    },
  ];
  return steps;
}
