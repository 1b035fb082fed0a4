/** The colours of everything, in light and in dark. */
export const COLOURS = {
  light: {
    paper: '#F5F2EA',
    sheet: '#FFFFFF',
    ink: '#1D2C36',
    quiet: '#5B6B75',
    line: '#D9D3C4',
    main: '#0E5A61',
    picked: '#B9501B',
    stop: '#A3203A',
    check: '#805800',
    note: '#3C6E71',
    ply: '#F0E2C6',
    plyLine: '#D8C49C',
  },
  dark: {
    paper: '#141C22',
    sheet: '#1C262D',
    ink: '#EEF1EE',
    quiet: '#A9B6BD',
    line: '#3A474F',
    main: '#6FC3C9',
    picked: '#F0975E',
    stop: '#F28CA0',
    check: '#E3B75B',
    note: '#8CC0C3',
    ply: '#4A4234',
    plyLine: '#6B5F49',
  },
} as const;
export type Palette = { readonly [K in keyof (typeof COLOURS)['light']]: string };
