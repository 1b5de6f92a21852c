import { fieldAt, type PlanPath } from '@zesty/core'
import { ChoiceField, SelectField, YesNoField } from './ChoiceField'
import { QuantityField } from './QuantityField'
import type { ReactNode } from 'react'
import { useField } from './fieldDocument'
import { WordsField } from './WordsField'

/** A field by its path, with an example of what is typed. */
export type FieldRow = PlanPath | readonly [path: PlanPath, placeholder: string]

/** More choices than these are a list to open. */
const SIDE_BY_SIDE = 3

/** Fields one after the other, each as what it holds wants it; those that this machine does not have are left out. */
export function FieldsOf({ rows }: { rows: readonly FieldRow[] }) {
  return (
    <div className="grid grid-cols-[repeat(auto-fill,minmax(150px,1fr))] items-start gap-x-3 gap-y-2">
      {rows.map((row) => {
        const [path, placeholder] = typeof row === 'string' ? [row, ''] : row
        const { options, dimension, accepts } = fieldAt(path)
        const many = Object.keys(options ?? {}).length > SIDE_BY_SIDE
        if (options !== undefined)
          return (
            <Wide key={path} path={path}>
              {many ? <SelectField path={path} /> : <ChoiceField path={path} />}
            </Wide>
          )
        if (dimension !== undefined) return <QuantityField key={path} path={path} placeholder={placeholder} />
        return accepts(true) ? (
          <Wide key={path} path={path}>
            <YesNoField path={path} />
          </Wide>
        ) : (
          <WordsField key={path} path={path} label={fieldAt(path).label} placeholder={placeholder} longest={24} />
        )
      })}
    </div>
  )
}

/** Room for words side by side; none where this machine does not have the field. */
function Wide({ path, children }: { path: PlanPath; children: ReactNode }) {
  return useField(path) ? <div className="col-span-2 min-w-0">{children}</div> : null
}
