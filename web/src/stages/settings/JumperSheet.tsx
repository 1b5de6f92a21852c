import { jumperChoices } from '@zesty/core/manual'
import { JumperPicture } from '../../drawings/JumperPicture'
import { usePart } from '../../parts/usePart'

/** Jumpers, straps and switches inside: the position that this plan wants, drawn. They are set before anything is typed. */
export function JumperSheet() {
  const wanted = usePart('jumpers')
  if (wanted.length === 0) return null
  return (
    <section className="sheet mb-3" aria-labelledby="jumpers">
      <h2 id="jumpers" tabIndex={-1} className="h-part">
        Jumpers and switches inside
      </h2>
      <p className="lead text-[15px]">Set with the power away, waited for and measured, before anything is entered.</p>
      <ul className="mt-1 grid gap-3 @narrow:grid-cols-2">
        {wanted.map(({ jumper, position, why }) => (
          <li key={jumper.id} className="break-inside-avoid border-t border-rule pt-1">
            <h3 className="leading-tight font-semibold">
              {jumper.prints}, {jumperChoices[jumper.chooses].toLowerCase()}
            </h3>
            <JumperPicture
              jumper={jumper}
              position={position}
              words={position === undefined ? `${jumper.prints}: not known` : `${jumper.prints}: to ${position}`}
            />
            <p className="text-[15px]">
              <b>{position === undefined ? 'Not known' : `To ${position}`}</b>
              {position !== undefined && jumper.comesIn !== undefined
                ? position === jumper.comesIn
                  ? ', as it comes'
                  : `; it comes in ${jumper.comesIn}`
                : ''}
              . {why}
            </p>
          </li>
        ))}
      </ul>
    </section>
  )
}
