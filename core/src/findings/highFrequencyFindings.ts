import { carrierRatio, hertzAtRpm, waterRise } from '../motor'
import { actingValue } from '../facts/settings/settingsFacts'
import { numberOf } from '../facts/figure'
import { set, type Plan } from '../plan'
import { amount, hertz, message, percent, rpm, volts } from '../quantities'
import { doesNotApply, ended, good, isUnjudged, lacks, need, typed } from './answer'
import { byChoice, byYesNo } from './choiceAnswers'
import { judgement, type Answer } from './finding'
import { warmUpSteps } from './warmUpSteps'
import type { Facts } from '../facts/facts'

const motor = { stage: 'motor', chainLink: 'motor' } as const

const NO_SPINDLE = doesNotApply('It is no motor for hundreds of hertz')

/** Asks only of a spindle for hundreds of hertz. */
const ofSpindle =
  (ask: (facts: Facts) => Answer) =>
  (facts: Facts): Answer =>
    facts.plan.motor.kind === 'high-frequency'
      ? ask(facts)
      : facts.plan.motor.kind === undefined && isTold(facts.plan)
        ? lacks('motor.kind')
        : NO_SPINDLE

const isTold = ({ highFrequency }: Plan): boolean => Object.values(highFrequency).some((v) => v !== undefined)

/** Volts off the straight line, as a share, before a second point counts. */
const BENT = 0.05
/** Body to earth, ohm: more is a joint or a wire that does not carry a fault. */
const EARTH_OHM = 0.5
/** Share of their hours after which new bearings are to be at hand. */
const NEARLY = 0.8
/** Losses of a spindle whose maker tells none: a planning value. */
const LOSS_SHARE = 0.25

