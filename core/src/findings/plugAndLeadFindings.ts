import { numberOf } from '../facts/figure'
import { set } from '../plan'
import { amps, percent, message } from '../quantities'
import { judgement } from './finding'

/** Plug, socket and extension lead. */
export const plugAndLeadFindings = [
  judgement('plug-and-lead.plug', 'drive', 'wall', ({ plan, plugAndLead, drive, supply }) => {
    const [carriesA, inputA] = [numberOf(plugAndLead.plugA), numberOf(drive.inputA)]
    const wireIn = { label: message`Wire it in with an isolator instead`, patch: [set('supply.plugOrFixed', 'fixed')] }
    if (plugAndLead.plugPermitted === false && carriesA !== undefined && inputA !== undefined)
      return {
        severity: 'stop',
        about: 'overloaded',
        title: message`The plug and socket are too small`,
        says: message`They carry ${amps(carriesA)} for hours; the drive takes ${amps(inputA)}.`,
        why: 'A plug fails by heat, inside, where nobody sees it, long before the breaker does anything.',
        remedies: [wireIn],
        figures: ['supply.plugCarriesA', 'drive.inputA'],
        path: 'supply.plugA',
      }
    if (plugAndLead.plugProtected === false)
      return {
        severity: 'stop',
        about: 'unprotected',
        title: message`The breaker does not protect the plug`,
        says: message`The breaker lets ${amps(numberOf(supply.breakerA) ?? 0)} through; plug and socket are rated ${amps(plan.supply.plugA ?? 0)}.`,
        why: 'Load, then protection, then rating: the breaker must never be the largest of the three.',
        remedies: [wireIn],
        figures: ['supply.plugCarriesA'],
        path: 'supply.plugA',
      }
    return undefined
  }),

  judgement('plug-and-lead.extension', 'drive', 'wall', ({ plugAndLead, drive }) => {
    if (plugAndLead.extensionPermitted === undefined) return undefined
    const [carriesA, drop] = [numberOf(plugAndLead.extensionA) ?? 0, numberOf(plugAndLead.extensionDrop) ?? 0]
    const without = {
      label: message`Do without the extension lead`,
      patch: [
        set('supply.extensionM', undefined),
        set('supply.extensionMm2', undefined),
        set('supply.extensionCoiled', undefined),
      ],
    }
    return {
      severity: plugAndLead.extensionPermitted ? 'note' : 'stop',
      title: plugAndLead.extensionPermitted
        ? message`An extension lead is for the bench test`
        : message`The extension lead is too light`,
      says: message`As it lies it carries ${amps(carriesA)} and loses ${percent(drop)}; the drive takes ${amps(numberOf(drive.inputA) ?? 0)}.`,
      why: plugAndLead.extensionPermitted
        ? 'For good it is a trip hazard and one more pair of contacts to run hot: wire the machine in.'
        : 'The one-phase side carries far more amps than the motor’s. A light lead, worse when rolled up, burns.',
      remedies: [without],
      figures: ['supply.extensionA', 'supply.extensionDrop'],
      path: 'supply.extensionMm2',
    }
  }),
]
