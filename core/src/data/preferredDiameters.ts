/** Pulley diameters to be had from stock, mm: preferred numbers, every twentieth of a decade. */
export const preferredDiameters = {
  citation: 'ISO 3, series R20, as used for pulleys in ISO 4183',
  mm: [50, 56, 63, 71, 80, 90, 100, 112, 125, 140, 160, 180, 200, 224, 250, 280, 315, 355, 400],
} as const
