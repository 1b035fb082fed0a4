/**
 * The one place where standard parts are styled: paper, ink, teal; thin rules, small radii, no shadows but on what
 * floats.
 */
import { createTheme, type Theme } from '@mui/material/styles';

export type Shade = 'light' | 'dark';

const TEXT = '"Atkinson Hyperlegible Next Variable", sans-serif';
export const FIGURES = '"Atkinson Hyperlegible Mono Variable", monospace';

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

export function makeTheme(shade: Shade): Theme {
  const c = COLOURS[shade];
  return createTheme({
    palette: {
      mode: shade,
      primary: { main: c.main },
      secondary: { main: c.picked },
      error: { main: c.stop },
      warning: { main: c.check },
      info: { main: c.note },
      background: { default: c.paper, paper: c.sheet },
      text: { primary: c.ink, secondary: c.quiet },
      divider: c.line,
    },
    shape: { borderRadius: 3 },
    typography: {
      fontFamily: TEXT,
      fontSize: 15,
      htmlFontSize: 16,
      body1: { fontSize: 15 },
      body2: { fontSize: 14 },
      caption: { fontSize: 13 },
      h1: { fontSize: 20, fontWeight: 650 },
      h2: { fontSize: 16, fontWeight: 650 },
      button: { textTransform: 'none', fontSize: 14, fontWeight: 600 },
    },
    components: {
      MuiButtonBase: { defaultProps: { disableRipple: true } },
      MuiButton: { defaultProps: { disableElevation: true, size: 'small' } },
      MuiPaper: { defaultProps: { elevation: 0 } },
      MuiTextField: { defaultProps: { size: 'small', variant: 'outlined' } },
      MuiTooltip: { defaultProps: { enterDelay: 400 } },
      MuiTableCell: {
        styleOverrides: {
          root: { padding: '3px 8px', fontSize: 14 },
          head: { fontWeight: 600, lineHeight: 1.25 },
        },
      },
      MuiCssBaseline: {
        styleOverrides: {
          body: { overflow: 'hidden' },
          a: { color: c.main },
          ':focus-visible': { outline: `2px solid ${c.picked}`, outlineOffset: 1 },
          '.figure, .MuiTableCell-root.figure': {
            fontFamily: FIGURES,
            fontVariantNumeric: 'tabular-nums',
            textAlign: 'right',
          },
          '.plain-table': {
            width: '100%',
            borderCollapse: 'collapse',
            fontSize: 14,
            '& th, & td': { padding: '4px 8px', borderBottom: `1px solid ${c.line}`, textAlign: 'left' },
            '& th': { fontWeight: 600, lineHeight: 1.25 },
            '& th.figure': { fontFamily: TEXT, textAlign: 'right' },
            '& td.figure': { textAlign: 'right', whiteSpace: 'nowrap' },
          },
          '.offsets': {
            borderCollapse: 'separate',
            borderSpacing: 0,
            fontSize: 14,
            '& th, & td': { padding: 0, borderBottom: `1px solid ${c.line}`, whiteSpace: 'nowrap' },
            '& th': { fontWeight: 600, textAlign: 'left', backgroundColor: c.paper },
            '& tr > :first-of-type': { position: 'sticky', left: 0, zIndex: 1, padding: '0 10px 0 4px' },
            '& .block > th': { paddingTop: 14, color: c.quiet },
            '& td': { position: 'relative' },
            '& input': {
              width: 76,
              height: 30,
              padding: '0 8px',
              border: 0,
              background: 'none',
              color: c.ink,
              font: 'inherit',
              fontFamily: FIGURES,
              textAlign: 'right',
            },
            '& input:hover': { backgroundColor: c.sheet },
            '& input:focus': { backgroundColor: c.sheet, outline: `2px solid ${c.picked}`, outlineOffset: -2 },
            '& input[aria-invalid=true]': { color: c.stop },
            '& th button': { all: 'unset', cursor: 'pointer', lineHeight: '30px', padding: '0 4px' },
            '& th.figure button': {
              width: 68,
              textAlign: 'right',
              fontFamily: TEXT,
              overflow: 'hidden',
              textOverflow: 'ellipsis',
            },
            '& td.figure': { paddingRight: 8, color: c.quiet, fontFamily: TEXT },
            '& th button:focus-visible': { outline: `2px solid ${c.picked}` },
            '& .picked': { color: c.picked, backgroundColor: c.sheet },
            '& .understood': {
              position: 'absolute',
              right: 0,
              top: '100%',
              zIndex: 3,
              padding: '2px 8px',
              backgroundColor: c.sheet,
              border: `1px solid ${c.line}`,
              fontSize: 13,
            },
          },
          '@media (prefers-reduced-motion: reduce)': {
            '*, *::before, *::after': { transition: 'none !important', animation: 'none !important' },
          },
          '@media print': {
            body: { overflow: 'visible' },
            '.offsets th': { backgroundColor: 'transparent !important' },
            '.no-print': { display: 'none !important' },
          },
        },
      },
    },
  });
}
