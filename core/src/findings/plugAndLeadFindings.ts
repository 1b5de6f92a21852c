import { doesNotApply, good, isUnjudged, lacks, need } from './answer'
import { numberOf } from '../facts/figure'
import { set } from '../plan'
import { amps, percent, message } from '../quantities'
import { judgement } from './finding'

/** Plug, socket and extension lead. */
export const plugAndLeadFindings = [
  judgement(
    {
      id: 'plug-and-lead.plug',
      asks: 'Plug and socket',
      stage: 'drive',
      chainLink: 'wall',
      by: 'first-power',
      danger: true,
    },
    ({ plan, plugAndLead, drive, supply }) => {
      if (plan.supply.plugOrFixed === undefined) return lacks('supply.plugOrFixed')
      if (plan.supply.plugOrFixed === 'fixed' || !plugAndLead.plugA) return doesNotApply('The drive is wired in')
      const known = need(plugAndLead.plugA, drive.inputA)
      if (isUnjudged(known)) return known
      const [carriesA, inputA] = known
      const wireIn = {
        label: message`Wire it in with an isolator instead`,
        patch: [set('supply.plugOrFixed', 'fixed')],
        mains: true,
      }
      if (plugAndLead.plugPermitted === false)
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
      if (plugAndLead.plugProtected === undefined) return lacks('supply.breakerA')
      return good(message`${amps(inputA)} through plug and socket that carry ${amps(carriesA)} for hours.`, {
        figures: ['supply.plugCarriesA'],
      })
    },
  ),

  judgement(
    {
      id: 'plug-and-lead.extension',
      asks: 'Extension lead',
      stage: 'drive',
      chainLink: 'wall',
      by: 'first-power',
      danger: true,
    },
    ({ plugAndLead, drive }) => {
      if (!plugAndLead.extensionA || !plugAndLead.extensionDrop) return doesNotApply('No extension lead')
      if (plugAndLead.extensionPermitted === undefined) {
        const known = need(plugAndLead.extensionA, drive.inputA)
        return isUnjudged(known) ? known : lacks('supply.extensionMm2')
      }
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
    },
  ),
]
