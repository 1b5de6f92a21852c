import { rpmAtHertz } from '../motor'
import { doesNotApply, good, lacks } from './answer'
import { numberOf } from '../facts/figure'
import { set } from '../plan'
import { amount, hertz, rpm, message } from '../quantities'
import { judgement, type Answer } from './finding'

/** Tenths of a hertz, as drives take them. */
const tenth = (hz: number) => Math.round(hz * 10) / 10

/** Bands in which a position shakes. */
export const resonanceFindings = [
  judgement(
    { id: 'spindle.resonance', asks: 'Hertz at which it shakes', stage: 'speeds', chainLink: 'belts', by: 'in-use' },
    ({ plan, resonances, settings, motor, speeds }) => {
      const known = resonances.map(({ position, hz, measured, fromHz, toHz, figure }): Answer => {
        const about = position.position.id
        const [lowest, highest, poles] = [settings.minimumHz, settings.maximumHz, motor.poles].map(numberOf)
        if (hz < (lowest ?? 0) || hz > (highest ?? Infinity))
          return good(message`${position.name} shakes at ${hertz(hz)}, outside its range.`, { about })
        const { skipHz, skipBandHz = 0 } = plan.settings.inDrive
        const covered = skipHz !== undefined && skipHz - skipBandHz <= fromHz + 0.1 && skipHz + skipBandHz >= toHz - 0.1
        if (covered) return good(message`${position.name}: the drive passes through ${hertz(hz)}.`, { about })
        const ratio = numberOf(position.speedRatio)
        const spindle =
          poles === undefined || ratio === undefined
            ? message``
            : message`, about ${rpm(rpmAtHertz(hz, poles) * ratio)} at the spindle`
        const middle = tenth(hz)
        // Rounded up, so that the whole band lies in it.
        const side = Math.ceil((toHz - fromHz) * 5) / 10
        return {
          severity: measured ? 'watch' : 'note',
          about,
          title: measured
            ? message`${position.name} shakes in its range`
            : message`${position.name} is likely to shake`,
          says: message`Around ${hertz(hz)}${spindle}: to be passed through from ${amount('frequency', tenth(fromHz))} to ${amount('frequency', tenth(toHz))} without staying.`,
          why: 'Chatter, a whipping belt and worn gears come from staying there. In the middle of the range plain V/f is often the cause: try sensorless vector first.',
          remedies: [
            {
              label: message`The drive skips ${hertz(middle)}, ${hertz(side)} to each side`,
              patch: [set('settings.inDrive.skipHz', middle), set('settings.inDrive.skipBandHz', side)],
            },
          ],
          figures: [figure],
          path: `survey.positions.${position.index}.resonanceHz`,
        }
      })
      const others = speeds.positions.filter((p) => !resonances.some((r) => r.position.index === p.index))
      if (speeds.positions.length === 0) return doesNotApply('No positions are told yet')
      return [
        ...known,
        ...others.map((p): Answer => ({ ...lacks(`survey.positions.${p.index}.resonanceHz`), about: p.position.id })),
      ]
    },
  ),
]
