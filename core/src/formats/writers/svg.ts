/** Writes a drawing as SVG at true scale: one user unit is one millimetre, and the page is as large as the drawing. */
import { type Drawing, drawingBounds, inFiles } from '../drawing';
import { escapeXml } from '../escape-xml';

/** Room around the drawing, and the check square beside it that anyone can lay a rule on. */
const BORDER_MM = 20;
const CHECK_MM = 100;

export function writeSvg(whole: Drawing): string {
  const drawing = inFiles(whole);
  const box = drawingBounds(drawing);
  const width = box.maxX - box.minX + 2 * BORDER_MM;
  const height = box.maxY - box.minY + 3 * BORDER_MM + CHECK_MM;
  const x = (value: number) => figure(value - box.minX + BORDER_MM);
  const y = (value: number) => figure(box.maxY - value + BORDER_MM); // SVG runs downwards
  const paths = drawing.paths.map(({ layer, points, isClosed }) => {
    const d = points.map(([px, py], i) => `${i === 0 ? 'M' : 'L'}${x(px)} ${y(py)}`).join('') + (isClosed ? 'Z' : '');
    return `<path class="${layer}" d="${d}"/>`;
  });
  const texts = drawing.texts.map(
    ({ at, heightMm, text }) =>
      `<text x="${x(at[0])}" y="${y(at[1])}" font-size="${heightMm}">${escapeXml(text)}</text>`,
  );
  const low = height - BORDER_MM - CHECK_MM;
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${figure(width)}mm" height="${figure(height)}mm" ` +
      `viewBox="0 0 ${figure(width)} ${figure(height)}">`,
    `<title>${escapeXml(drawing.name)}</title>`,
    '<style>path{fill:none;stroke-width:.3}.cut{stroke:#000}.mark{stroke:#06c}.check{stroke:#888}' +
      'text{font-family:sans-serif;fill:#444}</style>',
    ...paths,
    ...texts,
    `<path class="check" d="M${BORDER_MM} ${figure(low)}h${CHECK_MM}v${CHECK_MM}h-${CHECK_MM}Z"/>`,
    `<text x="${BORDER_MM + 6}" y="${figure(low + 50)}" font-size="9">100 mm square</text>`,
    '</svg>',
    '',
  ].join('\n');
}

const figure = (value: number): string => String(Number(value.toFixed(4)));
