import { numberOf } from '../evaluate/figure'
import { set, sources } from '../plan'
import { amount, amps, say } from '../quantities'
import { judgement } from './finding'

/** Converter, transformer or generator between the wall and the drive. */
export const sourceFindings = [
  judgement('source.static-converter', 'survey', 'wall', ({ plan, source }) =>
    source.source === 'static-converter' && plan.supply.phases === 3
      ? {
          severity: 'stop',
          title: say`A static converter does not feed a drive`,
          says: say`It makes its third leg only while a motor starts on it; afterwards the drive stands on one phase, at a third of the rectifier.`,
          why: 'The drive trips on a lost phase, or its rectifier and capacitors wear out on the two legs that are left.',
          remedies:
            plan.drive.input === '3'
              ? []
              : [
                  {
                    label: say`Feed the drive from the wall’s one phase`,
                    patch: [set('supply.source', 'mains'), set('supply.phases', 1)],
                  },
                ],
          path: 'supply.source',
        }
      : undefined,
  ),

  judgement('source.made-leg', 'survey', 'wall', ({ plan, source }) =>
    source.source === 'rotary-converter'
      ? {
          severity: plan.drive.input === '1' ? 'watch' : 'note',
          title:
            plan.drive.input === '1'
              ? say`A one-phase drive behind a converter`
              : say`The made leg is for motors and drives only`,
          says:
            plan.drive.input === '1'
              ? say`A one-phase drive needs no converter; on one it must stand on the two legs of the wall.`
              : say`The leg that the idler makes never feeds a lamp, a contactor, a control transformer or any other one-phase load.`,
          why: 'The made leg’s volts wander with the load; what hangs on it alone burns or drops out.',
          ...(plan.drive.input === '1'
            ? {
                remedies: [
                  {
                    label: say`Stand it on the mains`,
                    patch: [set('supply.source', 'mains'), set('supply.phases', 1)],
                  },
                ],
              }
            : {}),
          path: 'supply.source',
        }
      : undefined,
  ),

  judgement('source.too-small', 'survey', 'wall', ({ source }) => {
    const [needed, has] = [numberOf(source.needed), numberOf(source.has)]
    if (needed === undefined || has === undefined || has >= needed * 0.99) return undefined
    const power = source.source === 'rotary-converter' ? ('power' as const) : ('apparentPower' as const)
    return {
      severity: source.source === 'transformer' ? 'stop' : 'watch',
      title: say`${sources[source.source].replace(/^An? /, 'The ')} is too small`,
      says: say`It has ${amount(power, has)}; for this drive it should have ${amount(power, needed)}.`,
      why:
        source.source === 'transformer'
          ? 'Rectifier current heats a transformer more than its amps say; too small, it burns behind a closed door.'
          : 'Too small, its volts sag and twist under load, and the drive trips on under-voltage or a lost phase.',
      figures: [power === 'power' ? 'supply.neededIdlerW' : 'supply.neededVA'],
      path: power === 'power' ? 'supply.sourceW' : 'supply.sourceVA',
    }
  }),

  judgement('source.wall-breaker', 'survey', 'wall', ({ plan, source }) => {
    const [takenA, breakerA] = [numberOf(source.wallA), plan.supply.wallBreakerA]
    if (takenA === undefined || breakerA === undefined || takenA <= breakerA) return undefined
    return {
      severity: 'stop',
      title: say`The wall behind it has too small a breaker`,
      says: say`At full load ${amps(takenA)} are taken from the wall; its breaker is ${amps(breakerA)}.`,
      why: 'Whatever stands between, the power comes from the wall, and its losses with it.',
      figures: ['supply.wallA'],
      path: 'supply.wallBreakerA',
    }
  }),
]
