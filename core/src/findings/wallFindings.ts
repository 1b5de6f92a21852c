import { DOUBLER_MOST_V } from '../data/doubler'
import { isUnjudged, need, good, doesNotApply, lacks, typed, waitsFor } from './answer'
import { isKnown, numberOf } from '../facts/figure'
import { set } from '../plan'
import type { Facts } from '../facts/facts'
import { amount, amps, hertz, message, volts, type Message } from '../quantities'
import { judgement, type Answer } from './finding'

/** From this often the motor's amps on, a breaker before a drive whose manual is silent is too large. */
const UPSTREAM = 2.5
/** A printed input stands this much over and under what it prints. */
const INPUT_WITHIN = 0.1

/** What the cable would have to be for the breaker that the drive asks for, where another is there. */
function forAsked({ askedMm2, protectionA }: Facts['branchCircuit']): Message {
  const [area, asked] = [askedMm2 && numberOf(askedMm2), numberOf(protectionA)]
  return area === undefined || asked === undefined
    ? message``
    : message` For the ${amps(asked)} that the drive asks for it would be ${amount('area', area)}.`
}

/** Under this share of what it is made for, a drive is of another class of volts. */
const OTHER_CLASS = 0.75

export const wallFindings = [
  judgement(
    {
      id: 'wall.isolator-out-of-reach',
      asks: 'Isolator within reach',
      stage: 'survey',
      chainLink: 'wall',
      by: 'first-power',
      danger: true,
    },
    ({ plan }) =>
      plan.supply.isolatorInReach === false
        ? {
            severity: 'stop',
            title: message`No isolator within reach`,
            says: message`The switch or plug that takes the power off cannot be reached from the machine.`,
            why: 'When something goes wrong the power must come off from where you stand, and it must be in sight while you work on it dead.',
            remedies: [
              {
                label: message`Plan an isolator within reach`,
                patch: [set('supply.isolatorInReach', true)],
                mains: true,
              },
            ],
            path: 'supply.isolatorInReach',
          }
        : plan.supply.isolatorInReach === undefined
          ? lacks('supply.isolatorInReach')
          : good(message`It can be reached and seen from the machine.`),
  ),

  judgement(
    {
      id: 'wall.input-over-breaker',
      asks: 'Breaker against full load',
      stage: 'drive',
      chainLink: 'wall',
      by: 'first-power',
      danger: true,
    },
    ({ supply, drive }) => {
      const known = need(drive.inputA, supply.breakerA)
      if (isUnjudged(known)) return known
      const [inputA, breakerA] = known
      if (inputA <= breakerA)
        return good(message`${amps(inputA)} at full load on a breaker of ${amps(breakerA)}.`, {
          figures: ['drive.inputA'],
        })
      return {
        severity: 'stop',
        title: message`The breaker is too small for full load`,
        says: message`At full load the circuit must carry ${amps(inputA)}; the breaker is ${amps(breakerA)}.`,
        why: 'It will trip in a heavy cut. A bigger breaker is only right with a cable, plug and socket that carry as much.',
        figures: ['drive.inputA', 'drive.computedInputA'],
        path: 'drive.ratedInputA',
      }
    },
  ),

  judgement(
    {
      id: 'wall.breaker',
      asks: 'Breaker against drive and manual',
      stage: 'drive',
      chainLink: 'wall',
      by: 'first-power',
      danger: true,
    },
    ({ plan, supply, drive, branchCircuit, motor }) => {
      const manualA = plan.drive.manualProtectionA
      const breakerA = numberOf(supply.breakerA)
      if (breakerA === undefined) return lacks('supply.breakerA')
      if (manualA !== undefined && breakerA > manualA)
        return {
          severity: 'stop',
          about: 'over-manual',
          title: message`The breaker is larger than the drive allows`,
          says: message`The breaker is ${amps(breakerA)}; the manual’s largest is ${amps(manualA)}.`,
          why: 'A fault in the drive then burns instead of tripping. It wants fuses or a breaker of its own between.',
          figures: ['supply.protectionA'],
          path: 'drive.manualProtectionA',
        }
      const known = need(drive.inputA, branchCircuit.protectionA)
      if (isUnjudged(known)) return known
      const [inputA, askedA] = known
      if (manualA === undefined) {
        const plateA = numberOf(motor.plateCurrentA)
        if (plateA === undefined) return waitsFor(motor.plateCurrentA)
        const most = Math.max(askedA, UPSTREAM * plateA)
        if (breakerA > most)
          return {
            severity: 'watch',
            about: 'manual-silent',
            title: message`A large breaker before a drive whose manual was not read`,
            says: message`The breaker is ${amps(breakerA)}. Where the manual is silent, ${amps(most)} is the most: what the drive asks for, or two and a half times the motor’s ${amps(plateA)}.`,
            why: 'A fault in the drive burns longer the larger the breaker before it. The manual’s largest fuse rules; else give the drive a breaker of its own.',
            figures: ['supply.protectionA', 'motor.plateCurrentA'],
            path: 'drive.manualProtectionA',
          }
      }
      if (breakerA >= askedA || breakerA < inputA)
        return good(
          breakerA < inputA
            ? message`Not larger than the drive allows; what it carries is judged by itself.`
            : message`${amps(breakerA)} where the drive asks for ${amps(askedA)}${manualA === undefined ? '' : message` and its manual allows ${amps(manualA)}`}.`,
          { figures: ['supply.protectionA'] },
        )
      return {
        severity: 'watch',
        about: 'tight',
        title: message`The breaker has little in hand`,
        says: message`Full load takes ${amps(inputA)}; with a quarter in hand the drive asks for ${amps(askedA)}, and the breaker is ${amps(breakerA)}.`,
        why: 'It may trip on a hot day or in a long heavy cut. A larger one is only right with cable, plug and socket that carry as much.',
        figures: ['supply.protectionA', 'drive.inputA'],
        path: 'drive.ratedInputA',
      }
    },
  ),

  judgement(
    {
      id: 'wall.cable',
      asks: 'Cable against load and breaker',
      stage: 'drive',
      chainLink: 'wall',
      by: 'first-power',
      danger: true,
    },
    ({ plan, branchCircuit, supply, drive }) => {
      const { cableMm2 } = branchCircuit
      if (!isKnown(cableMm2) && cableMm2.missing.length === 0 && cableMm2.refusal !== undefined)
        return {
          severity: 'stop',
          about: 'beyond-table',
          title: message`No cable of the tables carries this`,
          says: [`${cableMm2.refusal.replace(/^\w+ /, 'The circuit ')}.`],
          why: 'Where the table ends nothing here says that a cable is safe. A shorter run, a lower load, or a circuit that somebody designs.',
          path: 'supply.cableM',
        }
      const known = need(branchCircuit.cableMm2, typed('supply.cableMm2', plan.supply.cableMm2))
      if (isUnjudged(known)) return known
      const [needed, there] = known
      if (there >= needed * 0.98)
        return good(
          message`${amount('area', there)} where ${amount('area', needed)} is the least.${forAsked(branchCircuit)}`,
          {
            figures: ['supply.neededMm2', 'supply.drop'],
          },
        )
      return {
        severity: 'stop',
        title: message`The cable is too light`,
        says: message`For a ${amps(numberOf(supply.breakerA) ?? numberOf(drive.inputA) ?? 0)} circuit of this length it must be ${amount('area', needed)}; there is ${amount('area', there)}.${forAsked(branchCircuit)}`,
        why: 'The single-phase side carries far more amps than the motor’s three. A light cable or extension lead runs hot where nobody looks.',
        figures: ['supply.neededMm2', 'supply.drop'],
        path: 'supply.cableMm2',
      }
    },
  ),

  judgement(
    {
      id: 'wall.drive-input-volts',
      asks: 'Drive’s input against the wall',
      stage: 'drive',
      chainLink: 'wall',
      by: 'buying',
      danger: true,
    },
    ({ plan, supply }) => {
      const { inputVoltageV, inputVoltageTopV } = plan.drive
      const known = need(supply.feedV, typed('drive.inputVoltageV', inputVoltageV))
      if (isUnjudged(known)) return known
      const [feedV, lowV] = known
      const topV = inputVoltageTopV ?? lowV
      const range = topV > lowV ? message`${volts(lowV)} to ${volts(topV)}` : message`${volts(lowV)}`
      const from = supply.betweenLineAndNeutral
        ? message`Between a line and neutral the wall gives`
        : message`The wall gives`
      const [least, most] = [lowV * (1 - INPUT_WITHIN), topV * (1 + INPUT_WITHIN)]
      if (feedV > most)
        return {
          severity: 'stop',
          about: 'volts',
          title: message`The drive is made for other volts`,
          says: message`${from} ${volts(feedV)}; the drive’s input is made for ${range}, a tenth over at the most.`,
          why: 'Too many volts break its capacitors at once.',
          figures: [supply.feedV.id],
          path: 'drive.inputVoltageV',
        }
      if (feedV < least)
        return {
          severity: feedV < lowV * OTHER_CLASS ? 'stop' : 'watch',
          about: 'volts',
          title:
            feedV < lowV * OTHER_CLASS
              ? message`The drive is made for other volts`
              : message`Few volts for this drive’s input`,
          says: message`${from} ${volts(feedV)}; the drive’s input is made for ${range}, a tenth under at the least.`,
          why: 'Too few volts: it trips on under-voltage or gives the motor too little.',
          figures: [supply.feedV.id],
          path: 'drive.inputVoltageV',
        }
      return good(message`${from} ${volts(feedV)}; its input is made for ${range}.`, { figures: [supply.feedV.id] })
    },
  ),

  judgement(
    { id: 'wall.mains-hertz', asks: 'Mains hertz', stage: 'survey', chainLink: 'wall', by: 'buying' },
    ({ plan }) => {
      const mains = plan.supply.frequencyHz
      if (mains === undefined) return lacks('supply.frequencyHz')
      if ((mains > 49 && mains < 51) || (mains > 59 && mains < 61)) return good(message`${hertz(mains)}.`)
      return {
        severity: 'watch',
        title: message`Unusual mains hertz`,
        says: message`${hertz(mains)} is neither 50 nor 60.`,
        why: 'Check it with the supplier: a generator or converter that runs off speed does this.',
        path: 'supply.frequencyHz',
      }
    },
  ),

  judgement(
    { id: 'wall.doubler', asks: 'Volts into a doubler', stage: 'drive', chainLink: 'wall', by: 'buying', danger: true },
    ({ plan, supply, drive }): Answer => {
      const { doubler, input, inputVoltageV } = plan.drive
      if (doubler === false) return doesNotApply('The drive does not double its volts')
      if (doubler === undefined && input === '3') return doesNotApply('Drives for three phases do not double them')
      if (doubler === undefined)
        return inputVoltageV !== undefined && inputVoltageV > DOUBLER_MOST_V
          ? doesNotApply('A drive made for such volts does not double them')
          : lacks('drive.doubler')
      const feedV = numberOf(supply.feedV)
      if (feedV === undefined) return lacks('supply.voltageV')
      const busV = numberOf(drive.busV) ?? 2 * Math.SQRT2 * feedV
      return feedV > DOUBLER_MOST_V
        ? {
            severity: 'stop',
            title: message`A doubler on too many volts`,
            says: message`It makes ${volts(busV)} on its bus from ${volts(feedV)}; it stands a wall of 127 V nominal, ${volts(DOUBLER_MOST_V)} measured.`,
            why: 'Its capacitors burst at the first switching on. Nothing that is set on the motor’s side changes that: it wants the lower volts, or another drive.',
            figures: ['drive.busV'],
            path: 'supply.voltageV',
          }
        : good(message`${volts(feedV)} make ${volts(busV)} on its bus.`, { figures: ['drive.busV'] })
    },
  ),
]
