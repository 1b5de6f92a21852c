/** Where a table of the product is from, which edition of it, and how near its figures are. */
export interface TableSource {
  source: string
  edition: string
  tolerance: string
}

const planning = (source: string, tolerance: string): TableSource => ({
  source,
  edition: 'Planning values of this product, 2026',
  tolerance,
})

/** Of every table in this folder, by the name of its file. */
export const tableSources: Readonly<Record<string, TableSource>> = {
  beltGrooves: {
    source: 'ISO 4183, grooved pulleys for classical and narrow V-belts',
    edition: 'ISO 4183:1995',
    tolerance: 'groove angle 0.5 degrees, widths as cut',
  },
  beltMasses: planning('Wrapped V-belts by section', 'a tenth; cogged belts are lighter'),
  beltPitches: {
    source: 'ISO 9982, poly-V profiles; ISO 5296, timing belts of inch pitch',
    edition: 'ISO 9982:2021, ISO 5296:2012',
    tolerance: 'pitch exact; fewest teeth and smallest pulleys are planning values',
  },
  beltSections: {
    source: 'ISO 4184, classical and narrow V-belts; ISO 4183, smallest pulleys',
    edition: 'ISO 4184:1992, ISO 4183:1995',
    tolerance: 'lengths 1 to 2 % as sold; other lengths are sold too',
  },
  beltStrength: {
    source: 'Published rating formula of V-belts; A, B, C after IS 2494, the others fitted to published ratings',
    edition: 'IS 2494 (1974); ratings as in ISO 5292:1995',
    tolerance: 'a tenth of the published ratings from 700 to 2850 rpm, the lower where they differ',
  },
  boxTransmittance: planning(
    'Natural convection and radiation, after IEC TR 60890',
    'a fifth: paint, wall and draught',
  ),
  cableTables: {
    source: 'IEC 60364-5-52 Annex B (PVC copper, 30 degrees C); NEC 310.16 (60 degrees C copper) and 400.5',
    edition: 'IEC 60364-5-52:2009; NEC 2023',
    tolerance: 'none: figures of the standards, never rounded up',
  },
  cordAmpacity: planning(
    'The lower of common cord tables, after IEC 60364-5-52 and NEC 400.5',
    'the cord’s maker rules',
  ),
  densities: planning('Handbook densities at 20 °C', 'a fiftieth of metals; grinding wheels differ by a quarter'),
  doubler: planning(
    'Capacitors of 200 V in a voltage doubler on 127 V nominal',
    'a twentieth over nominal is counted in',
  ),
  fluxLimits: planning('Magnetising of cage motors over their plate', 'motors differ: a few hundredths'),
  frameSizes: {
    source: 'IEC 60072-1 and NEMA MG 1 Part 4, foot-mounted frames',
    edition: 'IEC 60072-1:2022; NEMA MG 1-2016, T frames, and U frames as before 1964',
    tolerance: 'shaft height -0.5 mm (-1/32 in), bolt holes 0.5 mm; the motor’s own drawing rules',
  },
  motorEfficiency: {
    source: 'IEC 60034-30-1, class IE1, 50 Hz, by size and poles',
    edition: 'IEC 60034-30-1:2014',
    tolerance: 'IEC 60034-1: 15 % of the losses; older motors lie lower',
  },
  parallelKeys: {
    source: 'ISO/R 773, metric parallel keys; NEMA MG 1 Part 4, keys of inch shafts',
    edition: 'ISO/R 773:1969; NEMA MG 1-2016',
    tolerance: 'width h9 in the key, JS9 or P9 in the hub',
  },
  planningValues: planning('Each says its own, where it is shown', 'each rests on what is not known yet: measure it'),
  preferredDiameters: {
    source: 'ISO 3, series R20, as used for pulleys in ISO 4183',
    edition: 'ISO 3:1973, ISO 4183:1995',
    tolerance: 'rounded as the series is',
  },
  preferredOhms: {
    source: 'IEC 60063, series E12',
    edition: 'IEC 60063:2015',
    tolerance: 'ten per cent either way, as the series is for',
  },
  protectionRatings: {
    source: 'IEC 60898-1 and NEC 240.6(A)',
    edition: 'IEC 60898-1:2015; NEC 2023',
    tolerance: 'none: standard ratings',
  },
  rotorInertia: planning('Data sheets of common cage motors; frames by power after EN 50347', 'a third either way'),
  safeOperatingSpeeds: {
    source: 'IEC 60034-1, maximum safe operating speed of cage induction motors, taken as planning values',
    edition: 'IEC 60034-1:2022',
    tolerance: 'the plate rules; balance and bearings may allow less',
  },
  shaftFanCurve: {
    source: 'Shape of IEC TS 60034-25, cage motors fed by converters',
    edition: 'IEC TS 60034-25:2022',
    tolerance: 'one typical curve, a tenth; the maker rules',
  },
  terminalConnections: {
    source: 'IEC 60034-8 and NEMA MG 1 Part 2, terminal markings',
    edition: 'IEC 60034-8:2014; NEMA MG 1-2016',
    tolerance: 'none; the picture inside the lid is the authority',
  },
  threadPitches: {
    source: 'ISO 261, metric coarse; ASME B1.1, unified coarse',
    edition: 'ISO 261:1998; ASME B1.1-2019',
    tolerance: 'none: nominal sizes',
  },
  workMaterials: planning(
    'Kienzle constants, starting speeds and feeds as in machining handbooks',
    'a third: tool, work and machine',
  ),
}
