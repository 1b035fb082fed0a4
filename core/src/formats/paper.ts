/** Sizes of paper, mm, standing up; a roll has no length of its own. */
export const PAPERS = {
  A4: { width: 210, height: 297 },
  A3: { width: 297, height: 420 },
  A2: { width: 420, height: 594 },
  A1: { width: 594, height: 841 },
  A0: { width: 841, height: 1189 },
  Letter: { width: 215.9, height: 279.4 },
  Tabloid: { width: 279.4, height: 431.8 },
  'Arch C': { width: 457.2, height: 609.6 },
  'Arch D': { width: 609.6, height: 914.4 },
  'Arch E': { width: 914.4, height: 1219.2 },
  'Roll 610 mm, 24 in': { width: 609.6, height: null },
  'Roll 914 mm, 36 in': { width: 914.4, height: null },
  'Roll 1067 mm, 42 in': { width: 1066.8, height: null },
} as const;
export type Paper = keyof typeof PAPERS;
export const PAPER_NAMES = Object.keys(PAPERS) as readonly Paper[]; // its own keys

/** What drawings at a scale, tables and card models are printed on. */
export const SHEET_PAPERS = ['A4', 'A3', 'Letter', 'Tabloid'] as const satisfies readonly Paper[];
export type SheetPaper = (typeof SHEET_PAPERS)[number];

/** A page that lies on its side. */
export const pageOnItsSide = (paper: SheetPaper) => ({ width: PAPERS[paper].height, height: PAPERS[paper].width });
