import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { evaluate } from '../src/conversion/evaluate'
import { applyPatch, machineKinds, readPlan, set, type Job, type MachineKind } from '../src/plan'
import { commonJobs } from '../src/survey/commonJobs'
import { readJob } from '../src/survey/readJob'
import { soundPlan } from './mistakes'

const near = (n: number): unknown => expect.closeTo(n, 6)

describe('a job in one line', () => {
  test.each<[string, object, string?]>([
    ['drill 16 mm mild steel', { kind: 'drilling', diameterMm: 16, material: 'mild-steel' }],
    ['tap M8 brass', { kind: 'tapping', diameterMm: 8, pitchMm: 1.25, material: 'brass' }],
    ['hole saw 60 in plate', { kind: 'hole-saw', diameterMm: 60, material: 'mild-steel' }],
    ['turn 25 mm steel 0.2 feed', { kind: 'turning', diameterMm: 25, material: 'mild-steel', feedMm: 0.2 }],
    [
      'Turn 25mm stainless, feed 0.1, 1 mm deep',
      { kind: 'turning', diameterMm: 25, material: 'stainless', feedMm: 0.1, depthMm: 1 },
    ],
    [
      'mill 12 mm aluminum 4 flutes carbide',
      { kind: 'milling', diameterMm: 12, material: 'aluminium', teeth: 4, tool: 'carbide' },
    ],
    ['1/2" drill in cast iron', { kind: 'drilling', diameterMm: near(12.7), material: 'cast-iron' }],
    ['tap 1/4-20 aluminium', { kind: 'tapping', diameterMm: near(6.35), pitchMm: near(1.27), material: 'aluminium' }],
    ['3/8 UNC mild steel', { kind: 'tapping', diameterMm: near(9.525), pitchMm: near(1.5875), material: 'mild-steel' }],
    ['thread M20x1.5 steel', { kind: 'threading', diameterMm: 20, pitchMm: 1.5, material: 'mild-steel' }],
    [
      'face 200 mm cast iron carbide at 90 m/min',
      { kind: 'facing', diameterMm: 200, material: 'cast-iron', tool: 'carbide', surfaceSpeedMPerMin: 90 },
    ],
    ['drill 16 pilot 6 mild steel', { kind: 'drilling', diameterMm: 16, pilotMm: 6, material: 'mild-steel' }],
    ['part off 60 mm', { kind: 'turning', diameterMm: 60 }],
    ['ream 10 mm brass 300 rpm', { kind: 'reaming', diameterMm: 10, material: 'brass', speedRpm: 300 }],
    ['route 6 mm ply', { kind: 'routing', diameterMm: 6, material: 'wood' }],
    ['saw stainless all day', { kind: 'sawing', material: 'stainless', duty: 'all-day' }],
    ['polish 30 N m', { kind: 'polishing', torqueNm: 30 }],
    ['drill 5 mm unobtainium', { kind: 'drilling', diameterMm: 5 }, 'unobtainium'],
    [
      '3/4 endmill steel, 1/8 deep',
      { kind: 'milling', diameterMm: near(19.05), depthMm: near(3.175), material: 'mild-steel' },
    ],
    [
      'face mill 50 mm 4 teeth 2 deep 40 wide 0.1 per tooth',
      { kind: 'milling', diameterMm: 50, teeth: 4, depthMm: 2, widthMm: 40, feedMm: 0.1 },
    ],
    ['turn 304 stainless 40mm', { kind: 'turning', diameterMm: 40, material: 'stainless' }],
    ['drill #7', { kind: 'drilling' }, '#7'],
    ['make a thing', {}, 'make thing'],
  ])('%s', (text, job, rest = '') => {
    const read = readJob(text)
    expect([read.job, read.rest]).toEqual([{ ...job, name: text.slice(0, 60) }, rest])
  })
  test('bare sizes are in the shop’s own unit, and so is what is shown', () => {
    expect(readJob('drill 1/2 steel', 'imperial').job.diameterMm).toBeCloseTo(12.7, 6)
    expect(readJob('drill 12.7 steel', 'metric').understood.map((u) => u.shown.replace('\u00a0', ' '))).toContain(
      '12.7 mm',
    )
  })
  test('whatever is typed, the plan may hold what comes of it', () => {
    const parts = fc.constantFrom(
      'drill',
      'tap',
      'M8',
      '16',
      'mm',
      '"',
      '1/2',
      '-20',
      'steel',
      'feed',
      '0.2',
      'rpm',
      '999999',
      'teeth',
      'deep',
      '/',
      'x',
    )
    fc.assert(
      fc.property(
        fc.oneof(
          fc.array(parts, { maxLength: 9 }).map((p) => p.join(' ')),
          fc.string({ maxLength: 80 }),
        ),
        (text) => {
          const { job } = readJob(text)
          expect(readPlan(applyPatch(soundPlan(), [set('survey.jobs', [{ id: 'j', ...job }])])).ok).toBe(true)
        },
      ),
      { numRuns: 300 },
    )
  })
})

describe('common jobs of each kind of machine', () => {
  const all = (Object.keys(machineKinds) as MachineKind[]).flatMap((kind) =>
    commonJobs[kind].map((text) => [kind, text] as const),
  )
  test.each(all)('%s: %s is understood whole, and tells a speed', (_, text) => {
    const { job, rest } = readJob(text)
    expect([rest, job.kind === undefined]).toEqual(['', false])
    const sized: Job = { id: 'j', ...job, ...(job.diameterMm === undefined ? { diameterMm: 300 } : {}) }
    const { jobs, figures } = evaluate(applyPatch(soundPlan(), [set('survey.jobs', [sized])]))
    expect(figures[jobs[0]?.wantedRpm ?? 'motor.torque']).toMatchObject({ restsOnTypical: true })
  })
})
