import { numberOf } from '../evaluate/figure'
import { set } from '../plan'
import { amps, hertz, sameNominal, say, volts } from '../quantities'
import { judgement } from './finding'

export const wallFindings = [
  judgement('wall.isolator-out-of-reach', 'survey', 'wall', ({ plan }) =>
    plan.supply.isolatorInReach === false
      ? {
          severity: 'stop',
          title: say`No isolator within reach`,
          says: say`The switch or plug that takes the power off cannot be reached from the machine.`,
          why: 'When something goes wrong the power must come off from where you stand, and it must be in sight while you work on it dead.',
          remedies: [{ label: say`Plan an isolator within reach`, patch: [set('supply.isolatorInReach', true)] }],
          path: 'supply.isolatorInReach',
        }
      : undefined,
  ),

  judgement('wall.input-over-breaker', 'drive', 'wall', ({ supply, drive }) => {
    const [inputA, breakerA] = [numberOf(drive.inputA), numberOf(supply.breakerA)]
    if (inputA === undefined || breakerA === undefined || inputA <= breakerA) return undefined
    return {
      severity: 'stop',
      title: say`The breaker is too small for full load`,
      says: say`At full load the circuit must carry ${amps(inputA)}; the breaker is ${amps(breakerA)}.`,
      why: 'It will trip in a heavy cut. A bigger breaker is only right with a cable, plug and socket that carry as much.',
      figures: ['drive.inputA', 'drive.computedInputA'],
      path: 'supply.breakerA',
    }
  }),

  judgement('wall.drive-input-volts', 'drive', 'wall', ({ plan }) => {
    const { voltageV, phases } = plan.supply
    const { inputVoltageV, input } = plan.drive
    const verdicts = []
    if (voltageV !== undefined && inputVoltageV !== undefined && !sameNominal(voltageV, inputVoltageV)) {
      const over = voltageV > inputVoltageV
      verdicts.push({
        severity: 'stop' as const,
        about: 'volts',
        title: say`The drive is made for other volts`,
        says: say`The wall gives ${volts(voltageV)}; the drive’s input is made for ${volts(inputVoltageV)}.`,
        why: over ? 'Too many volts break its capacitors at once.' : 'Too few volts: it trips on under-voltage or gives the motor too little.',
        path: 'drive.inputVoltageV',
      })
    }
    if (phases === 3 && input === '1')
      verdicts.push({
        severity: 'note' as const,
        about: 'phases',
        title: say`One phase of a three-phase wall`,
        says: say`The drive takes one phase; it goes between a line and neutral, or two lines, whichever gives its volts.`,
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
      title: say`Unusual mains hertz`,
      says: say`${hertz(mains)} is neither 50 nor 60.`,
      why: 'Check it with the supplier: a generator or converter that runs off speed does this.',
      path: 'supply.frequencyHz',
    }
  }),
]