/** A spindle for hundreds of hertz: its line of volts, bearings, water, earth, and how it is used. */
export const highFrequencyFindings = [
  judgement(
    {
      id: 'high-frequency.volts',
      asks: 'Volts over hertz by two points of the plate',
      by: 'first-spin',
      danger: true,
      ...motor,
    },
    ofSpindle(({ plan, settings, motor: { plateVoltageV, frequencyHz } }) => {
      const { secondHz, secondV } = plan.highFrequency
      if (secondHz === undefined && secondV === undefined)
        return doesNotApply('The plate is not said to give a second point')
      const known = need(
        typed('highFrequency.secondHz', secondHz),
        typed('highFrequency.secondV', secondV),
        plateVoltageV,
        frequencyHz,
      )
      if (isUnjudged(known)) return known
      const [hz, v, plateV, plateHz] = known
      if (hz >= plateHz) return ended('The second point must lie under the plate’s own hertz')
      const straightV = (plateV * hz) / plateHz
      const off = straightV / v - 1
      if (Math.abs(off) <= BENT) return good(message`${volts(v)} at ${hertz(hz)} lie on the straight line.`)
      const [middleHz, middleV] = [
        actingValue(settings.lines, 'middleHz') ?? plan.settings.chosen.middleHz,
        actingValue(settings.lines, 'middleV') ?? plan.settings.chosen.middleV,
      ]
      if (middleHz === hz && middleV === v) return good(message`The bend is set: ${volts(v)} at ${hertz(hz)}.`)
      return {
        severity: off > 0 ? 'stop' : 'watch',
        title: message`The plate’s line of volts is bent`,
        says: message`At ${hertz(hz)} the plate has ${volts(v)}; a straight line gives ${volts(straightV)}, ${percent(Math.abs(off))} too ${off > 0 ? 'many' : 'few'}.`,
        why:
          off > 0
            ? 'Too many volts at lower hertz drive amps through a winding of few turns that no water takes away in time.'
            : 'Too few volts there leave it without torque where it should have most.',
        remedies: [
          {
            label: message`Set the bend: ${volts(v)} at ${hertz(hz)}`,
            patch: [
              set('settings.chosen.middleHz', hz),
              set('settings.chosen.middleV', v),
              set('settings.inDrive.middleHz', undefined),
              set('settings.inDrive.middleV', undefined),
            ],
          },
        ],
        path: 'highFrequency.secondV',
      }
    }),
  ),

  judgement(
    {
      id: 'high-frequency.carrier',
      asks: 'Carrier against the highest hertz',
      by: 'first-spin',
      stage: 'settings',
      chainLink: 'drive',
    },
    ofSpindle(({ plan, settings }) => {
      const carrierHz = plan.settings.inDrive.carrierHz ?? plan.settings.chosen.carrierHz ?? plan.drive.carrierHz
      const known = need(settings.maximumHz, typed('drive.carrierHz', carrierHz))
      if (isUnjudged(known)) return known
      const [top, carrier] = known
      const made = carrierRatio.run({ carrierHz: carrier, frequencyHz: top })
      if (!made.ok) return ended(made.faults[0]?.message ?? 'The rule does not take these')
      const { ratio, enough, leastCarrierHz } = made.value
      const says = message`${hertz(carrier)} chop ${amount('number', ratio)} times in a turn of ${hertz(top)}; ten is the least.`
      return enough
        ? good(says)
        : {
            severity: 'watch',
            title: message`The carrier is too slow for these hertz`,
            says,
            why: 'A winding of few turns gets lumps instead of a sine: it heats, whines, and shakes its bearings.',
            remedies:
              leastCarrierHz <= 20_000
                ? [
                    {
                      label: message`Set carrier to ${hertz(leastCarrierHz)}`,
                      patch: [
                        set('drive.carrierHz', leastCarrierHz),
                        set('settings.chosen.carrierHz', undefined),
                        set('settings.inDrive.carrierHz', undefined),
                      ],
                    },
                  ]
                : [],
            path: 'drive.carrierHz',
          }
    }),
  ),

  judgement(
    { id: 'high-frequency.slowest', asks: 'Slowest for its bearings', by: 'first-spin', ...motor },
    ofSpindle(({ plan, settings, motor: { poles } }) => {
      const { leastRpm } = plan.highFrequency
      const known = need(settings.minimumHz, poles, typed('highFrequency.leastRpm', leastRpm))
      if (isUnjudged(known)) return known
      const [low, count, least] = known
      const leastHz = Math.ceil(hertzAtRpm(least, count) * 10) / 10
      return low >= leastHz * 0.995
        ? good(message`${hertz(low)}; ${rpm(least)} are ${hertz(leastHz)}.`)
        : {
            severity: 'watch',
            title: message`Slower than its bearings may turn`,
            says: message`The plan goes down to ${hertz(low)}; its maker’s ${rpm(least)} are ${hertz(leastHz)}.`,
            why: 'Its balls skid on grease that does not move, and its own cooling stands.',
            remedies: [
              {
                label: message`Raise the lowest hertz to ${hertz(leastHz)}`,
                patch: [set('settings.chosen.minimumHz', leastHz), set('settings.inDrive.minimumHz', undefined)],
              },
            ],
            path: 'highFrequency.leastRpm',
          }
    }),
  ),

  judgement(
    { id: 'high-frequency.water', asks: 'Water that carries its heat away', by: 'first-spin', danger: true, ...motor },
    ofSpindle(({ plan, motor: { efficiency } }) => {
      if (plan.installation.flowInterlock === 'no-liquid') return doesNotApply('No liquid cools it')
      const { lossW, waterLPerMin, waterInC, waterMostC } = plan.highFrequency
      const known = need(
        typed('highFrequency.waterLPerMin', waterLPerMin),
        typed('highFrequency.waterInC', waterInC),
        typed('highFrequency.waterMostC', waterMostC),
        typed('motor.powerW', plan.motor.powerW),
      )
      if (isUnjudged(known)) return known
      const [litresPerMin, inC, mostC, powerW] = known
      const eta = plan.motor.efficiency === undefined ? undefined : numberOf(efficiency)
      const warms = lossW ?? (eta === undefined ? LOSS_SHARE * powerW : powerW * (1 / eta - 1))
      const made = waterRise.run({ lossW: warms, litresPerMin })
      if (!made.ok) return ended(made.faults[0]?.message ?? 'The rule does not take these')
      const outC = inC + made.value.riseK
      const told =
        lossW !== undefined
          ? ''
          : eta === undefined
            ? ', a quarter of its power, a planning value'
            : ', by its efficiency'
      const says = message`${amount('heat', warms)}${told} warm ${amount('number', litresPerMin)} l/min from ${amount('temperature', inC)} to ${amount('temperature', outC)}; ${amount('temperature', mostC)} may come out.`
      return outC <= mostC
        ? good(says)
        : {
            severity: 'stop',
            title: message`Too little water, or too warm`,
            says,
            why: 'The winding stands far hotter than its water, and the front bearing with it. More flow, a larger tank or a radiator; never colder than the room, or it sweats inside.',
            path: 'highFrequency.waterLPerMin',
          }
    }),
  ),

  judgement(
    {
      id: 'high-frequency.pump',
      asks: 'Water before the spindle',
      by: 'first-spin',
      danger: true,
      stage: 'wiring',
      chainLink: 'motor',
    },
    ofSpindle(({ plan }) =>
      plan.installation.flowInterlock === 'no-liquid'
        ? doesNotApply('No liquid cools it')
        : byYesNo('highFrequency.pumpFirst', plan.highFrequency.pumpFirst, {
            yes: { well: message`The pump runs before the spindle may.` },
            no: {
              severity: 'stop',
              title: message`The spindle can run without its water`,
              says: message`The pump is switched by itself, and may be forgotten.`,
              why: 'Its winding is gone in minutes. The pump with the drive’s own supply, and its flow, not its plug, in the enable.',
            },
          }),
    ),
  ),

  judgement(
    {
      id: 'high-frequency.earth',
      asks: 'Earth of its body',
      by: 'first-power',
      danger: true,
      stage: 'wiring',
      chainLink: 'motor',
    },
    ofSpindle(({ plan }) => {
      const { earthBy, earthOhm } = plan.highFrequency
      if (earthBy === undefined) return lacks('highFrequency.earthBy')
      if (earthBy === 'none')
        return {
          severity: 'stop',
          title: message`Its body is not earthed`,
          says: message`No pin of its connector was found to reach its body, and no strap does.`,
          why: 'Many come with the earth pin empty inside. A fault puts its body, collet and the work at the volts of the mains, with water about. A strap on bare metal, under a screw of its own.',
          path: 'highFrequency.earthBy',
        }
      if (earthOhm === undefined) return lacks('highFrequency.earthOhm')
      const says = message`${amount('resistance', earthOhm)} from its body to the drive’s earth.`
      return earthOhm <= EARTH_OHM
        ? good(says)
        : {
            severity: 'stop',
            title: message`The earth of its body is a poor one`,
            says,
            why: 'Half an ohm and more is a joint that does not carry a fault: the pin inside, a painted flange, a broken screen used as an earth.',
            path: 'highFrequency.earthOhm',
          }
    }),
  ),

  judgement(
    {
      id: 'high-frequency.nut',
      asks: 'Collet nut',
      by: 'on-machine',
      danger: true,
      stage: 'run-in',
      chainLink: 'spindle',
    },
    ofSpindle(({ plan }) =>
      byChoice('highFrequency.nut', plan.highFrequency.nut, {
        'with-tool': { well: message`It never spins without collet and tool.` },
        empty: {
          severity: 'stop',
          title: message`The nut spins empty`,
          says: message`A nut without collet and tool sits askew and is held by nothing.`,
          why: 'It works loose and leaves the spindle at the speed of its rim. Either collet and tool, or no nut at all.',
        },
      }),
    ),
  ),

  judgement(
    {
      id: 'high-frequency.bearing-hours',
      asks: 'Hours of its bearings',
      by: 'in-use',
      stage: 'motor',
      chainLink: 'spindle',
    },
    ofSpindle(({ plan, measured }) => {
      const { hours, bearingLifeHours } = plan.highFrequency
      if (bearingLifeHours === undefined) return lacks('highFrequency.bearingLifeHours')
      if (hours === undefined) return lacks('highFrequency.hours')
      const says = message`${Math.round(hours)} h run${measured.spindleHours === hours ? ', by the machine’s readings,' : ''} of ${Math.round(bearingLifeHours)} h that they last.`
      if (hours < bearingLifeHours * NEARLY) return good(says)
      const over = hours >= bearingLifeHours
      return {
        severity: over ? 'watch' : 'note',
        title: over ? message`Its bearings are past their hours` : message`Its bearings near their hours`,
        says,
        why: over
          ? 'Worn ones heat, whine and then lock at full speed. New ones by who has the tools for it, run in anew, and its hours from nothing again.'
          : 'New ones at hand before they are wanted; listen for a whine, and feel the front after an hour.',
        path: 'highFrequency.hours',
      }
    }),
  ),

  judgement(
    { id: 'high-frequency.warm-up', asks: 'Grease run in', by: 'on-machine', stage: 'run-in', chainLink: 'spindle' },
    ofSpindle(({ plan, motor: { ratedSpeedRpm } }) => {
      const { warmed, bearings } = plan.highFrequency
      if (bearings === 'oil-mist') return doesNotApply('Oil mist wants no running in of grease')
      const top = numberOf(ratedSpeedRpm) ?? plan.motor.maximumRpm
      const steps = warmUpSteps
        .map(
          ({ share, minutes }) =>
            `${minutes} min at ${top === undefined ? `${share * 100} %` : `${Math.round((share * top) / 100) * 100} rpm`}`,
        )
        .join(', ')
      return byYesNo('highFrequency.warmed', warmed, {
        yes: { well: message`Its grease was run in.` },
        no: {
          severity: 'watch',
          title: message`Its grease was not run in`,
          says: message`No load, water on: ${steps}. Any step that passes 45 °C at the front bearing: stop, let it cool, that step again.`,
          why: 'Grease that stood sits in the way of the balls, and heats them to blue at full speed. A planning table; its maker’s rules.',
        },
      })
    }),
  ),
]
