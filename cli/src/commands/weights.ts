/** What the boat weighs part by part, and how she floats with what her project puts aboard. */
import { toDeg } from '@kalotrope/core/measure';
import { createDerive } from '@kalotrope/core/project';
import { floatWords, NO_APPROVAL } from '@kalotrope/core/weights';
import { findingJson, findingsText, trim, type Answer, type Io, type Options } from '../io';
import { projectOf } from '../project-of';

export function weightsCommand(file: string, options: Options, io: Io): Answer {
  const project = projectOf(file, options, io);
  const { value, findings } = createDerive()(project).weights;
  const { afloat, freeboard, rocker } = value;
  const place = (p: readonly number[]) => p.map(trim);
  const items = value.items.map(({ id, name, group, grams, at, isSpread }) => ({
    ...{ id, name, group, grams: trim(grams), at: place(at), spread: isSpread === true },
  }));
  const loads = project.weights.loads
    .filter(({ isAboard }) => isAboard)
    .map(({ id, name, kg, x, out, up }) => ({ id, name, grams: trim(1000 * kg), at: place([x, out, up]) }));
  const floating = afloat && {
    ...{ volumeMm3: trim(afloat.volumeMm3), middle: place(afloat.middle), draught: trim(afloat.draughtMm) },
    trimDeg: trim(toDeg(afloat.trimRad)),
    heelDeg: trim(toDeg(afloat.heelRad)),
    plane: { normal: [...afloat.plane.normal], level: trim(afloat.plane.level) },
    gramsPerCm: trim(afloat.gramsPerCm),
    ...(freeboard && { freeboard: { mm: trim(freeboard.mm), x: trim(freeboard.x), side: freeboard.side } }),
  };
  const text = [
    ...items.map(({ name, group, grams, at: [x] }) => `${group}\t${name}\t${Math.round(grams)} g\tat ${x}`),
    ...loads.map(({ name, grams, at: [x] }) => `aboard\t${name}\t${Math.round(grams)} g\tat ${x}`),
    ...floatWords(value, 'mm').map(({ what, value: words }) => `${what}\t${words}`),
    NO_APPROVAL,
    findingsText(findings),
  ].join('\n');
  return {
    json: {
      ...{ project: project.name, water: project.weights.water, items, loads },
      bare: { grams: trim(value.bareGrams), at: place(value.bareAt) },
      all: { grams: trim(value.allGrams), at: place(value.allAt) },
      ...(floating ? { afloat: floating } : { notAfloat: value.notAfloat }),
      ...(rocker && {
        rocker: { fore: trim(rocker.foreMm), aft: trim(rocker.aftMm), run: trim(rocker.runMm) },
      }),
      ...{ says: NO_APPROVAL, findings: findings.map(findingJson) },
    },
    text,
  };
}
