import { z } from 'zod'
import { cableTables, copper, groupingFactor } from '../data/cableTables'
import { ampsInput, phasesInput, voltsInput } from '../rules/inputs'
import { gaugeArea } from '../quantities'
import { refuse, rule } from '../rules/rule'
import { dropAlong } from './voltageDrop'

/** Protective conductor for a line conductor: equal to 16 mm2, 16 to 35, then half (IEC 60364-5-54). */
const earthFor = (size: number): number => (size <= 16 ? size : size <= 35 ? 16 : size / 2)

/** Conductors of a drive over its rated input (NEC 430.122). */
const CONTINUOUS = 1.25

/** The smallest cable that its protection protects and that does not drop too much. */
export const cable = rule({
  id: 'supply.cable',
  input: z.strictObject({
    loadA: ampsInput,
    protectionA: ampsInput,
    lengthM: z.number().gt(0).max(10_000),
    system: z.enum(['metric', 'awg']),
    method: z.enum(['C', 'B2', 'A2', 'conduit', 'cord']),
    ambientC: z.number().min(-20).max(60).default(30),
    grouped: z.number().int().min(1).max(6).default(1),
    phases: phasesInput,
    voltageV: voltsInput,
    maxDropPercent: z.number().gt(0).max(20).default(3),
  }),
  output: z.object({
    size: z.number(),
    areaMm2: z.number(),
    ampacityA: z.number(),
    dropPercent: z.number(),
    dropFraction: z.number(),
    earthSize: z.number(),
  }),
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
    const loaded = count === 3 ? 3 : 2
    const factor = heat.factor * groupingFactor(system, grouped, loaded)
    // NEC sizes the conductors of a drive by its input, whatever breaker is there.
    const mustCarryA = system === 'awg' ? Math.max(protectionA, CONTINUOUS * loadA) : protectionA
    for (const { size, areaMm2, ampacityA } of table.sizes) {
      const carries = (ampacityA[method]?.[loaded - 2] ?? 0) * factor
      const dropPercent = (100 * dropAlong(loadA, lengthM, areaMm2, count, copper.hot)) / voltageV
      if (carries >= mustCarryA && dropPercent <= maxDropPercent)
        return {
          size,
          areaMm2: system === 'metric' ? size : gaugeArea(size),
          ampacityA: carries,
          dropPercent,
          dropFraction: dropPercent / 100,
          earthSize: system === 'metric' ? earthFor(size) : size,
        }
    }
    return refuse(
      'loadA',
      'needs a larger cable than the table holds: shorten the run, lay it cooler or alone, or have it designed',
    )
  },
})
