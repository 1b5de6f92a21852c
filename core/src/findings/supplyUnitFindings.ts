import { numberOf } from '../facts/figure'
import { set, supplyUnits } from '../plan'
import { amount, amps, message } from '../quantities'
import { judgement } from './finding'

/** Converter, transformer or generator between the wall and the drive. */
export const supplyUnitFindings = [
  judgement('supply-unit.static-converter', 'survey', 'wall', ({ plan, supplyUnit }) =>
    supplyUnit.kind === 'static-converter' && plan.supply.phases === 3
      ? {
          severity: 'stop',
          title: message`A static converter does not feed a drive`,
          says: message`It makes its third leg only while a motor starts on it; afterwards the drive stands on one phase, at a third of the rectifier.`,
          why: 'The drive trips on a lost phase, or its rectifier and capacitors wear out on the two legs that are left.',
          remedies:
            plan.drive.input === '3'
              ? []
              : [
                  {
                    label: message`Feed the drive from the wall’s one phase`,
                    patch: [set('supply.supplyUnit', 'mains'), set('supply.phases', 1)],
                  },
                ],
          path: 'supply.supplyUnit',
        }
      : undefined,
  ),

  judgement('supply-unit.made-leg', 'survey', 'wall', ({ plan, supplyUnit }) =>
    supplyUnit.kind === 'rotary-converter'
      ? {
          severity: plan.drive.input === '1' ? 'watch' : 'note',
          title:
            plan.drive.input === '1'
              ? message`A one-phase drive behind a converter`
              : message`The made leg is for motors and drives only`,
          says:
            plan.drive.input === '1'
              ? message`A one-phase drive needs no converter; on one it must stand on the two legs of the wall.`
              : message`The leg that the idler makes never feeds a lamp, a contactor, a control transformer or any other one-phase load.`,
          why: 'The made leg’s volts wander with the load; what hangs on it alone burns or drops out.',
          ...(plan.drive.input === '1'
            ? {
                remedies: [
                  {
                    label: message`Stand it on the mains`,
                    patch: [set('supply.supplyUnit', 'mains'), set('supply.phases', 1)],
                  },
                ],
              }
            : {}),
          path: 'supply.supplyUnit',
        }
      : undefined,
  ),

  judgement('supply-unit.too-small', 'survey', 'wall', ({ supplyUnit }) => {
    const [needed, has] = [numberOf(supplyUnit.needed), numberOf(supplyUnit.has)]
    if (needed === undefined || has === undefined || has >= needed * 0.99) return undefined
    const power = supplyUnit.kind === 'rotary-converter' ? ('power' as const) : ('apparentPower' as const)
    return {
      severity: supplyUnit.kind === 'transformer' ? 'stop' : 'watch',
      title: message`${supplyUnits[supplyUnit.kind].replace(/^An? /, 'The ')} is too small`,
      says: message`It has ${amount(power, has)}; for this drive it should have ${amount(power, needed)}.`,
      why:
        supplyUnit.kind === 'transformer'
          ? 'Rectifier current heats a transformer more than its amps say; too small, it burns behind a closed door.'
          : 'Too small, its volts sag and twist under load, and the drive trips on under-voltage or a lost phase.',
      figures: [power === 'power' ? 'supply.neededIdlerW' : 'supply.neededVA'],
      path: power === 'power' ? 'supply.supplyUnitW' : 'supply.supplyUnitVA',
    }
  }),

  judgement('supply-unit.wall-breaker', 'survey', 'wall', ({ plan, supplyUnit }) => {
    const [takenA, breakerA] = [numberOf(supplyUnit.wallA), plan.supply.wallBreakerA]
    if (takenA === undefined || breakerA === undefined || takenA <= breakerA) return undefined
    return {
      severity: 'stop',
      title: message`The wall behind it has too small a breaker`,
      says: message`At full load ${amps(takenA)} are taken from the wall; its breaker is ${amps(breakerA)}.`,
      why: 'Whatever stands between, the power comes from the wall, and its losses with it.',
      figures: ['supply.wallA'],
      path: 'supply.wallBreakerA',
    }
  }),
]
