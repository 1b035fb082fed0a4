/** How the shop view looks: large letters on large keys, nothing that a glove cannot hit. */
import type { COLOURS } from '../../drawing/colours';

/** The least that letters and what is touched are there, px. */
const LETTERS = 18;
const TOUCH = 56;

type Colours = (typeof COLOURS)[keyof typeof COLOURS];

export const shopStyles = (c: Colours, figures: string) => ({
  '.shop': {
    ...{ height: '100dvh', overflow: 'auto', display: 'flex', flexDirection: 'column' },
    ...{ backgroundColor: c.paper, fontSize: LETTERS, lineHeight: 1.35 },
    '& button': { font: 'inherit', color: 'inherit', cursor: 'pointer', minHeight: TOUCH, minWidth: TOUCH },
    '& button:disabled': { color: c.quiet, cursor: 'default' },
    '& h1, & h2': { fontSize: 22, margin: 0, fontWeight: 650 },
  },
  '.shop-list': {
    ...{ width: 'min(100%, 760px)', boxSizing: 'border-box', margin: '0 auto', padding: 12 },
    ...{ display: 'grid', gap: 10 },
    '& > section': { display: 'grid', gap: 6 },
    '& p': { margin: 0 },
  },
  '.shop-kind, .shop-task': {
    ...{ display: 'flex', justifyContent: 'space-between', alignItems: 'center', gap: 12, width: '100%' },
    ...{ padding: '8px 14px', textAlign: 'left', border: `1px solid ${c.line}`, borderRadius: 3 },
    backgroundColor: c.sheet,
  },
  '.shop-kind': { fontWeight: '650 !important', backgroundColor: 'transparent' },
  '.shop-count': { color: c.quiet, fontWeight: 400, whiteSpace: 'nowrap' },
  '.shop-ends': {
    ...{ display: 'flex', flexWrap: 'wrap', gap: 10, alignItems: 'center', justifyContent: 'space-between' },
    '& a': { display: 'inline-flex', alignItems: 'center', minHeight: TOUCH, padding: '0 8px' },
    '& button': { padding: '0 16px', border: `1px solid ${c.line}`, borderRadius: 3, backgroundColor: c.sheet },
    '& button[aria-pressed=true]': { borderColor: c.main, borderWidth: 3 },
  },
  '.shop-step': {
    // all the room that is left under what is told over it
    ...{ flex: '1 0 auto', width: 'min(100%, 900px)', boxSizing: 'border-box', margin: '0 auto', padding: 12 },
    ...{ display: 'flex', gap: 8 },
    flexDirection: 'column',
    '& > p': { margin: 0 },
    '& progress': { width: '100%', height: 8, accentColor: c.main },
  },
  '.shop-head': { display: 'flex', justifyContent: 'space-between', gap: 12, color: c.quiet },
  '.shop .shop-of': {
    ...{ display: 'flex', justifyContent: 'space-between', gap: 12, alignItems: 'baseline', flexWrap: 'wrap' },
    fontSize: 26,
    '& b': { border: `2px solid ${c.ink}`, borderRadius: 3, padding: '0 8px' },
  },
  '.shop-heard': { position: 'absolute', clipPath: 'inset(50%)', width: 1, height: 1, overflow: 'hidden' },
  '.shop-next': {
    ...{ flex: 1, display: 'flex', flexDirection: 'column', alignItems: 'stretch', justifyContent: 'center', gap: 12 },
    ...{ padding: 14, textAlign: 'left', border: `2px solid ${c.main}`, borderRadius: 3, backgroundColor: c.sheet },
    '&.is-read': { borderColor: c.line, justifyContent: 'flex-start' },
  },
  '.shop-say': {
    fontSize: 'clamp(24px, 5vmin, 38px)',
    lineHeight: 1.2,
    fontWeight: 600,
    '&.is-long': { fontSize: 22 },
  },
  '.shop-figure': {
    ...{ display: 'flex', flexDirection: 'column', lineHeight: 1.1 },
    '& > .figure': { textAlign: 'left', fontSize: 'clamp(52px, 10.5vmin, 96px)', fontWeight: 600 },
    '& > .figure.is-long': { fontSize: 'clamp(38px, 8vmin, 72px)' },
    '.is-read &': { flexDirection: 'row', alignItems: 'baseline', gap: 12 },
    '.is-read & > .figure': { fontSize: 'clamp(34px, 9vmin, 60px)' },
  },
  '.shop-picture': {
    ...{ width: '100%', maxHeight: '24vh', display: 'block' },
    '& path': { fill: 'none', vectorEffect: 'non-scaling-stroke', stroke: c.ink, strokeWidth: 1.5 },
    '& .of': { fill: c.paper },
    '& .shape': { fill: c.sheet, strokeWidth: 2.5 },
    '& .at': { stroke: c.picked, strokeWidth: 4 },
  },
  '.shop-hint, .shop-unit': { color: c.quiet },
  '.shop-tap': { color: c.main, fontWeight: 600, marginTop: 8 },
  '.shop-foot': {
    ...{ display: 'flex', gap: 10 },
    '& button': { flex: 1, padding: '0 8px', border: `1px solid ${c.line}`, borderRadius: 3, backgroundColor: c.sheet },
    '.left-handed &': { flexDirection: 'row-reverse' },
  },
  '.shop-clock': {
    ...{ display: 'flex', gap: 12, alignItems: 'center', flexWrap: 'wrap' },
    '& button': { flex: 1, border: `2px solid ${c.picked}`, borderRadius: 3, backgroundColor: c.sheet },
    '& .figure': { fontSize: 44 },
    '.left-handed &': { flexDirection: 'row-reverse' },
  },
  '.shop-pad': {
    ...{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 8 },
    '& label': { display: 'flex', whiteSpace: 'nowrap', alignItems: 'center', gap: 12 },
    '& input': {
      ...{
        flex: 1,
        minWidth: 0,
        width: '100%',
        height: TOUCH,
        padding: '0 12px',
        border: `1px solid ${c.quiet}`,
        borderRadius: 3,
      },
      ...{ font: 'inherit', fontFamily: figures, fontSize: 30, color: 'inherit', backgroundColor: c.paper },
    },
    '& p': { margin: 0, minHeight: 26 },
  },
  '.shop-keys': {
    ...{ display: 'grid', gridTemplateColumns: 'repeat(12, minmax(0, 1fr))', gap: 6 },
    '& button': {
      ...{ gridColumn: 'span 4', minWidth: 0, fontSize: 24, border: `1px solid ${c.line}`, borderRadius: 3 },
      backgroundColor: c.paper,
    },
    '& button:nth-of-type(n+10)': { gridColumn: 'span 3' },
    '& button.is-wide': { gridColumn: 'span 6', fontSize: 20 },
    '& button.is-main:not(:disabled)': { backgroundColor: c.main, color: c.sheet },
    // the digits stand as on any pad; what is kept lies to the thumb
    '.left-handed & button.is-main': { order: 1 },
    '.left-handed & button.is-wide:not(.is-main)': { order: 2 },
  },
});
