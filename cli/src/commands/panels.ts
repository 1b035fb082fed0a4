import { bendLines } from '@kalotrope/core/lines';
import { developPanels, type Panel } from '@kalotrope/core/panels';
import {
  findingJson,
  findingsText,
  numberOption,
  readLinesFile,
  trim,
  type Answer,
  type Io,
  type Options,
} from '../io';

export function panelsCommand(file: string, options: Options, io: Io): Answer {
  const thickness = numberOption(options, 'thickness', { min: 0.5, max: 40, otherwise: 6 });
  const part = readLinesFile(file, io);
  const start = io.now();
  const lines = bendLines(part);
  const { value, findings } = developPanels(lines.value, { thickness });
  const computedMs = io.now() - start;
  const all = [...lines.findings, ...findings];
  const rows = value.map((panel) =>
    [
      panel.id,
      panel.edges.map((edge) => edge.length.toFixed(2)).join(' / '),
      panel.maxTwist.value.toFixed(3),
      panel.areaM2.toFixed(4),
    ].join('\t'),
  );
  return {
    computedMs,
    json: { panels: value.map(panelJson), findings: all.map(findingJson) },
    text: ['panel\tedges mm\ttwist °\tarea m²', ...rows, findingsText(all)].join('\n'),
  };
}

const panelJson = (panel: Panel) => ({
  name: panel.id,
  between: panel.between,
  outline: panel.outline.map((p) => p.map(trim)),
  edges: panel.edges.map((edge) => ({
    line: edge.line,
    length: trim(edge.length),
    points: edge.points.map(({ flat, space }) => [...flat, ...space].map(trim)),
  })),
  rulings: panel.rulings.map((r) => ({
    u0: trim(r.flatP[0]),
    v0: trim(r.flatP[1]),
    u1: trim(r.flatQ[0]),
    v1: trim(r.flatQ[1]),
    twistDeg: trim(r.twistDeg),
    bendRadius: r.bendRadius === null ? null : trim(r.bendRadius),
  })),
  maxTwistDeg: trim(panel.maxTwist.value),
  maxStrain: panel.maxStrain.value,
  minBendRadius: panel.minBendRadius ? trim(panel.minBendRadius.value) : null,
  area: trim(panel.areaM2),
});
