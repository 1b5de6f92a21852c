import { numberOf } from '../facts/figure'
import { boostLimit } from '../motor'
import { doesNotApply, ended, good, isUnjudged, lacks, need } from './answer'
import { alike } from '../facts/settings/alike'
import { noteAsPlanned } from '../facts/settings/noteHeld'
import { fieldAt, set, setSetting, type SettingId } from '../plan'
import { amount, printQuantity, message } from '../quantities'
import { judgement } from './finding'

function printSetting(id: SettingId, value: number | string): string {
  const { dimension, options } = fieldAt(`settings.chosen.${id}`)
  if (typeof value === 'number') return dimension ? printQuantity({ value, dimension }) : String(value)
  return options?.[value]?.toLowerCase() ?? value
}

/** Settings that a judgement of their own looks at. */
const judgedElsewhere: ReadonlySet<SettingId> = new Set<SettingId>([
  'overloadA',
  'commandSource',
  'restart',
  'startSpeed',
  'stopMode',
  'mainsHertz',
  'loadType',
  'energySaver',
  'boostV',
  'overloadCooling',
  'currentLimitA',
  'thermistorInput',
  'overVoltage',
  'referenceInvert',
  'knobZero',
  'directionLock',
  'reverseChange',
  'tripReset',
  'runTimer',
  'sleepWake',
  'jogMemory',
  'turningStart',
  'rideThrough',
  'rampShape',
  'busLossS',
  'busLossDoes',
  'dcStopS',
  'dcA',
])

