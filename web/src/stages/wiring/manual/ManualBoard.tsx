import { displayMoments, jumperChoices, type Manual } from '@zesty/core/manual'
import { JumperPicture } from '../../../drawings/JumperPicture'

/** What is set by hand on the board, drawn in its position; and what display and lamps say. */
export function ManualBoard({ manual }: { manual: Manual }) {
  const { jumpers, display, faults } = manual
  if (jumpers.length + display.length + faults.length === 0) return null
  return (
    <details className="mt-2 border-t border-rule pt-1">
      <summary className="flex min-h-11 items-center pl-px font-semibold text-blue underline underline-offset-4">
        Jumpers, display and faults
      </summary>
      <div className="grid gap-x-6 gap-y-3 text-[15px] @narrow:grid-cols-2">
        {jumpers.map((jumper) => (
          <figure key={jumper.id}>
            <figcaption className="label">
              {jumper.prints}, {jumperChoices[jumper.chooses].toLowerCase()}
              {jumper.onlyWithoutPower && '; only without power'}
            </figcaption>
            <JumperPicture
              jumper={jumper}
              position={jumper.comesIn}
              words={
                jumper.comesIn === undefined ? 'How it comes is not known' : `It comes in position ${jumper.comesIn}`
              }
            />
            <ul>
              {jumper.positions.map(({ prints, means }) => (
                <li key={prints}>
                  <b className="font-cond font-semibold">{prints}</b> {means}
                  {prints === jumper.comesIn && ', as it comes'}
                </li>
              ))}
            </ul>
          </figure>
        ))}
        {display.length > 0 && (
          <div>
            <p className="label">Display and lamps</p>
            <ul>
              {display.map(({ when, prints, lamp }, i) => (
                <li key={i}>
                  {displayMoments[when]}: <b className="font-cond font-semibold">{prints}</b>
                  {lamp !== undefined && `, lamp ${lamp}`}
                </li>
              ))}
            </ul>
          </div>
        )}
        {faults.length > 0 && (
          <div>
            <p className="label">Faults</p>
            <ul>
              {faults.map(({ code, means, causes }) => (
                <li key={code}>
                  <b className="font-cond font-semibold">{code}</b> {means}
                  {causes.length > 0 && <span className="block pl-4 text-ink-2">{causes.join('; ')}</span>}
                </li>
              ))}
            </ul>
          </div>
        )}
      </div>
    </details>
  )
}
