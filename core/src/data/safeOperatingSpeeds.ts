/** Planning values for the fastest safe rotor speed of standard cage motors, by frame and poles. */
export const safeOperatingSpeeds = {
  citation:
    'IEC 60034-1 (maximum safe operating speed of cage induction motors), taken as planning values; the plate rules',
  rows: [
    { frameUpToMm: 112, maximumRpmByPoles: { 2: 5200, 4: 3600, 6: 2400 } },
    { frameUpToMm: 180, maximumRpmByPoles: { 2: 4500, 4: 2700, 6: 2400 } },
  ] as readonly { frameUpToMm: number; maximumRpmByPoles: Readonly<Record<number, number>> }[],
  /** Where the frame was not read: the lowest of the sizes to 22 kW. */
  unread: { powerUpToW: 22_000, maximumRpmByPoles: { 2: 4500, 4: 2700, 6: 2400 } as Readonly<Record<number, number>> },
}
