import { z } from 'zod'
import { cableTables, copper, groupingFactors } from '../data/cableTables'
import { amps, gives, phases, volts } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { dropAlong } from './voltageDrop'

/** Protective conductor for a line conductor: equal to 16 mm2, 16 to 35, then half (IEC 60364-5-54). */
const earthFor = (size: number): number => (size <= 16 ? size : size <= 35 ? 16 : size / 2)

/** The smallest cable that its protection protects and that does not drop too much. */
export const cable = rule({
  id: 'supply.cable',
  title: 'Cable of the drive’s circuit',
  input: z.strictObject({
    loadA: amps('the larger of computed and plate input'),
    protectionA: amps('rating of the breaker or fuse'),
    lengthM: z.number().gt(0).max(10_000).describe('m, one way'),
    system: z.enum(['metric', 'awg']).describe('mm2 or American gauge'),
    method: z
      .enum(['C', 'B2', 'conduit', 'cord'])
      .describe('how it is laid: C on a wall, B2 in conduit (metric); conduit, cord (gauge)'),
    ambientC: z.number().min(-20).max(60).default(30).describe('degrees C, where it is hottest'),
    grouped: z.number().int().min(1).max(6).default(1).describe('circuits that lie together'),
    phases,
    voltageV: volts('of the supply'),
    maxDropPercent: z.number().gt(0).max(20).default(3).describe('%, most that may be lost'),
  }),
  output: z.object({
    size: gives('mm2 or AWG', 'of each live conductor'),
    ampacityA: gives('A', 'with the factors for heat and company'),
    dropPercent: gives('%', 'at the load, copper hot'),
    earthSize: gives('mm2 or AWG', 'of the protective conductor'),
  }),
  formula:
    'smallest size with load <= protection <= ampacity x factors, and k rho L I/A within the drop, rho = 0.0225 ohm mm2/m',
  source: 'IEC 60364-4-43 (load, protection, ampacity), IEC 60364-5-52 and 5-54; NEC 240.4(D), 310, 400.5',
  example: { loadA: 14.5, protectionA: 20, lengthM: 15, system: 'metric', method: 'C', phases: 1, voltageV: 230 },
  compute: ({
    loadA,
    protectionA,
    lengthM,
    system,
    method,
    ambientC,
    grouped,
    phases: count,
    voltageV,
    maxDropPercent,
  }) => {
    const table = cableTables[system]
    if (!table.methods.includes(method))
      return refuse('method', `must be one of ${table.methods.join(', ')} for ${system}`)
    if (protectionA < loadA)
      return refuse('protectionA', `must be at least loadA, ${loadA}: it would trip at full load`)
    const heat = table.ambient.find((a) => ambientC <= a.upToC)
    if (!heat)
      return refuse(
        'ambientC',
        `must be at most ${table.ambient[table.ambient.length - 1]?.upToC ?? 0}: hotter than that these cables are not laid`,
      )
    const factor = heat.factor * (groupingFactors[grouped] ?? 0)
    for (const { size, areaMm2, ampacityA } of table.sizes) {
      const carries = (ampacityA[method] ?? 0) * factor
      const dropPercent = (100 * dropAlong(loadA, lengthM, areaMm2, count, copper.hot)) / voltageV
      if (carries >= protectionA && dropPercent <= maxDropPercent)
        return { size, ampacityA: carries, dropPercent, earthSize: system === 'metric' ? earthFor(size) : size }
    }
    return refuse(
      'loadA',
      'needs a larger cable than the table holds: shorten the run, lay it cooler or alone, or have it designed',
    )
  },
})
