import { warmUpSteps } from '@zesty/core/hearts'
import { FieldsOf } from '../../parts/FieldsOf'
import { FigureValue } from '../../parts/FigureValue'
import { usePlan } from '../../state/openPlan'

/** What a spindle for hundreds of hertz wants of its bearings, its water, its earth and whoever runs it. */
export function SpindleSheet() {
  const { motor } = usePlan()
  const top = motor.ratedSpeedRpm ?? motor.maximumRpm
  return (
    <section className="sheet mt-4" aria-labelledby="spindle">
      <h2 id="spindle" tabIndex={-1} className="h-part">
        A spindle for hundreds of hertz
      </h2>
      <p className="lead mb-2">
        <FigureValue id="motor.poles" className="!min-w-0" /> poles by its rpm and hertz. Its maker’s sheet rules over
        everything here.
      </p>
      <FieldsOf
        rows={[
          ['highFrequency.secondHz', 'none'],
          ['highFrequency.secondV', 'none'],
          ['highFrequency.leastRpm', '8000 rpm'],
          'highFrequency.bearings',
          ['highFrequency.bearingLifeHours', '2500'],
          ['highFrequency.hours', '120'],
          ['highFrequency.lossW', 'from efficiency'],
          ['highFrequency.waterLPerMin', '3'],
          ['highFrequency.waterInC', '22 °C'],
          ['highFrequency.waterMostC', '35 °C'],
        ]}
      />
      <h3 className="mt-3 font-semibold">Running in its grease, and every cold morning the first half of it</h3>
      <ol className="list-decimal pl-5 text-[15px]">
        <li>Water on and flowing, no tool and no nut, or tool and collet; nobody in front of it.</li>
        {warmUpSteps.map(({ share, minutes }) => (
          <li key={share}>
            {minutes} min at{' '}
            {top === undefined ? `${share * 100} % of its top` : `${Math.round((share * top) / 100) * 100} rpm`}; the
            front bearing stays under 45 °C, by a thermometer at its flange.
          </li>
        ))}
        <li>Hotter: stop, let it cool, and that step again.</li>
      </ol>
      <p className="mt-1 text-[15px] text-ink-2">A planning table for steel balls packed with grease.</p>
    </section>
  )
}
