/** Sizes of paper, mm, standing up. */
export const PAPERS = {
  A4: { width: 210, height: 297 },
  Letter: { width: 215.9, height: 279.4 },
} as const;
export type Paper = keyof typeof PAPERS;

/** A page that lies on its side. */
export const pageOnItsSide = (paper: Paper) => ({ width: PAPERS[paper].height, height: PAPERS[paper].width });
