/**
 * The one place where standard parts are styled: paper, ink, teal; thin rules, small radii, no shadows but on what
 * floats.
 */
import { createTheme, type Theme } from '@mui/material/styles';
import { COLOURS } from '../drawing/colours';
import { shopStyles } from './shop/shop-styles';

export type Shade = 'light' | 'dark';

const TEXT = '"Atkinson Hyperlegible Next Variable", sans-serif';
const FIGURES = '"Atkinson Hyperlegible Mono Variable", monospace';

/** On a narrow screen what is touched is as large as a finger, px. */
const FINGER = { minHeight: 44, minWidth: 44 } as const;

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
      MuiButtonBase: {
        defaultProps: { disableRipple: true },
        styleOverrides: { root: ({ theme }) => ({ [theme.breakpoints.down('md')]: FINGER }) },
      },
      MuiOutlinedInput: {
        styleOverrides: { root: ({ theme }) => ({ [theme.breakpoints.down('md')]: { minHeight: 44 } }) },
      },
      MuiTabs: { styleOverrides: { root: ({ theme }) => ({ [theme.breakpoints.down('md')]: { minHeight: 44 } }) } },
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
        styleOverrides: ({ typography, breakpoints }) => ({
          body: { overflow: 'hidden' },
          ...shopStyles(c, FIGURES),
          // what is scrolled out of sight is not laid out with every edit
          '.slip-part': {
            marginTop: 12,
            paddingTop: 12,
            borderTop: `1px solid ${c.line}`,
            contentVisibility: 'auto',
            containIntrinsicSize: 'auto 200px',
          },
          '.slip-part > h2': {
            ...typography.h2,
            margin: 0,
            display: 'flex',
            alignItems: 'baseline',
            justifyContent: 'space-between',
            gap: 12,
            '& > button': {
              all: 'unset',
              cursor: 'pointer',
              display: 'flex',
              alignItems: 'center',
              gap: 8,
              [breakpoints.down('md')]: { minHeight: FINGER.minHeight },
            },
            '& > button:focus-visible': { outline: `2px solid ${c.picked}`, outlineOffset: 2 },
            '& > .quiet': { fontWeight: 400, textAlign: 'right' },
          },
          '.term': {
            color: 'inherit',
            textDecoration: 'underline dotted',
            textDecorationColor: c.quiet,
            textUnderlineOffset: 3,
            cursor: 'help',
          },
          '.slip-body': { display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 10 },
          '.slip-body:not(:empty)': { marginTop: 10 },
          '.slip-edge': {
            position: 'absolute',
            left: -3,
            top: 0,
            bottom: 0,
            width: 7,
            zIndex: 2,
            cursor: 'ew-resize',
            touchAction: 'none',
            '&:hover, &:focus-visible': { backgroundColor: c.line },
          },
          '.field-grid': { display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 10, margin: 0 },
          '.acts': { display: 'flex', flexWrap: 'wrap', gap: 4 },
          '.field-grid.wide-first': { gridTemplateColumns: '1.6fr 1fr' },
          '.quiet': { ...typography.body2, color: c.quiet, margin: 0 },
          '.steps': { paddingLeft: 20, margin: 0 },
          '.plan-day': { ...typography.body2, fontWeight: 650, margin: '8px 0 2px' },
          '.card-scroll': { overflowX: 'auto', overflowY: 'hidden' },
          '.card-handle': { outline: 'none' },
          '.card-handle:focus-visible > :last-child': {
            stroke: c.ink,
            strokeWidth: '3px',
            vectorEffect: 'non-scaling-stroke',
          },
          '.plan-entry': {
            ...typography.body2,
            ...{ display: 'flex', gap: 12, width: '100%', padding: '3px 6px', border: 0, textAlign: 'left' },
            ...{ color: 'inherit', background: 'none', cursor: 'pointer', minHeight: 26 },
            '&:hover': { background: c.line },
            '&[aria-pressed=true]': { background: c.sheet, boxShadow: `inset 3px 0 0 ${c.picked}` },
            [breakpoints.down('md')]: { minHeight: FINGER.minHeight, alignItems: 'center' },
          },
          '.log-days': { listStyle: 'none', margin: 0, padding: '0 16px 16px' },
          '.log-kind': { flex: '0 0 78px', color: c.quiet },
          '.log-said': { flex: 1, minWidth: 0, overflowWrap: 'anywhere' },
          '.log-form': { display: 'grid', gap: 10, paddingTop: 6 },
          '.clock-figure.figure': { fontSize: 26, margin: '4px 0', textAlign: 'left' },
          '.log-charts': {
            ...{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(min(320px, 100%), 1fr))', gap: 12 },
            padding: '8px 16px',
            '& figure': { margin: 0, minWidth: 0 },
            '& figcaption': { ...typography.body2, fontWeight: 650 },
          },
          '.part-list': {
            ...{ listStyle: 'none', margin: '8px 0 0', padding: 0, display: 'grid', columnGap: 20 },
            gridTemplateColumns: 'repeat(auto-fill, minmax(min(340px, 100%), 1fr))',
            '& > li': { display: 'flex', alignItems: 'center', gap: 8, borderBottom: `1px solid ${c.line}` },
            '& > li > .plan-entry': { alignItems: 'center', minHeight: 40 },
          },
          '.part-shape': { flex: '0 0 80px' },
          '.log-photos': {
            ...{ display: 'flex', flexWrap: 'wrap', gap: 8 },
            '& button img': { width: 72, height: 54, objectFit: 'cover', display: 'block' },
            '& > span > button:first-of-type': {
              ...{ padding: 0, border: `1px solid ${c.line}`, background: 'none', cursor: 'pointer' },
              [breakpoints.down('md')]: FINGER,
            },
          },
          '.figure-line': {
            ...typography.body2,
            display: 'flex',
            justifyContent: 'space-between',
            gap: 16,
            padding: '2px 0',
            '& p': { margin: 0, color: c.quiet },
            // words come between the figures there
            '& .figure': { fontFamily: TEXT },
            '& .whole': { whiteSpace: 'nowrap' },
          },
          a: { color: c.main },
          '.plain-table th button': { [breakpoints.down('md')]: FINGER },
          ':focus-visible': { outline: `2px solid ${c.picked}`, outlineOffset: 1 },
          '.figure, .MuiTableCell-root.figure': {
            fontFamily: FIGURES,
            fontVariantNumeric: 'tabular-nums',
            textAlign: 'right',
          },
          '.strip': {
            position: 'relative',
            flexShrink: 0,
            borderTop: `1px solid ${c.line}`,
            backgroundColor: c.sheet,
            '& svg': { display: 'block' },
            '& .station-name': { fontFamily: FIGURES },
          },
          '.strip-acts': {
            position: 'absolute',
            right: 8,
            top: 6,
            display: 'flex',
            flexDirection: 'column',
            gap: 0,
            [breakpoints.up('md')]: { '& .MuiButton-root': { minHeight: 29, paddingTop: 0, paddingBottom: 0 } },
            [breakpoints.down('md')]: {
              position: 'static',
              flexDirection: 'row',
              padding: '0 8px 6px',
              justifyContent: 'flex-end',
            },
          },
          '.drawing-surface': {
            position: 'relative',
            flex: 1,
            minWidth: 0,
            minHeight: 0,
            overflow: 'hidden',
            backgroundColor: c.paper,
            borderTop: `1px solid ${c.line}`,
            [breakpoints.down('md')]: { minHeight: 420 },
          },
          '.tape': {
            height: 54,
            borderTop: `1px solid ${c.line}`,
            backgroundColor: c.sheet,
            cursor: 'crosshair',
            touchAction: 'none',
          },
          '.plain-table td button': {
            ...{ all: 'unset', cursor: 'pointer', color: c.main, fontWeight: 600 },
            '&[aria-pressed="true"]': { color: c.picked },
            '&:focus-visible': { outline: `2px solid ${c.picked}`, outlineOffset: 1 },
            [breakpoints.down('md')]: FINGER,
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
            '& thead th:first-of-type': { whiteSpace: 'normal', maxWidth: 96, lineHeight: 1.2 },
            '& input': {
              width: 70,
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
            '& input[aria-invalid=true]': { color: c.stop, textDecoration: 'underline wavy', textUnderlineOffset: 3 },
            '& .wrong': { boxShadow: `inset 3px 0 0 ${c.stop}` },
            // what was understood stands under the cell that is typed in; of the others it is for the ear alone
            '& td:not(:focus-within) > .understood': {
              clipPath: 'inset(50%)',
              width: 1,
              height: 1,
              overflow: 'hidden',
            },
            '& th button': { all: 'unset', cursor: 'pointer', lineHeight: '30px', padding: '0 4px' },
            '& th.figure button': {
              width: 62,
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
          '.printed-sheets, .printed-photos': { display: 'none' },
          '@media print': {
            '.printed-sheets': { display: 'block' },
            '.printed-sheets svg': { display: 'block', breakAfter: 'page' },
            body: { overflow: 'visible' },
            // sheets made for paper stand in for the screen while there are some
            'body:has(> .printed-sheets) > :not(.printed-sheets, .printed-photos)': { display: 'none' },
            // the sheets come into the page later, and are first on paper
            'body:has(> .printed-sheets):has(> .printed-photos)': { display: 'flex', flexDirection: 'column' },
            'body:has(> .printed-sheets) > .printed-photos': { display: 'block', order: 1 },
            '.printed-photos section': {
              ...{ breakBefore: 'page', padding: '12mm', display: 'grid', gap: '5mm', alignContent: 'start' },
              gridTemplateColumns: 'repeat(3, 1fr)',
            },
            '.printed-photos h2': { gridColumn: '1 / -1', margin: 0, font: '600 12pt Helvetica, Arial, sans-serif' },
            '.printed-photos figure': { margin: 0, breakInside: 'avoid' },
            '.printed-photos img': { maxWidth: '100%', maxHeight: '62mm', display: 'block' },
            '.printed-photos figcaption': {
              ...{ font: '9pt/1.35 Helvetica, Arial, sans-serif', maxHeight: '13mm', overflow: 'hidden' },
              marginTop: '1.5mm',
            },
            // a sheet of A4 or Letter is narrower than the drawing's place on the screen
            '.drawing-surface': { overflow: 'visible !important', breakInside: 'avoid' },
            '.drawing-surface > svg': { zoom: 0.85 },
            '[role=region]': { overflow: 'visible !important' },
            tr: { breakInside: 'avoid' },
            '.offsets th': { backgroundColor: 'transparent !important' },
            '.no-print': { display: 'none !important' },
            '.slip-part': { contentVisibility: 'visible' },
          },
        }),
      },
    },
  });
}
