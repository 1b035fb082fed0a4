/**
 * One colour and one dash a station, the same everywhere: eight colours that the colour-blind tell apart, four
 * dashes.
 */
const COLOURS = ['#1F6FB4', '#B4501E', '#2E7D4F', '#8A4FA3', '#A0700A', '#0E7F8C', '#B03468', '#5A5F66'];
const DASHES = ['', '7 3', '2 3', '9 3 2 3'];

export const stationStyle = (
  index: number,
  px: number,
): { readonly stroke: string; readonly strokeDasharray: string } => ({
  stroke: COLOURS[index % COLOURS.length] ?? '#5A5F66',
  strokeDasharray: (DASHES[Math.floor(index / 2) % DASHES.length] ?? '')
    .split(' ')
    .filter(Boolean)
    .map((n) => Number(n) * px)
    .join(' '),
});
