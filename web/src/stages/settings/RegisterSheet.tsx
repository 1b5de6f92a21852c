import { commandedOf } from '@zesty/core/hearts'
import { printNumber } from '@zesty/core'
import { useMemo } from 'react'
import { FieldsOf } from '../../parts/FieldsOf'
import { usePlan } from '../../state/openPlan'

/** Registers of a drive that is commanded over a bus: what is written for a speed, and how that is proved. */
export function RegisterSheet() {
  const plan = usePlan()
  const { words } = useMemo(() => commandedOf(plan), [plan])
  if (plan.controls.reference !== 'serial') return null
  return (
    <section className="sheet mt-4" aria-labelledby="registers">
      <h2 id="registers" tabIndex={-1} className="h-part">
        Registers on the bus
      </h2>
      <p className="lead mb-2">
        By the drive’s own manual. A page or a bus is never the emergency stop; RUN over it only after its silence was
        tried: lead pulled while it turns, and it stops within a second.
      </p>
      <FieldsOf
        rows={[
          ['commanded.speedRegister', 'as printed'],
          ['commanded.commandRegister', 'as printed'],
          ['commanded.stateRegister', 'as printed'],
          'commanded.registerScale',
          ['commanded.registerMost', '65 535'],
        ]}
      />
      {words.length > 0 && (
        <ul className="mt-2 text-[15px]">
          {words.map(({ hz, word }) => (
            <li key={hz} className="border-b border-rule py-1">
              <b>{printNumber(hz, 4, 1)} Hz</b>:{' '}
              {typeof word === 'string' ? (
                <span className="font-semibold text-stop">{word}</span>
              ) : (
                <>
                  write <b>{word.word}</b>
                  {word.limited ? ', held at the highest' : ''}. {word.test}
                </>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
