import { rollingBevel, STRAIGHT_ENDS } from '@kalotrope/core/frames';
import { bendLines } from '@kalotrope/core/lines';
import { developPanels } from '@kalotrope/core/panels';
import { Refusal, numberOption, readLinesFile, trim, type Answer, type Io, type Options } from '../io';

export function bevelsCommand(file: string, options: Options, io: Io): Answer {
  const line = options['line'];
  if (line === undefined) throw new Refusal('--line is missing; expected the name of a line, such as --line chine');
  // the lines are to the outside: the panels' own surfaces, whose angles a thickness does not change
  const thickness = numberOption(options, 'skin', { min: 0, max: 100, otherwise: 6 });
  const step = numberOption(options, 'step', { min: 1, max: 100_000, otherwise: 300 });
  const hull = bendLines(readLinesFile(file, io)).value;
  const panels = developPanels(hull, { thickness: Math.max(thickness, 1) }).value;
  const bevel = rollingBevel(hull, panels, { line, step });
  if (!bevel) {
    const names = [...hull.lines.map(({ id }) => id), ...Object.keys(STRAIGHT_ENDS)];
    throw new Refusal(`--line is "${line}"; expected one along which panels meet, of ${names.join(', ')}`);
  }
  const rows = bevel.rows.map(({ s, at: [x, y, z], dihedralDeg, bevelDeg }) => ({
    ...{ s: trim(s), x: trim(x), y: trim(y), z: trim(z) },
    ...{ dihedralDeg: trim(dihedralDeg), bevelDeg: trim(bevelDeg) },
  }));
  const text = [
    's\tx\tbetween °\tbevel °',
    ...bevel.rows.map(({ s, at: [x], dihedralDeg, bevelDeg, station }) =>
      [s.toFixed(1), x.toFixed(1), dihedralDeg.toFixed(2), bevelDeg.toFixed(2), station ?? ''].join('\t'),
    ),
    `rip at ${bevel.ripDeg.toFixed(2)}°, then plane up to ${bevel.leftToPlaneDeg.toFixed(2)}° more: ` +
      `${bevel.wedgeMm.toFixed(2)} mm on a face of 20 mm`,
  ].join('\n');
  return {
    json: {
      ...{ line: bevel.line, length: trim(bevel.length), rows },
      ...{ ripDeg: trim(bevel.ripDeg), leftToPlane: trim(bevel.leftToPlaneDeg), wedgeMm: trim(bevel.wedgeMm) },
    },
    text,
  };
}
