import { numberOf } from '../facts/figure'
import { set } from '../plan'
import { amount, amps, hertz, sameNominal, message, volts } from '../quantities'
import { judgement, type Verdict } from './finding'

export const wallFindings = [
  judgement('wall.isolator-out-of-reach', 'survey', 'wall', ({ plan }) =>
    plan.supply.isolatorInReach === false
      ? {
          severity: 'stop',
          title: message`No isolator within reach`,
          says: message`The switch or plug that takes the power off cannot be reached from the machine.`,
          why: 'When something goes wrong the power must come off from where you stand, and it must be in sight while you work on it dead.',
          remedies: [{ label: message`Plan an isolator within reach`, patch: [set('supply.isolatorInReach', true)] }],
          path: 'supply.isolatorInReach',
        }
      : undefined,
  ),

  judgement('wall.input-over-breaker', 'drive', 'wall', ({ supply, drive }) => {
    const [inputA, breakerA] = [numberOf(drive.inputA), numberOf(supply.breakerA)]
    if (inputA === undefined || breakerA === undefined || inputA <= breakerA) return undefined
    return {
      severity: 'stop',
      title: message`The breaker is too small for full load`,
      says: message`At full load the circuit must carry ${amps(inputA)}; the breaker is ${amps(breakerA)}.`,
      why: 'It will trip in a heavy cut. A bigger breaker is only right with a cable, plug and socket that carry as much.',
      figures: ['drive.inputA', 'drive.computedInputA'],
      path: 'drive.ratedInputA',
    }
  }),

  judgement('wall.breaker', 'drive', 'wall', ({ plan, supply, drive, branchCircuit }) => {
    const [inputA, breakerA, askedA] = [
      numberOf(drive.inputA),
      numberOf(supply.breakerA),
      numberOf(branchCircuit.protectionA),
    ]
    const manualA = plan.drive.manualProtectionA
    if (breakerA === undefined) return undefined
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
    if (inputA === undefined || askedA === undefined || breakerA < inputA || breakerA >= askedA) return undefined
    return {
      severity: 'watch',
      about: 'tight',
      title: message`The breaker has little in hand`,
      says: message`Full load takes ${amps(inputA)}; with a quarter in hand the drive asks for ${amps(askedA)}, and the breaker is ${amps(breakerA)}.`,
      why: 'It may trip on a hot day or in a long heavy cut. A larger one is only right with cable, plug and socket that carry as much.',
      figures: ['supply.protectionA', 'drive.inputA'],
      path: 'drive.ratedInputA',
    }
  }),

  judgement('wall.cable', 'drive', 'wall', ({ plan, branchCircuit, supply, drive }) => {
    const [needed, there] = [numberOf(branchCircuit.cableMm2), plan.supply.cableMm2]
    if (needed === undefined || there === undefined || there >= needed * 0.98) return undefined
    return {
      severity: 'stop',
      title: message`The cable is too light`,
      says: message`For a ${amps(numberOf(supply.breakerA) ?? numberOf(drive.inputA) ?? 0)} circuit of this length it must be ${amount('area', needed)}; there is ${amount('area', there)}.`,
      why: 'The single-phase side carries far more amps than the motor’s three. A light cable or extension lead runs hot where nobody looks.',
      figures: ['supply.neededMm2', 'supply.drop'],
      path: 'supply.cableMm2',
    }
  }),

  judgement('wall.drive-input-volts', 'drive', 'wall', ({ plan }) => {
    const { voltageV, phases } = plan.supply
    const { inputVoltageV, input } = plan.drive
    const verdicts: Verdict[] = []
    if (voltageV !== undefined && inputVoltageV !== undefined && !sameNominal(voltageV, inputVoltageV)) {
      const over = voltageV > inputVoltageV
      verdicts.push({
        severity: 'stop' as const,
        about: 'volts',
        title: message`The drive is made for other volts`,
        says: message`The wall gives ${volts(voltageV)}; the drive’s input is made for ${volts(inputVoltageV)}.`,
        why: over
          ? 'Too many volts break its capacitors at once.'
          : 'Too few volts: it trips on under-voltage or gives the motor too little.',
        path: 'drive.inputVoltageV',
      })
    }
    if (phases === 3 && input === '1')
      verdicts.push({
        severity: 'note' as const,
        about: 'phases',
        title: message`One phase of a three-phase wall`,
        says: message`The drive takes one phase; it goes between a line and neutral, or two lines, whichever gives its volts.`,
        why: 'Which two conductors it stands on decides its volts. Measure before connecting.',
        path: 'drive.input',
      })
    return verdicts
  }),

  judgement('wall.mains-hertz', 'survey', 'wall', ({ plan }) => {
    const mains = plan.supply.frequencyHz
    if (mains === undefined || (mains > 49 && mains < 51) || (mains > 59 && mains < 61)) return undefined
    return {
      severity: 'watch',
      title: message`Unusual mains hertz`,
      says: message`${hertz(mains)} is neither 50 nor 60.`,
      why: 'Check it with the supplier: a generator or converter that runs off speed does this.',
      path: 'supply.frequencyHz',
    }
  }),
]