/** What the drive was read to hold, against the card. */
export const settingFindings = [
  judgement(
    {
      id: 'settings.middle-point',
      asks: 'V/f middle point',
      stage: 'settings',
      chainLink: 'drive',
      by: 'first-spin',
      danger: true,
    },
    ({ plan, motor, physics }) => {
      const { middleHz, middleV } = plan.settings.inDrive
      if (middleHz === undefined && middleV === undefined) return doesNotApply('No middle point was read in the drive')
      if (middleHz === undefined) return lacks('settings.inDrive.middleHz')
      if (middleV === undefined) return lacks('settings.inDrive.middleV')
      const known = need(motor.plateVoltageV, motor.frequencyHz)
      if (isUnjudged(known)) return known
      const [plateV, plateHz] = known
      if (middleHz >= plateHz) return doesNotApply('The point lies above the plate’s hertz')
      const line = (plateV * middleHz) / plateHz
      const k = middleV / line
      // What the winding itself drops at rated amps, line to line: an ordinary boost at few hertz.
      const [r1Ohm, plateA] = [numberOf(physics.statorOhm), numberOf(motor.plateCurrentA)]
      const drop = r1Ohm === undefined || plateA === undefined ? undefined : Math.sqrt(3) * r1Ohm * plateA
      if (k > 1.1 && drop !== undefined && middleV <= line + drop * 1.05)
        return good(
          message`${amount('voltage', middleV)} at ${amount('frequency', middleHz)}: the line gives ${amount('voltage', line)}, and the winding drops ${amount('voltage', drop)} at its rated amps.`,
          { figures: ['motor.statorOhm'] },
        )
      if (k >= 0.9 && k <= 1.1)
        return good(message`${amount('voltage', middleV)} where the line gives ${amount('voltage', line)}.`)
      return {
        severity: k > 1.1 ? 'stop' : 'watch',
        title: message`The V/f middle point is off this motor’s line`,
        says: message`At ${amount('frequency', middleHz)} it holds ${amount('voltage', middleV)}; the plate’s straight line gives ${amount('voltage', line)}. It looks like a point for other mains.`,
        why:
          k > 1.1
            ? 'Too many volts in mid-range saturate the iron and heat the motor.'
            : 'Too few volts in mid-range lose torque there.',
        remedies: [
          {
            label: message`Put it on the line: ${amount('voltage', Math.round(line))}`,
            patch: [set('settings.inDrive.middleV', Math.round(line))],
          },
        ],
        path: 'settings.inDrive.middleV',
      }
    },
  ),

  judgement(
    {
      id: 'settings.boost',
      asks: 'Boost at standstill',
      stage: 'settings',
      chainLink: 'motor',
      by: 'on-machine',
      danger: true,
    },
    ({ plan, motor, physics }) => {
      const { boostV } = plan.settings.inDrive
      if (boostV === undefined) return doesNotApply('No boost was read in the drive')
      const known = need(physics.statorOhm, motor.plateCurrentA)
      if (isUnjudged(known)) return known
      const [r1Ohm, ratedCurrentA] = known
      const made = boostLimit.run({ boostV, r1Ohm, ratedCurrentA })
      if (!made.ok) return ended('The boost lies outside what the rule is for')
      const { currentA, permitted } = made.value
      const most = Math.floor(Math.sqrt(3) * r1Ohm * ratedCurrentA)
      if (permitted)
        return good(
          message`${amount('voltage', boostV)} drive ${amount('current', currentA)} through a motor that stands; its plate is ${amount('current', ratedCurrentA)}.`,
          { figures: ['motor.statorOhm'] },
        )
      return {
        severity: currentA > 1.5 * ratedCurrentA ? 'stop' : 'watch',
        title: message`The boost overheats a motor that stands or creeps`,
        says: message`${amount('voltage', boostV)} drive ${amount('current', currentA)} through it where its plate is ${amount('current', ratedCurrentA)}.`,
        why: 'At few hertz only the winding’s resistance holds the amps, and its fan hardly turns.',
        remedies:
          most >= 1
            ? [
                {
                  label: message`Lower it to ${amount('voltage', most)}`,
                  patch: [set('settings.inDrive.boostV', most)],
                },
              ]
            : [],
        figures: ['motor.statorOhm'],
        path: 'settings.inDrive.boostV',
      }
    },
  ),

  judgement(
    {
      id: 'settings.command-source',
      asks: 'Where RUN comes from',
      stage: 'settings',
      chainLink: 'drive',
      by: 'first-spin',
    },
    ({ plan, settings }) => {
      const line = settings.lines.find((l) => l.id === 'commandSource')
      if (line?.value === undefined) return lacks('controls.runBy')
      if (line.inDrive === undefined)
        return plan.settings.state === 'entered'
          ? good(message`Entered as on the card.`)
          : lacks('settings.inDrive.commandSource')
      if (line.inDrive === line.value)
        return good(message`As on the card: ${printSetting('commandSource', line.value)}.`)
      return {
        severity: 'watch',
        title: message`The drive listens to something else`,
        says: message`It takes RUN from ${printSetting('commandSource', line.inDrive)}; the plan runs it from ${printSetting('commandSource', line.value)}.`,
        why: 'Nothing will happen on RUN.',
        remedies: [
          {
            label: message`Entered: ${printSetting('commandSource', line.value)}`,
            patch: [setSetting('inDrive', 'commandSource', line.value)],
          },
        ],
        path: 'settings.inDrive.commandSource',
      }
    },
  ),

  judgement(
    {
      id: 'settings.differs-from-card',
      asks: 'Drive against the card',
      stage: 'settings',
      chainLink: 'drive',
      by: 'first-spin',
      danger: true,
    },
    ({ plan, settings }) => {
      const off = settings.lines.filter(
        (l) =>
          !judgedElsewhere.has(l.id) &&
          // Where the card has a planning value, what somebody put in the drive is no mistake.
          l.basis !== 'typical' &&
          l.inDrive !== undefined &&
          l.value !== undefined &&
          !alike(l.inDrive, l.value),
      )
      if (off.length === 0) {
        const read = settings.lines.filter((l) => l.inDrive !== undefined).length
        if (plan.settings.state !== 'entered' && read === 0) return lacks('settings.state')
        return good(
          read === 0
            ? message`It is said to hold this card.`
            : message`${read} of ${settings.lines.length} values were read in it, as on the card.`,
        )
      }
      return {
        severity: 'watch',
        title: message`The drive differs from the card`,
        says: [
          off
            .map(
              (l) =>
                `${l.label}: drive ${printSetting(l.id, l.inDrive ?? '')}, card ${printSetting(l.id, l.value ?? '')}`,
            )
            .join('. ') + '.',
        ],
        why: 'What the drive holds is what counts. Read every value back after entry.',
        remedies: [
          {
            label: message`Entered as on the card`,
            patch: noteAsPlanned(plan, off, {
              baseHz: numberOf(settings.baseFrequencyHz),
              maximumHz: numberOf(settings.maximumHz),
            }),
          },
        ],
      }
    },
  ),
]
