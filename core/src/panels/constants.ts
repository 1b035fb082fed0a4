/** What plywood takes. Values from outside carry their source. Lengths mm unless the name says feet. */

export const TWIST_LIMIT_DEG = {
  value: 1,
  unit: '°',
  source: 'house estimate',
  note: 'rulings twisted less than this are taken up in the fastening',
} as const;

export const STRAIN_LIMITS = {
  value: { joints: 0.001, force: 0.003 },
  unit: 'fraction',
  source: 'house estimate',
  note: 'rule of thumb: up to the first is lost in the joints, up to the second by force and good clamps',
} as const;

/** Least radius of bend for dry structural plywood, by thickness. */
export const LEAST_RADII = {
  value: [
    { thicknessIn: 0.25, acrossFt: 2, alongFt: 5 },
    { thicknessIn: 0.3125, acrossFt: 2, alongFt: 6 },
    { thicknessIn: 0.375, acrossFt: 3, alongFt: 8 },
    { thicknessIn: 0.5, acrossFt: 6, alongFt: 12 },
    { thicknessIn: 0.625, acrossFt: 8, alongFt: 16 },
    { thicknessIn: 0.75, acrossFt: 12, alongFt: 20 },
  ],
  unit: 'in, ft',
  source: "plywood industry association's published bending table",
  note: 'bend axis across or along the face grain; under 1/4 in scaled by thickness',
} as const;
