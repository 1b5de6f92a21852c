import { doesNotApply, good, isUnjudged, lacks, need, waitsFor } from './answer'
import { numberOf } from '../facts/figure'
import { set } from '../plan'
import { amps, percent, message } from '../quantities'
import { judgement } from './finding'

/** Amps of a household plug for hours, and the most that one is made for. */
const HOUSEHOLD_A = 10
const HOUSEHOLD_PLUG_A = 16

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
    ({ plan, plugAndLead, branchCircuit }) => {
      if (plan.supply.plugOrFixed === undefined) return lacks('supply.plugOrFixed')
      if (plan.supply.plugOrFixed === 'fixed' || !plugAndLead.plugA) return doesNotApply('The drive is wired in')
      const known = need(plugAndLead.plugA, plugAndLead.loadA)
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
          figures: ['supply.plugCarriesA', plugAndLead.loadA.id],
          path: 'supply.plugA',
        }
      const { plugA = 0, plugFused, plugKind } = plan.supply
      // A fuse in the plug protects it; NEC lets several outlets of 15 A stand on 20 A.
      const allowed =
        plugFused === true ||
        (branchCircuit.region === 'nec' && plugA === 15 && (numberOf(plugAndLead.breakerA) ?? Infinity) <= 20)
      const isProtected = allowed || plugAndLead.plugProtected
      if (isProtected === false)
        return {
          severity: 'stop',
          about: 'unprotected',
          title: message`The breaker does not protect the plug`,
          says: message`The breaker lets ${amps(numberOf(plugAndLead.breakerA) ?? 0)} through; plug and socket are rated ${amps(plan.supply.plugA ?? 0)}.`,
          why: 'Load, then protection, then rating: the breaker must never be the largest of the three.',
          remedies: [wireIn],
          figures: ['supply.plugCarriesA'],
          path: 'supply.plugA',
        }
      if (isProtected === undefined) return waitsFor(plugAndLead.breakerA)
      const heavy = branchCircuit.region !== 'nec' && inputA > HOUSEHOLD_A
      if (heavy && plugKind === undefined && plugA <= HOUSEHOLD_PLUG_A) return lacks('supply.plugKind')
      if (heavy && plugKind === 'household')
        return {
          severity: 'watch',
          about: 'household',
          title: message`A household plug for hours`,
          says: message`The drive takes ${amps(inputA)} at full load; household plugs and sockets run hot over ${amps(HOUSEHOLD_A)} for hours.`,
          why: 'They are rated for an evening’s heater in a good socket, not for a machine in an old one. An industrial plug, or wired in.',
          remedies: [wireIn],
          figures: ['supply.plugCarriesA', plugAndLead.loadA.id],
          path: 'supply.plugKind',
        }
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
    ({ plugAndLead }) => {
      if (!plugAndLead.extensionA || !plugAndLead.extensionDrop) return doesNotApply('No extension lead')
      if (plugAndLead.extensionPermitted === undefined) {
        const known = need(plugAndLead.extensionA, plugAndLead.loadA)
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
      const breakerA = numberOf(plugAndLead.breakerA)
      if (plugAndLead.extensionPermitted && breakerA !== undefined && breakerA > carriesA)
        return {
          severity: 'watch',
          about: 'breaker-above',
          title: message`The breaker does not protect the extension lead`,
          says: message`As it lies it carries ${amps(carriesA)}; the breaker lets ${amps(breakerA)} through.`,
          why: 'At full load it is well; stalled, or with something else plugged in, the lead burns before the breaker moves.',
          remedies: [without],
          figures: ['supply.extensionA'],
          path: 'supply.extensionMm2',
        }
      return {
        severity: plugAndLead.extensionPermitted ? 'note' : 'stop',
        title: plugAndLead.extensionPermitted
          ? message`An extension lead is for the bench test`
          : message`The extension lead is too light`,
        says: message`As it lies it carries ${amps(carriesA)} and loses ${percent(drop)}; the drive takes ${amps(numberOf(plugAndLead.loadA) ?? 0)}.`,
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
