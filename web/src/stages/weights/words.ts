/** The sections of the slip of the weights. */
export const LOADS_SECTION = 'Aboard';
export const PARTS_SECTION = 'What weighs what';
export const MATERIAL_SECTION = 'What things weigh';
