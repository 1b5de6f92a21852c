import { describe, expect, test } from '@jest/globals'
import { evaluate } from '../src/conversion/evaluate'
import { causes } from '../src/findings/causes'
import { judgements } from '../src/findings/judge'
import { wiringJudgements } from '../src/findings/wiring'
import { mistakes, spoiled } from './mistakes'

/** Stops that a mistake of the list makes beside its own, because it is two mistakes. */
const twoMistakes: Record<string, string[]> = {
  // Other live conductors want another earth-leakage device than the one that is there.
  'motor.flux/over': ['supply.earth-leakage/blind'],
  'supply-unit.static-converter': ['supply.earth-leakage/blind'],
  'wall.doubler': ['supply.earth-leakage/blind'],
  // A threaded nose runs in reverse too, as the sound plan does on its cam-lock.
  'spindle.other-way': ['controls.threaded-nose-reverse/four-jaw'],
  'controls.threaded-nose-stop/chuck': ['controls.threaded-nose-reverse/chuck'],
  'controls.quick-ramp-thread/four-jaw': ['controls.threaded-nose-reverse/four-jaw'],
  'controls.jog-thread/four-jaw': ['controls.threaded-nose-reverse/four-jaw'],
  'controls.run-while-turning': ['controls.threaded-nose-reverse/four-jaw'],
  'controls.ride-through': ['controls.threaded-nose-reverse/four-jaw'],
}

test('causes and consequences are judgements, and no consequence is a cause of its cause', () => {
  const ids = new Set<string>([...judgements, ...wiringJudgements].map((j) => j.id))
  for (const [consequence, firsts] of Object.entries(causes))
    for (const id of [consequence, ...firsts]) {
      expect([id, ids.has(id)]).toEqual([id, true])
      if (id !== consequence) expect(causes[id] ?? []).not.toContain(consequence)
    }
})

describe('one mistake is one stop; what follows from it hangs under it', () => {
  test.each(mistakes.filter(([, severity]) => severity === 'stop'))('%s', (id, _, patch) => {
    const { findings } = evaluate(spoiled(...patch))
    const own = (found: string) => found === id || found.startsWith(`${id}/`)
    const others = findings.filter((f) => f.severity === 'stop' && f.follows === undefined && !own(f.id))
    const known = Object.entries(twoMistakes).find(([key]) => key === id)?.[1] ?? []
    // Its own finding may itself hang under the cause.
    const cause = findings.find((f) => own(f.id))?.follows
    expect(others.map((f) => f.id).filter((found) => !known.includes(found) && found !== cause)).toEqual([])
  })
  test('what hangs under another names one that was found, and never goes round', () => {
    for (const [, , patch] of mistakes) {
      const { findings } = evaluate(spoiled(...patch))
      for (const finding of findings) {
        const seen = new Set<string>()
        for (let at = finding; at.follows !== undefined;) {
          expect(seen.has(at.id)).toBe(false)
          seen.add(at.id)
          const next = findings.find((f) => f.id === at.follows)
          expect(next).toBeDefined()
          if (!next) break
          at = next
        }
      }
    }
  })
})
