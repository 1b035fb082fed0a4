/** What a piece of solid timber is sawn from: to the whole millimetre over it, across and along. */

/** Over a whole millimetre by less is that, mm. */
const AS_WHOLE_MM = 0.05;

export const boardMm = (mm: number): number => Math.ceil(mm - AS_WHOLE_MM);
