import { describe, expect, test } from '@jest/globals'
import { readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { beltGrooves, grooveAngleDeg } from '../src/data/beltGrooves'
import { ribProfiles, toothPitches } from '../src/data/beltPitches'
import { beltMasses } from '../src/data/beltMasses'
import { beltSections } from '../src/data/beltSections'
import { boxTransmittance } from '../src/data/boxTransmittance'
import { cableTables } from '../src/data/cableTables'
import { cordAmpacity } from '../src/data/cordAmpacity'
import { densities } from '../src/data/densities'
import { DOUBLER_MOST_V } from '../src/data/doubler'
import { fluxLimits } from '../src/data/fluxLimits'
import { frameCaution, frameSize } from '../src/data/frameSizes'
import { typicalMotorEfficiency } from '../src/data/motorEfficiency'
import { keyFor } from '../src/data/parallelKeys'
import { planningValues } from '../src/data/planningValues'
import { preferredDiameters } from '../src/data/preferredDiameters'
import { preferredOhms } from '../src/data/preferredOhms'
import { protectionRatings } from '../src/data/protectionRatings'
import { rotorInertia } from '../src/data/rotorInertia'
import { safeOperatingSpeeds } from '../src/data/safeOperatingSpeeds'
import { shaftFanCurve } from '../src/data/shaftFanCurve'
import { tableSources } from '../src/data/tableSources'
import { terminalConnections } from '../src/data/terminalConnections'
import { threadPitches } from '../src/data/threadPitches'
import { drillFeed, rimSpeeds, workMaterials } from '../src/data/workMaterials'
import { beltPower } from '../src/drivetrain'
import { frameHeightMm } from '../src/motor'
import { evaluate } from '../src/conversion/evaluate'
import { typicalSpeeds } from '../src/facts/spindle/jobCut'
import { set, type Job } from '../src/plan'
import { spoiled } from './mistakes'

describe('tables', () => {
  test('efficiency by size and poles, between its entries on a straight line over the logarithm', () => {
    expect([120, 370, 1500, 15_000].map((w) => typicalMotorEfficiency(w))).toEqual([0.5, 0.66, 0.772, 0.887])
    expect([2, 6, 8].map((p) => Math.round(1000 * typicalMotorEfficiency(550, p)))).toEqual([690, 658, 561])
    expect(typicalMotorEfficiency(640)).toBeGreaterThan(0.7)
    expect(typicalMotorEfficiency(640)).toBeLessThan(0.721)
    expect([50, 30_000].map((w) => typicalMotorEfficiency(w))).toEqual([0.5, 0.887])
  })
  test('the feed of a twist drill by its size and what it drills', () => {
    expect([2, 5, 10, 25].map((d) => drillFeed(d, 'mild-steel'))).toEqual([0.04, 0.1, 0.18, 0.32])
    expect(drillFeed(4, 'mild-steel')).toBeCloseTo(0.08, 9)
    expect([1, 40].map((d) => drillFeed(d, 'carbon-steel'))).toEqual([0.04, 0.32])
    expect(drillFeed(10, 'brass')).toBeCloseTo(0.252, 9)
    expect(drillFeed(10, 'stainless')).toBeCloseTo(0.126, 9)
  })
  test('speeds of blades and routers by what is cut; nothing for what the table does not hold', () => {
    const range = (kind: Job['kind'], material?: Job['material']) =>
      typicalSpeeds({ id: 'j', kind, ...(material ? { material } : {}) })?.range
    expect([range('sawing', 'mild-steel'), range('sawing', 'stainless'), range('sawing', 'wood')]).toEqual([
      [25, 60],
      [15, 35],
      [600, 1800],
    ])
    expect([range('routing'), range('routing', 'aluminium')]).toEqual([
      [300, 3000],
      [150, 500],
    ])
    expect([range('sawing'), range('sawing', 'plastic'), range('routing', 'mild-steel')]).toEqual([
      undefined,
      undefined,
      undefined,
    ])
  })
})

describe('torque from what a person knows', () => {
  const asked = (job: Partial<Job>) => {
    const { figures, jobs } = evaluate(spoiled(set('survey.jobs', [{ id: 'j', ...job }])))
    const id = jobs[0]?.torqueNm
    return id === undefined ? undefined : figures[id]
  }
  test('of a drill by its size and material: as with the feed of the table typed, and said to be typical', () => {
    const drill = { kind: 'drilling', material: 'mild-steel', diameterMm: 16 } as const
    expect(asked(drill)?.value).toBeCloseTo(asked({ ...drill, feedMm: 0.25 })?.value ?? 0, 9)
    expect(asked(drill)?.restsOnTypical).toBe(true)
    expect(asked({ kind: 'drilling', diameterMm: 16 })).toBeUndefined()
  })
  test('of a hole saw by its size: kerf and feed of the table, twice the formula', () => {
    const saw = { kind: 'hole-saw', material: 'mild-steel', diameterMm: 60, feedMm: 0.05, widthMm: 2 } as const
    const alone = asked({ kind: 'hole-saw', material: 'mild-steel', diameterMm: 60 })?.value
    expect(alone).toBeCloseTo(asked(saw)?.value ?? 0, 9)
    // A hole saw is not a drill: kc f b Dm / 2000 with b its kerf, here twice.
    const kc = 1990 * 0.05 ** -0.26
    expect(alone).toBeCloseTo((2 * kc * 0.05 * 2 * 58) / 2000, 1)
  })
  test('of a tap: twice the formula', () => {
    const tap = { kind: 'tapping', material: 'mild-steel', diameterMm: 10, pitchMm: 1.5 } as const
    const kc = 1990 * 1.5 ** -0.26
    expect(asked(tap)?.value).toBeCloseTo((2 * kc * 1.5 ** 2 * 10) / 8000, 1)
  })
})

describe('every table', () => {
  const files = readdirSync(fileURLToPath(new URL('../src/data/', import.meta.url)))
    .map((file) => file.replace('.ts', ''))
    // How a belt is measured by any of them, and the sources themselves.
    .filter((file) => !['beltProfile', 'tableSources'].includes(file))
  test('has its source, its edition and its tolerance', () => {
    expect(Object.keys(tableSources).sort()).toEqual(files.sort())
    for (const { source, edition, tolerance } of Object.values(tableSources)) {
      expect(edition).toMatch(/\d{4}/)
      expect(Math.min(source.length, tolerance.length)).toBeGreaterThan(5)
    }
  })
  /** Three entries of each, as they stand in their sources. */
  const entries: Record<string, [unknown, unknown][]> = {
    beltGrooves: [
      [beltGrooves.grooves.a.datumMm, 11],
      [beltGrooves.grooves.b.belowMm, 10.8],
      [grooveAngleDeg(beltGrooves.grooves.spz, 63), 34],
    ],
    beltMasses: [
      [beltMasses.kgPerM.a, 0.105],
      [beltMasses.kgPerM.c, 0.3],
      [beltMasses.kgPerM.spz, 0.07],
    ],
    beltPitches: [
      [toothPitches.pitches['tooth-xl'].pitchMm, 5.08],
      [toothPitches.pitches['tooth-h'].pitchMm, 12.7],
      [ribProfiles.profiles['rib-j'].ribMm, 2.34],
    ],
    beltSections: [
      [beltSections.sections.a.topMm, 13],
      [beltSections.sections.c.smallestMm, 200],
      [
        [beltSections.sections.spa.lengthsMm[0], beltSections.sections.spa.lengthsMm.at(-1)],
        [800, 4500],
      ],
    ],
    beltStrength: [
      [rated('a', 90, 1420), 1.06],
      [rated('c', 200, 1420), 5.77],
      [rated('spz', 63, 2850), 1],
    ],
    boxTransmittance: [
      [boxTransmittance.steel, 5.5],
      [boxTransmittance.plastic, 3.5],
      [boxTransmittance['bare-metal'], 3.5],
    ],
    cableTables: [
      [cableTables.metric.sizes.find((s) => s.areaMm2 === 2.5)?.ampacityA.C, [27, 24]],
      [cableTables.metric.sizes.find((s) => s.areaMm2 === 4)?.ampacityA.B2, [30, 27]],
      [cableTables.metric.sizes.find((s) => s.areaMm2 === 1.5)?.ampacityA.A2, [14, 13]],
    ],
    cordAmpacity: [
      [cordAmpacity.rows.find((r) => r.areaMm2 === 0.75)?.two, 6],
      [cordAmpacity.rows.find((r) => r.areaMm2 === 1.5)?.two, 16],
      [cordAmpacity.rows.find((r) => r.areaMm2 === 4)?.three, 25],
    ],
    densities: [
      [densities.kgM3.steel, 7850],
      [densities.kgM3.iron, 7200],
      [densities.kgM3.aluminium, 2700],
    ],
    doubler: [
      // A twentieth over the 127 V that it is nominally made for, and far under any other wall.
      [DOUBLER_MOST_V, 132],
      [Math.floor(127 * 1.04), DOUBLER_MOST_V],
      [Math.sign(195 - DOUBLER_MOST_V), 1],
    ],
    fluxLimits: [
      [fluxLimits.weak, 0.9],
      [fluxLimits.warm, 1.05],
      [fluxLimits.burns, 1.1],
    ],
    frameSizes: [
      [frameSize('90L')?.shaftMm, 24],
      [frameSize('254U')?.shaftMm, 1.375 * 25.4],
      [frameSize('145T')?.footAlongMm, 5 * 25.4],
    ],
    motorEfficiency: [
      [typicalMotorEfficiency(1500), 0.772],
      [typicalMotorEfficiency(120), 0.5],
      [typicalMotorEfficiency(550, 8), 0.561],
    ],
    parallelKeys: [
      [keyFor(24)?.widthMm, 8],
      [keyFor(0.875 * 25.4)?.widthMm, 0.1875 * 25.4],
      [keyFor(1.125 * 25.4)?.widthMm, 0.25 * 25.4],
    ],
    planningValues: [
      [planningValues.truePowerFactorSinglePhase.value, 0.6],
      [planningValues.truePowerFactorDoubler.value, 0.55],
      [planningValues.singlePhaseFactor.value, 0.43],
    ],
    preferredDiameters: [
      [preferredDiameters.mm[0], 50],
      [preferredDiameters.mm.includes(224), true],
      [preferredDiameters.mm.at(-1), 400],
    ],
    protectionRatings: [
      [protectionRatings.iec.ratingsA.includes(13), true],
      [protectionRatings.iec.ratingsA.at(-1), 63],
      [protectionRatings.nec.ratingsA.at(-1), 60],
    ],
    rotorInertia: [
      [rotorInertia.fourPole.find(([mm]) => mm === 90)?.[1], 0.003],
      [rotorInertia.fourPole.find(([mm]) => mm === 132)?.[1], 0.03],
      [rotorInertia.twoPoleShare, 0.6],
    ],
    preferredOhms: [
      [preferredOhms[0], 0.1],
      [preferredOhms.find((r) => r >= 1900), 2200],
      [preferredOhms.at(-1), 820_000],
    ],
    safeOperatingSpeeds: [
      [safeOperatingSpeeds.rows[0]?.maximumRpmByPoles[2], 5200],
      [safeOperatingSpeeds.rows[1]?.maximumRpmByPoles[4], 2700],
      [safeOperatingSpeeds.unread.maximumRpmByPoles[4], 2700],
    ],
    shaftFanCurve: [
      [shaftFanCurve.points.find((p) => p.frequencyFraction === 0.1)?.torqueFraction, 0.5],
      [shaftFanCurve.points.find((p) => p.frequencyFraction === 0.5)?.torqueFraction, 0.87],
      [shaftFanCurve.points.find((p) => p.frequencyFraction === 1)?.torqueFraction, 1],
    ],
    terminalConnections: [
      [terminalConnections['9-star']?.['low']?.joined[0], [1, 7]],
      [terminalConnections['9-delta']?.['low']?.joined[0], [1, 6, 7]],
      [terminalConnections['6']?.['star']?.joined, [[6, 4, 5]]],
    ],
    threadPitches: [
      [threadPitches.metric.find(([d]) => d === 8)?.[1], 1.25],
      [threadPitches.metric.find(([d]) => d === 20)?.[1], 2.5],
      [threadPitches.inch.find(([name]) => name === '1/2')?.[2], 13],
    ],
    workMaterials: [
      [workMaterials['mild-steel'].kc11, 1990],
      [drillFeed(10, 'mild-steel'), 0.18],
      [rimSpeeds.sawing['mild-steel'], [25, 60]],
    ],
  }
  test('has three of its entries looked up', () => {
    expect(Object.keys(entries).sort()).toEqual(Object.keys(tableSources).sort())
  })
  test.each(Object.entries(entries))('%s', (_, looked) => {
    expect(looked).toHaveLength(3)
    for (const [found, stands] of looked) expect(found).toEqual(stands)
  })
})

/** kW of one belt at half a turn, to the hundredth. */
function rated(section: 'a' | 'c' | 'spz', diameterMm: number, speedRpm: number): number | undefined {
  const made = beltPower.run({ section, diameterMm, speedRpm, wrapSmallDeg: 180 })
  return made.ok ? Math.round(made.value.beltW / 10) / 100 : undefined
}

describe('frames whose name is not the whole of it', () => {
  test('56 alone asks which; told, it has its height', () => {
    expect([frameHeightMm('56'), frameHeightMm('IEC 56')]).toEqual([undefined, 56])
    expect(frameHeightMm('56 NEMA')).toBeCloseTo(88.9, 6)
    const [finding] = evaluate(spoiled(set('motor.frame', '56'))).findings.filter((f) => f.id === 'motor.frame-unread')
    expect(finding?.remedies.map((r) => r.patch[0]?.value)).toEqual(['NEMA 56', 'IEC 56'])
    expect(frameSize('NEMA 56')?.shaftMm).toBeCloseTo(0.625 * 25.4)
  })
  test('a threaded or footless frame is told, and no shaft is made of it', () => {
    expect([frameCaution('56J'), frameCaution('56C'), frameCaution('56H')]).toEqual([
      expect.stringContaining('thread'),
      expect.stringContaining('without feet'),
      undefined,
    ])
    expect(frameSize('56J')).toBeUndefined()
  })
  test('a U frame has the shaft of its time', () => {
    expect([frameHeightMm('224'), frameSize('184U')?.shaftMm]).toEqual([5.5 * 25.4, 0.875 * 25.4])
  })
})
