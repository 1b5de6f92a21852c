import { numberOf } from '../evaluate/figure'
import { set } from '../plan'
import { amps, percent, say } from '../quantities'
import { judgement } from './finding'

/** Plug, socket and extension lead. */
export const joiningFindings = [
  judgement('joining.plug', 'drive', 'wall', ({ plan, joining, drive, supply }) => {
    const [carriesA, inputA] = [numberOf(joining.plugA), numberOf(drive.inputA)]
    const wireIn = { label: say`Wire it in with an isolator instead`, patch: [set('supply.joining', 'fixed')] }
    if (joining.plugPermitted === false && carriesA !== undefined && inputA !== undefined)
      return {
        severity: 'stop',
        about: 'overloaded',
        title: say`The plug and socket are too small`,
        says: say`They carry ${amps(carriesA)} for hours; the drive takes ${amps(inputA)}.`,
        why: 'A plug fails by heat, inside, where nobody sees it, long before the breaker does anything.',
        remedies: [wireIn],
        figures: ['supply.plugCarriesA', 'drive.inputA'],
        path: 'supply.plugA',
      }
    if (joining.plugProtected === false)
      return {
        severity: 'stop',
        about: 'unprotected',
        title: say`The breaker does not protect the plug`,
        says: say`The breaker lets ${amps(numberOf(supply.breakerA) ?? 0)} through; plug and socket are rated ${amps(plan.supply.plugA ?? 0)}.`,
        why: 'Load, then protection, then rating: the breaker must never be the largest of the three.',
        remedies: [wireIn],
        figures: ['supply.plugCarriesA'],
        path: 'supply.plugA',
      }
    return undefined
  }),

  judgement('joining.extension', 'drive', 'wall', ({ joining, drive }) => {
    if (joining.extensionPermitted === undefined) return undefined
    const [carriesA, drop] = [numberOf(joining.extensionA) ?? 0, numberOf(joining.extensionDrop) ?? 0]
    const without = {
      label: say`Do without the extension lead`,
      patch: [
        set('supply.extensionM', undefined),
        set('supply.extensionMm2', undefined),
        set('supply.extensionCoiled', undefined),
      ],
    }
    return {
      severity: joining.extensionPermitted ? 'note' : 'stop',
      title: joining.extensionPermitted
        ? say`An extension lead is for the bench test`
        : say`The extension lead is too light`,
      says: say`As it lies it carries ${amps(carriesA)} and loses ${percent(drop)}; the drive takes ${amps(numberOf(drive.inputA) ?? 0)}.`,
      why: joining.extensionPermitted
        ? 'For good it is a trip hazard and one more pair of contacts to run hot: wire the machine in.'
        : 'The one-phase side carries far more amps than the motor’s. A light lead, worse when rolled up, burns.',
      remedies: [without],
      figures: ['supply.extensionA', 'supply.extensionDrop'],
      path: 'supply.extensionMm2',
    }
  }),
]
