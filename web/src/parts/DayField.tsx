import { fieldAt, type PlanPath } from '@zesty/core'
import { Field } from './Field'
import { useHeld, useSetField } from './fieldDocument'

/** A day, by the browser's own calendar; empty it is not known. */
export function DayField({ path }: { path: PlanPath }) {
  const held = useHeld(path)
  const setHeld = useSetField(path)
  const { label } = fieldAt(path)
  return (
    <Field path={path}>
      {({ id, describedBy }) => (
        <input
          id={id}
          type="date"
          className="field"
          data-path={path}
          aria-describedby={describedBy}
          value={typeof held === 'string' ? held : ''}
          onChange={(e) => setHeld(label, e.target.value === '' ? undefined : e.target.value)}
        />
      )}
    </Field>
  )
}
