/**
 * Nominal supply classes. People say 110, 115, 117 and 120 for one wall and 220, 230 and 240 for
 * another, and plates do the same: within a class no difference is worth a finding.
 */
const nominalClasses: readonly { nominalV: number; from: number; to: number }[] = [
  { nominalV: 100, from: 95, to: 104 },
  { nominalV: 120, from: 105, to: 130 },
  { nominalV: 208, from: 195, to: 212 },
  { nominalV: 230, from: 213, to: 254 },
  { nominalV: 277, from: 265, to: 290 },
  { nominalV: 400, from: 370, to: 420 },
  { nominalV: 460, from: 435, to: 490 },
  { nominalV: 575, from: 550, to: 600 },
  { nominalV: 690, from: 650, to: 725 },
]

/** The class a voltage belongs to, or the voltage itself when it belongs to none. */
export const nominalVoltage = (voltageV: number): number =>
  nominalClasses.find((c) => voltageV >= c.from && voltageV <= c.to)?.nominalV ?? voltageV

export const sameNominal = (aV: number, bV: number): boolean => nominalVoltage(aV) === nominalVoltage(bV)
