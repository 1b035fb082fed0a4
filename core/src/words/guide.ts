/** The glossary as a page of the guide, with its drawings as files beside it. */
import { WORDS } from './glossary';
import { PICTURES, type Picture, type PicturePath } from './pictures';

const STROKES: Readonly<Record<PicturePath['kind'], string>> = {
  edge: 'fill="none" stroke="#1D2C36" stroke-width="1.8"',
  thin: 'fill="none" stroke="#5B6B75" stroke-width="0.9"',
  dashed: 'fill="none" stroke="#5B6B75" stroke-width="0.9" stroke-dasharray="5 3"',
  part: 'fill="#F0E2C4" stroke="#1D2C36" stroke-width="1.4"',
  glue: 'fill="#9FB8B2" stroke="#0E5A61" stroke-width="1.2"',
  glass: 'fill="none" stroke="#0E5A61" stroke-width="3"',
};

const figures = (points: PicturePath['points']): string =>
  points.map(([x, y]) => `${Number(x.toFixed(1))},${Number(y.toFixed(1))}`).join(' ');
const safe = (text: string): string => text.replace(/&/g, '&amp;').replace(/</g, '&lt;');

/** A drawing as SVG, on paper's white. */
function pictureSvg({ title, width, height, paths, labels }: Picture): string {
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">`,
    `<title>${safe(title)}</title>`,
    `<rect width="${width}" height="${height}" fill="#FFFFFF"/>`,
    ...paths.map(
      ({ kind, points, isClosed }) =>
        `<${isClosed ? 'polygon' : 'polyline'} points="${figures(points)}" ${STROKES[kind]} stroke-linejoin="round"/>`,
    ),
    ...labels.map(
      ({ text, at: [x, y], align }) =>
        `<text x="${x}" y="${y}" text-anchor="${align}" font-family="sans-serif" font-size="13" fill="#1D2C36" ` +
        `stroke="#FFFFFF" stroke-width="3" paint-order="stroke">${safe(text)}</text>`,
    ),
    '</svg>',
    '',
  ].join('\n');
}

/** Paths below the guide's folder, and what belongs there. */
export function glossaryPages(): Readonly<Record<string, string>> {
  const shown = new Set<string>();
  const entries = WORDS.map(({ id, word, meaning, picture }) => {
    const isFirst = picture !== undefined && !shown.has(picture);
    if (isFirst) shown.add(picture);
    const drawing = picture && `![${PICTURES[picture].title}](words/${picture}.svg)`;
    const seen = picture && `[Drawing](words/${picture}.svg)`;
    return [
      `## ${word}`,
      `<a id="${id}"></a>`,
      isFirst ? meaning : [meaning, seen].filter(Boolean).join(' '),
      isFirst && drawing,
    ]
      .filter(Boolean)
      .join('\n\n');
  });
  return {
    'glossary.md': `${[
      '# The words',
      'What the trade calls things, as they are called here. On the screen a word with a dotted line under it ' +
        'shows its meaning when the pointer rests on it, and opens it when it is clicked; `/` finds any of them.',
      ...entries,
    ].join('\n\n')}\n`,
    ...Object.fromEntries(
      Object.entries(PICTURES).map(([name, picture]) => [`words/${name}.svg`, pictureSvg(picture)]),
    ),
  };
}
