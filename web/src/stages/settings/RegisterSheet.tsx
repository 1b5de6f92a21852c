import { registerScales, registersOf } from '@zesty/core/hearts'
import { printNumber, set } from '@zesty/core'
import { usePart } from '../../parts/usePart'
import { FieldsOf } from '../../parts/FieldsOf'
import { useChange, usePlan } from '../../state/openPlan'

/** Registers of a drive that is commanded over a bus: what is written for a speed, and how that is proved. */
export function RegisterSheet() {
  const plan = usePlan()
  const { words } = usePart('commanded')
  const change = useChange()
  if (plan.controls.reference !== 'serial') return null
  const { speedRegister, commandRegister, stateRegister, registerScale, registerMost } = registersOf(plan)
  const { manual } = plan
  const printed = manual?.registers
  // What is typed here and the manual does not have yet.
  const isNew =
    manual !== undefined &&
    [
      [speedRegister, printed?.speed],
      [commandRegister, printed?.command],
      [stateRegister, printed?.state],
      [registerScale, printed?.scale],
      [registerMost, printed?.most],
    ].some(([own, its]) => own !== its)
  const keep = () =>
    manual &&
    change('Keep the registers in the manual', [
      set('manual', {
        ...manual,
        registers: {
          ...printed,
          ...(speedRegister === undefined ? {} : { speed: speedRegister }),
          ...(commandRegister === undefined ? {} : { command: commandRegister }),
          ...(stateRegister === undefined ? {} : { state: stateRegister }),
          ...(registerScale === undefined ? {} : { scale: registerScale }),
          ...(registerMost === undefined ? {} : { most: registerMost }),
        },
      }),
    ])
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
          ['commanded.speedRegister', printed?.speed ?? 'as printed'],
          ['commanded.commandRegister', printed?.command ?? 'as printed'],
          ['commanded.stateRegister', printed?.state ?? 'as printed'],
          'commanded.registerScale',
          ['commanded.registerMost', String(printed?.most ?? 65_535)],
        ]}
      />
      {printed && (
        <p className="mt-2 text-[15px] text-ink-2">
          By the manual of {manual.name}: speed {printed.speed ?? 'not told'}, RUN and STOP{' '}
          {printed.command ?? 'not told'}, state {printed.state ?? 'not told'}
          {printed.scale === undefined ? '' : `, ${registerScales[printed.scale].toLowerCase()}`}. What is typed above
          goes before it.
        </p>
      )}
      {isNew && (
        <button type="button" className="btn mt-2 print:hidden" onClick={keep}>
          Keep them in the drive’s manual
        </button>
      )}
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
