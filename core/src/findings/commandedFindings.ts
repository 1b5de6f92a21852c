import { commandedRanges, isCommanded } from '../commanded/commandedRanges'
import { registersOf } from '../commanded/registersOf'
import { registerWord } from '../commanded/registerWord'
import type { Facts } from '../facts/facts'
import { set } from '../plan'
import { message, percent, rpm } from '../quantities'
import { doesNotApply, ended, good, isUnjudged, lacks, need, typed } from './answer'
import { byChoice, byYesNo } from './choiceAnswers'
import { judgement, type Answer } from './finding'

const speeds = { stage: 'speeds', chainLink: 'spindle' } as const
const wired = { stage: 'wiring', chainLink: 'drive' } as const
const tried = { stage: 'run-in', chainLink: 'drive' } as const

const NOT_COMMANDED = doesNotApply('No controller commands its speed')

/** Asks only where a controller commands the spindle's speed; how it is run must be known first. */
const ofCommanded =
  (ask: (facts: Facts) => Answer | Answer[]) =>
  (facts: Facts): Answer | Answer[] => {
    const { runBy, reference } = facts.plan.controls
    if (isCommanded(facts.plan)) return ask(facts)
    if (runBy === 'cnc' && reference === undefined) return lacks('controls.reference')
    return runBy === undefined && Object.values(facts.plan.commanded).some((v) => v !== undefined)
      ? lacks('controls.runBy')
      : NOT_COMMANDED
  }

/** True over commanded that is told. */
const OFF = 0.02

