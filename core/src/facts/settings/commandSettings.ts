import { message, rpm } from '../../quantities'
import { rpmAtHertz } from '../../motor'
import { rampsAtMushroom } from '../../plan'
import { numberOf } from '../figure'
import { awaits, decided, followed, leave } from './derived'
import type { FurtherInputs } from './furtherInputs'
import type { Derived } from './settingLine'

const analogue = ({ plan }: FurtherInputs): boolean =>
  plan.controls.reference === 'knob' || plan.controls.reference === 'analogue'

const NO_SIGNAL = 'No knob and no volts give the speed.'

const preset = ({ plan }: FurtherInputs, n: 1 | 2 | 3 | 4): Derived => {
  if (plan.controls.reference !== 'presets' || n > (plan.wiring.presets ?? 2)) return leave('No switch asks for it.')
  return awaits(`settings.chosen.preset${n}Hz`, `Fixed speed ${n}`)
}

/** Who tells it to run, how fast, and which way. */
export const commandSettings = {
  mainsHertz: ({ plan }: FurtherInputs): Derived => {
    const hz = plan.supply.frequencyHz
    if (hz === undefined) return awaits('supply.frequencyHz', 'Mains hertz')
    return decided(hz < 55 ? '50' : '60', 'Answered first: it changes base and highest hertz behind one’s back.')
  },
  powerOnMode: ({ plan }: FurtherInputs): Derived => {
    const { runBy, reference } = plan.controls
    if (runBy === undefined) return awaits('controls.runBy', 'Run by')
    if (runBy === 'cnc' && reference === 'serial') return leave('It listens to the serial bus.')
    return runBy === 'keypad'
      ? decided('keypad', 'It is run from its keypad.')
      : decided('terminals', 'Else a key that somebody pressed makes its terminals dead after the next power cut.')
  },
  knobMode: (facts: FurtherInputs): Derived => {
    if (!analogue(facts)) return leave(NO_SIGNAL)
    const mode = facts.plan.controls.knobMode ?? 'scaled'
    return decided(
      mode,
      mode === 'scaled' ? 'The whole turn of the knob is used.' : 'Volts and hertz stay in step from zero.',
    )
  },
  referenceGain: (facts: FurtherInputs): Derived =>
    analogue(facts) ? leave('One, as it comes, until the dial is measured.') : leave(NO_SIGNAL),
  referenceOffset: (facts: FurtherInputs): Derived =>
    analogue(facts) ? leave('None, as it comes, until the dial is measured.') : leave(NO_SIGNAL),
  referenceInvert: (facts: FurtherInputs): Derived =>
    analogue(facts)
      ? decided('off', 'Inverted, a knob turned down and a broken wire both run fastest.')
      : leave(NO_SIGNAL),
  knobZero: (facts: FurtherInputs): Derived =>
    analogue(facts)
      ? decided('lowest', 'A knob at zero is no stop: what still turns shows that RUN is on.')
      : leave(NO_SIGNAL),
  directionLock: ({ plan }: FurtherInputs): Derived => {
    const { reverseWanted } = plan.controls
    if (reverseWanted === undefined) return awaits('controls.reverseWanted', 'Runs in reverse too')
    return reverseWanted
      ? decided('both', 'It runs in reverse too.')
      : decided('forward', 'It never runs in reverse: no wrong wire or key shall send it.')
  },
  reverseChange: ({ plan }: FurtherInputs): Derived => {
    if (plan.controls.reverseWanted !== true) return leave('It does not run in reverse.')
    return plan.controls.reversesOften === true
      ? decided('ramp', 'It reverses all the time: through its ramps at once.')
      : decided('standstill', 'A switch thrown through waits until it stands.')
  },
  jogHz: () => leave('No jog is wired.'),
  jogStopS: () => leave('No jog is wired.'),
  preset1Hz: (facts: FurtherInputs) => preset(facts, 1),
  preset2Hz: (facts: FurtherInputs) => preset(facts, 2),
  preset3Hz: (facts: FurtherInputs) => preset(facts, 3),
  preset4Hz: (facts: FurtherInputs) => preset(facts, 4),
  displayShows: (facts: FurtherInputs): Derived =>
    rpmPerHz(facts) === undefined
      ? leave('Hertz, until the position’s ratio is known.')
      : decided('scaled', 'The spindle’s rpm are what people think in.'),
  displayScale: (facts: FurtherInputs): Derived => {
    const scale = rpmPerHz(facts)
    const { main } = facts.speeds
    return scale === undefined || main === undefined
      ? leave('Needs the ratio of the position used most.')
      : followed(
          Math.round(scale * 1000) / 1000,
          message`On ${main.name} the spindle makes ${rpm(scale)} for each hertz, slip not counted. Move the belt, and it is another: see the change-over card.`,
          main.speedRatio,
        )
  },
  quickStopS: ({ plan }: FurtherInputs): Derived => {
    if (!rampsAtMushroom(plan.controls.emergencyStop)) return leave('No mushroom makes it ramp.')
    const seconds = plan.controls.quickRampS
    return seconds === undefined
      ? awaits('controls.quickRampS', 'Quick emergency ramp')
      : { value: seconds, basis: 'given', reason: ['As chosen under controls.'], from: [] }
  },
  rampShape: ({ plan }: FurtherInputs): Derived =>
    plan.survey.spindleNose === 'threaded'
      ? decided('straight', 'Rounded ends double the pull on the thread in the middle of the same time.')
      : decided('straight', 'The least pull for its time; rounded where a belt walks at the start.'),
}

function rpmPerHz({ motor, speeds }: FurtherInputs): number | undefined {
  const [poles, ratio] = [numberOf(motor.poles), numberOf(speeds.main?.speedRatio)]
  return poles === undefined || ratio === undefined || ratio <= 0 ? undefined : rpmAtHertz(1, poles) * ratio
}
