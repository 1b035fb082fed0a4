import { frameAt } from '@kalotrope/core/frames';
import { bendLines } from '@kalotrope/core/lines';
import { developPanels } from '@kalotrope/core/panels';
import { toRad } from '@kalotrope/core/measure';
import { Refusal, numberOption, numbersOption, readLinesFile, trim, type Answer, type Io, type Options } from '../io';

export function framesCommand(file: string, options: Options, io: Io): Answer {
  const skin = numberOption(options, 'skin', { min: 0, max: 100 });
  const width = numberOption(options, 'frame', { min: 0, max: 500 });
  const face = options['face'] ?? 'fore';
  if (face !== 'fore' && face !== 'aft') throw new Refusal(`--face is "${face}"; expected fore or aft`);
  const rakeDeg = numberOption(options, 'rake', { min: -60, max: 60, otherwise: 0 });
  const xs = numbersOption(options, 'at', 'such as --at 600,1200');
  const hull = bendLines(readLinesFile(file, io)).value;
  const panels = developPanels(hull, { thickness: Math.max(skin, 1) }).value;
  const frames = xs.map((x) => {
    const frame = frameAt(panels, x, { skin, width, face, rakeRad: toRad(rakeDeg) });
    if (!frame)
      throw new Refusal(
        `--at ${x}: no section there; expected from ${Math.ceil(hull.fromX)} to ${Math.floor(hull.toX)}`,
      );
    return {
      x,
      outline: frame.outline.map((p) => p.map(trim)),
      edges: frame.edges.map(({ between, points, sectionBow }) => ({
        between,
        points: points.map((p) => ({
          y: trim(p.y),
          z: trim(p.z),
          bevelDeg: trim(p.bevelDeg),
          otherFaceOffset: trim(p.otherFaceOffset),
        })),
        sectionBow: trim(sectionBow),
      })),
    };
  });
  const rows = frames.flatMap((frame) =>
    frame.edges.map((edge) => {
      const bevels = edge.points.map((p) => p.bevelDeg);
      return (
        `${frame.x}\t${edge.between.join('-')}\t${Math.min(...bevels).toFixed(2)} to ` +
        `${Math.max(...bevels).toFixed(2)}\t${edge.sectionBow.toFixed(2)}`
      );
    }),
  );
  return { json: { frames }, text: ['x\tedge\tbevel °\tbow mm', ...rows].join('\n') };
}
