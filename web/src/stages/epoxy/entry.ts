/** Epoxy and glass, as the bench shows it. */
import { lazy } from 'react';
import { epoxyStage, jobThing, seamThing } from '@kalotrope/core/epoxy';
import { clothWeightUnit, formatMass, massUnit } from '@kalotrope/core/measure';
import { selectPanelSteps } from '../../state/selectors';
import type { StageEntry } from '../../state/stage-entry';
import { waitsForLines } from '../../state/waits';

export const epoxyEntry: StageEntry = {
  stage: epoxyStage.name,
  title: epoxyStage.title,
  question: 'What do I buy, and what do I mix now?',
  Page: lazy(() => import('./EpoxyPage')),
  things: ({ derived }) => [
    ...derived.epoxy.value.seams.map(({ id, name }) => ({ label: `Seam: ${name}`, pick: seamThing(id) })),
    ...derived.epoxy.value.jobs.map(({ name }) => ({ label: `Mix: ${name}`, pick: jobThing(name) })),
  ],
  settings: ({ notation }) => [
    ...[
      ...['Fillet radius', 'Least leg', 'Fillets go by', 'Tape width', 'Next one narrower by'],
      ...[`Tape, ${clothWeightUnit(notation).words}`, `Cloth, ${clothWeightUnit(notation).words}`],
      ...['Tapes inside', 'Tapes outside', 'Sealing coats', 'Waste, %', 'Filler, % of mix', 'Filler in glue, %'],
      ...['Sheathe outside', 'When it is sealed'],
    ].map((label) => ({ label, section: 'Rates' })),
    ...[
      'Kind of tape',
      'Tape comes off',
      'Kind of cloth',
      'Width of the cloth',
      'Lap of the cloth',
      'Cloth left to trim',
    ].map((label) => ({
      label,
      section: 'Glass',
    })),
    ...['Length of a tab', 'A tab every'].map((label) => ({ label, section: 'On the seams' })),
    ...['Parts of resin', 'To parts of hardener', 'Pot lasts, minutes', 'Next coat from, h', 'Next coat until, h'].map(
      (label) => ({ label, section: 'The resin' }),
    ),
    ...['For fillets', 'For glue'].map((label) => ({ label, section: 'Fillers' })),
    ...['Humidity, %'].map((label) => ({ label, section: 'The shop' })),
    ...[`Filleting, ${massUnit(notation)}/min`, `Taping, ${massUnit(notation)}/min`].map((label) => ({
      ...{ label, section: 'Pace of work' },
    })),
  ],
  steps: selectPanelSteps,
  hasTape: false,
  waitsFor: waitsForLines,
  status: ({ derived, notation }) => `${formatMass(derived.epoxy.value.resinWithWaste, notation)} mixed`,
  drawingsOf: [],
};
