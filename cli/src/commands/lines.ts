import { drawLines, type LinesFinding } from '@kalotrope/core/lines';
import { findingJson, findingsText, readLinesFile, trim, type Answer, type Io, type Options } from '../io';

const QUANTITY: Readonly<Record<string, string>> = {
  'half-breadth': 'half_breadth',
  halfBreadth: 'half_breadth',
  height: 'height',
  x: 'x',
};

export function linesCommand(file: string, _options: Options, io: Io): Answer {
  const { value, findings } = drawLines(readLinesFile(file, io));
  const lines = value.lines.map((line) => ({
    line: line.id,
    points: line.points.map((p, i) => ({
      station: p.station,
      x: trim(p.x),
      half_breadth: trim(p.halfBreadth),
      height: trim(p.height),
      residual: trim(line.residuals[i]?.total ?? 0),
    })),
  }));
  const json = {
    lines,
    findings: findings.map((finding) => ({
      ...findingJson(finding),
      ...(finding.where.line === undefined ? {} : { line: finding.where.line }),
      ...(finding.where.station === undefined ? {} : { station: finding.where.station }),
      ...slipFields(finding),
    })),
  };
  const rows = lines.flatMap((line) =>
    line.points.map(
      (p) => `${line.line}\t${p.station}\t${p.x}\t${p.half_breadth}\t${p.height}\t${p.residual.toFixed(2)}`,
    ),
  );
  return {
    json,
    text: [`line\tstation\tx\thalf-breadth\theight\tresidual`, ...rows, findingsText(findings)].join('\n'),
  };
}

/** What a slip has beside its sentence. */
function slipFields(finding: LinesFinding) {
  if (finding.code !== 'slip') return {};
  const { quantity, valueMm, suggestedMm, slip } = finding.data;
  return { quantity: QUANTITY[quantity], value: trim(valueMm), suggested: trim(suggestedMm), slip: slip.toLowerCase() };
}
