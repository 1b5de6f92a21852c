import { doesNotApply, good, isUnjudged, lacks, need, typed } from './answer'
import { set, supplyUnits } from '../plan'
import { amount, amps, message } from '../quantities'
import { judgement } from './finding'

/** Converter, transformer or generator between the wall and the drive. */
export const supplyUnitFindings = [
  judgement(
    {
      id: 'supply-unit.static-converter',
      asks: 'What feeds the drive',
      stage: 'survey',
      chainLink: 'wall',
      by: 'buying',
      danger: true,
    },
    ({ plan, supplyUnit }) =>
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
                      mains: true,
                    },
                  ],
            path: 'supply.supplyUnit',
          }
        : supplyUnit.kind === 'static-converter' && plan.supply.phases === undefined
          ? lacks('supply.phases')
          : plan.supply.supplyUnit === undefined
            ? doesNotApply('Nothing is said to stand between wall and drive')
            : good(message`${supplyUnits[supplyUnit.kind]} feeds it.`),
  ),

  judgement(
    { id: 'supply-unit.made-leg', asks: 'The made leg', stage: 'survey', chainLink: 'wall', by: 'first-power' },
    ({ plan, supplyUnit }) =>
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
                      mains: true,
                    },
                  ],
                }
              : {}),
            path: 'supply.supplyUnit',
          }
        : doesNotApply('No rotary converter makes a leg here'),
  ),

  judgement(
    {
      id: 'supply-unit.too-small',
      asks: 'Size of converter, transformer or generator',
      stage: 'survey',
      chainLink: 'wall',
      by: 'buying',
      danger: true,
    },
    ({ supplyUnit }) => {
      if (!supplyUnit.needed || !supplyUnit.has)
        return doesNotApply('Neither converter, transformer nor generator that could feed a drive stands between')
      const known = need(supplyUnit.needed, supplyUnit.has)
      if (isUnjudged(known)) return known
      const [needed, has] = known
      const power = supplyUnit.kind === 'rotary-converter' ? ('power' as const) : ('apparentPower' as const)
      if (has >= needed * 0.99) return good(message`${amount(power, has)} where ${amount(power, needed)} is wanted.`)
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
    },
  ),

  judgement(
    {
      id: 'supply-unit.transformer',
      asks: 'Transformer’s own earth and protection',
      stage: 'drive',
      chainLink: 'wall',
      by: 'first-power',
      danger: true,
    },
    ({ plan, supplyUnit, supply }) => {
      if (supplyUnit.kind !== 'transformer') return doesNotApply('No transformer stands between')
      const known = need(typed('supply.earthing', plan.supply.earthing), supply.breakerA)
      if (isUnjudged(known)) return known
      const [earthing, breakerA] = known
      if (earthing !== 'unbonded' && earthing !== 'floating')
        return good(message`One point of its winding is earthed, and a breaker of ${amps(breakerA)} stands behind it.`)
      return {
        severity: 'stop',
        title: message`The transformer’s output is earthed nowhere`,
        says: message`One point of the winding that feeds the drive must be bonded to earth, once, at the transformer.`,
        why: 'Without it the first fault to the frame trips nothing, and the whole machine may stand at line volts; a drive’s filter and varistors stand against volts that they are not made for.',
        remedies: [
          {
            label: message`One point is bonded to earth`,
            patch: [set('supply.earthing', 'earthed')],
            mains: true,
          },
        ],
        path: 'supply.earthing',
      }
    },
  ),

  judgement(
    {
      id: 'supply-unit.wall-breaker',
      asks: 'Breaker behind converter or transformer',
      stage: 'survey',
      chainLink: 'wall',
      by: 'first-power',
      danger: true,
    },
    ({ plan, supplyUnit }) => {
      if (!supplyUnit.wallA) return doesNotApply('No converter or transformer stands between')
      const known = need(supplyUnit.wallA, typed('supply.wallBreakerA', plan.supply.wallBreakerA))
      if (isUnjudged(known)) return known
      const [takenA, breakerA] = known
      if (takenA <= breakerA)
        return good(message`${amps(takenA)} from the wall on a breaker of ${amps(breakerA)}.`, {
          figures: ['supply.wallA'],
        })
      return {
        severity: 'stop',
        title: message`The wall behind it has too small a breaker`,
        says: message`At full load ${amps(takenA)} are taken from the wall; its breaker is ${amps(breakerA)}.`,
        why: 'Whatever stands between, the power comes from the wall, and its losses with it.',
        figures: ['supply.wallA'],
        path: 'supply.wallBreakerA',
      }
    },
  ),
]