/** A spindle that a CNC controller commands: true speed, ranges, what holds the feed, what stops it. */
export const commandedFindings = [
  judgement(
    { id: 'commanded.true', asks: 'Commanded against true speed', by: 'on-machine', ...speeds },
    ofCommanded(({ plan, speeds: { positions } }) => {
      if (positions.length === 0) return lacks('survey.positions')
      return commandedRanges(plan, positions).map((range): Answer => {
        const about = range.position.position.id
        const { name } = range.position
        const { fit, because } = range
        if (because !== undefined) return { missing: [], ended: because, about }
        if (fit === undefined) return { missing: ['commanded.readings'], about }
        const off = Math.abs(fit.gain - 1)
        const offset = Math.abs(fit.offsetRpm)
        const dead = fit.deadBandRpm > 0 ? message` Under ${rpm(fit.deadBandRpm)} nothing turns.` : ''
        const says = message`On ${name} it turns ${percent(fit.gain)} of the command${offset < 1 ? '' : message` ${fit.offsetRpm < 0 ? 'less' : 'and'} ${rpm(offset)}`}, by ${range.count} readings; the worst is ${rpm(fit.maxErrorRpm)} off the line.${dead}`
        const top = range.topRpm ?? 0
        if (!fit.straight)
          return {
            severity: 'watch',
            title: message`No straight line goes through the readings of ${name}`,
            says,
            why: 'Gain and offset mend a line and no bend: the PWM-to-volts board, its supply, or an input set for another range. Or the readings mix two ranges.',
            path: 'commanded.readings',
            about,
          }
        if (off <= OFF && offset <= OFF * Math.max(top, 1)) return { ...good(says), about }
        return {
          severity: 'watch',
          title: message`A commanded speed is not a true one on ${name}`,
          says,
          why: `Multiply the controller’s rpm at full output, or divide the gain of the drive’s speed input, by ${fit.gain.toFixed(3)}; then take the readings anew. A thread or a feed by the turn rests on it.`,
          path: 'commanded.readings',
          about,
        }
      })
    }),
  ),

  judgement(
    { id: 'commanded.range', asks: 'Speed of the program against the ranges', by: 'on-machine', ...speeds },
    ofCommanded(({ plan, speeds: { positions, main } }) => {
      const { wantedRpm } = plan.commanded
      if (wantedRpm === undefined) return lacks('commanded.wantedRpm')
      if (main === undefined) return lacks('survey.positions')
      const ranges = commandedRanges(plan, positions)
      const here = ranges.find(({ position }) => position.index === main.index)
      if (here?.reaches === undefined) return lacks('survey.positions')
      const says = message`${rpm(wantedRpm)} are asked; ${main.name} gives ${rpm(here.bottomRpm ?? 0)} to ${rpm(here.topRpm ?? 0)}.`
      if (here.reaches)
        return good(
          here.commandRpm === undefined
            ? says
            : message`${says} As it reads now, ${rpm(here.commandRpm)} are to be commanded for it.`,
        )
      const others = ranges.filter(({ reaches }) => reaches === true)
      return {
        severity: 'watch',
        title: message`The program’s speed is not in this range`,
        says: message`${says}${others.length === 0 ? ' No range has it.' : ` ${others.map(({ position }) => position.name).join(', ')} has it.`}`,
        why: 'The controller sends its full volts or none, and the tool takes whatever comes.',
        remedies: others.map(({ position }) => ({
          label: message`Use ${position.name}`,
          patch: [set('survey.mainPositionId', position.position.id)],
        })),
        path: 'commanded.wantedRpm',
      }
    }),
  ),

  judgement(
    {
      id: 'commanded.dead',
      asks: 'What the spindle does when the controller dies',
      by: 'on-machine',
      danger: true,
      ...tried,
    },
    ofCommanded(({ plan }) =>
      byChoice('commanded.dead', plan.commanded.dead, {
        stops: { well: message`Tried: without its controller it stops.` },
        'runs-on': {
          severity: 'stop',
          title: message`Without its controller the spindle runs on`,
          says: message`Its lead was pulled while it turned, and it went on.`,
          why: 'RUN through a relay of the controller that falls off with it, or over a bus with a loss time of a second and STOP as its action, read back and tried.',
        },
      }),
    ),
  ),

  judgement(
    { id: 'commanded.restart', asks: 'Power off and on, in every order', by: 'on-machine', danger: true, ...tried },
    ofCommanded(({ plan }) =>
      byChoice('commanded.restart', plan.commanded.restart, {
        nothing: { well: message`Tried: controller, computer and drive in any order, and nothing moves.` },
        starts: {
          severity: 'stop',
          title: message`It starts by itself when things come up`,
          says: message`Controller and drive were switched off and on, and the spindle started.`,
          why: 'Outputs float while a controller boots. A relay that its own program must close, the drive’s line-start lockout, and drive last, first off.',
        },
      }),
    ),
  ),

  judgement(
    {
      id: 'commanded.stop-chain',
      asks: 'Emergency stop of controller and drive',
      by: 'first-spin',
      danger: true,
      ...wired,
    },
    ofCommanded(({ plan }) =>
      byChoice('commanded.stopChain', plan.commanded.stopChain, {
        both: { well: message`One mushroom drops the drive by wire and tells the controller.` },
        drive: {
          severity: 'watch',
          title: message`The mushroom leaves the axes running`,
          says: message`It drops the drive alone: the axes push on into a cutter that stands.`,
          why: 'A second contact of it to the controller and its axis drivers.',
        },
        controller: {
          severity: 'stop',
          title: message`The emergency stop is a wish to a program`,
          says: message`It drops the controller alone: the drive stops if the program still runs.`,
          why: 'A program is no safety function. The drive’s safe torque off or its contactor, by wire.',
        },
      }),
    ),
  ),

  judgement(
    { id: 'commanded.directions', asks: 'Forward and reverse codes', by: 'on-machine', danger: true, ...tried },
    ofCommanded(({ plan }) =>
      byChoice('commanded.directions', plan.commanded.directions, {
        right: { well: message`Tried without a tool: both turn as they must.` },
        swapped: {
          severity: 'stop',
          title: message`Forward and reverse are swapped`,
          says: message`The code for forward turns it in reverse.`,
          why: 'A tool turned backwards breaks, a screwed-on one comes off. Two motor leads at the drive, dead; not the controller’s tables.',
        },
        'one-only': {
          severity: 'watch',
          title: message`Only one direction comes`,
          says: message`One of the codes does nothing.`,
          why: 'A wire or a setting of the second direction; or lock it out, so that a program with it stops.',
        },
      }),
    ),
  ),

  judgement(
    { id: 'commanded.at-speed', asks: 'What holds the feed until it is up to speed', by: 'on-machine', ...wired },
    ofCommanded(({ plan }) =>
      byChoice('commanded.atSpeed', plan.commanded.atSpeed, {
        relay: { well: message`The drive’s contact tells it.` },
        wait: { well: message`It waits by the clock: longer than the ramp from nothing to the top.` },
        nothing: {
          severity: 'watch',
          title: message`It feeds before the tool turns`,
          says: message`Nothing tells the controller that the spindle is up to speed.`,
          why: 'The tool is pushed into the work on its ramp, and breaks. The drive’s at-speed contact, or a wait longer than its ramp.',
        },
      }),
    ),
  ),

  judgement(
    { id: 'commanded.threads', asks: 'Pulses for threads and feed by the turn', by: 'buying', ...wired },
    ofCommanded(({ plan }) => {
      const { threads, encoder } = plan.commanded
      if (threads === undefined) return lacks('commanded.threads')
      if (!threads) return doesNotApply('It neither threads nor feeds by the turn')
      return byChoice('commanded.encoder', encoder, {
        none: {
          severity: 'stop',
          title: message`It waits for a pulse that never comes`,
          says: message`Threads and feed by the turn follow the spindle’s own pulses; there are none.`,
          why: 'The axis stands at the start of the pass and waits, or goes by the commanded speed and cuts another pitch. An index pulse at least, an encoder for feed by the turn.',
        },
        index: {
          severity: 'note',
          title: message`One pulse a turn`,
          says: message`It tells where a turn begins, and the speed once a turn.`,
          why: 'Enough for threads at a steady speed; under load, where it sags within a turn, the pitch follows late.',
        },
        encoder: { well: message`An encoder: the axis follows within a turn.` },
      })
    }),
  ),

  judgement(
    { id: 'commanded.range-change', asks: 'A program over a change of range', by: 'on-machine', ...speeds },
    ofCommanded(({ plan, speeds: { positions } }) => {
      if (positions.length < 2) return doesNotApply('It has one range')
      return byYesNo('commanded.rangeChange', plan.commanded.rangeChange, {
        yes: { well: message`The program stops there, and says which belt.` },
        no: {
          severity: 'watch',
          title: message`Programs run over a change of range`,
          says: message`The controller knows one range; on the other the same command is another speed.`,
          why: 'Split at the change: a stop, the belt, the scale of that range, and on.',
        },
      })
    }),
  ),

  judgement(
    {
      id: 'commanded.register',
      asks: 'Speed register of the drive',
      by: 'first-spin',
      danger: true,
      stage: 'settings',
      chainLink: 'drive',
    },
    ofCommanded(({ plan, settings }) => {
      if (plan.controls.reference !== 'serial') return doesNotApply('Its speed does not come over a bus')
      const { registerScale, speedRegister, commandRegister, stateRegister, registerMost } = registersOf(plan)
      const known = need(
        typed('commanded.speedRegister', speedRegister),
        typed('commanded.commandRegister', commandRegister),
        typed('commanded.stateRegister', stateRegister),
        typed('commanded.registerScale', registerScale),
        settings.baseFrequencyHz,
        settings.maximumHz,
      )
      if (isUnjudged(known)) return known
      const [speed, , , scale, baseHz, maximumHz] = known
      const made = registerWord(scale, maximumHz, { baseHz, maximumHz, most: registerMost })
      if (typeof made === 'string') {
        return registerMost === undefined
          ? ended(made)
          : {
              severity: 'stop',
              title: message`The register does not hold the highest speed`,
              says: message`Register ${speed} ${made}.`,
              why: 'A word over its end is refused, or wraps round to another speed.',
              path: 'commanded.registerMost',
            }
      }
      return good(message`Register ${speed}: ${String(made.word)} for the highest hertz. ${made.test}`)
    }),
  ),
]
