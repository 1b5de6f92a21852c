import { fieldAt, type PlanPath } from '@zesty/core'
import { ChoiceField, SelectField, YesNoField } from './ChoiceField'
import { QuantityField } from './QuantityField'
import { WordsField } from './WordsField'

/** A field by its path, with an example of what is typed. */
export type FieldRow = PlanPath | readonly [path: PlanPath, placeholder: string]

/** More choices than these are a list to open. */
const SIDE_BY_SIDE = 3

/** Fields one after the other, each as what it holds wants it; those that this machine does not have are left out. */
export function FieldsOf({ rows }: { rows: readonly FieldRow[] }) {
  return (
    <div className="grid grid-cols-2 items-start gap-x-3 gap-y-2 @wide:grid-cols-4">
      {rows.map((row) => {
        const [path, placeholder] = typeof row === 'string' ? [row, ''] : row
        const { options, dimension, accepts } = fieldAt(path)
        const many = Object.keys(options ?? {}).length > SIDE_BY_SIDE
        if (options !== undefined)
          return many ? <SelectField key={path} path={path} wide /> : <ChoiceField key={path} path={path} wide />
        if (dimension !== undefined) return <QuantityField key={path} path={path} placeholder={placeholder} />
        return accepts(true) ? (
          <YesNoField key={path} path={path} wide />
        ) : (
          <WordsField key={path} path={path} label={fieldAt(path).label} placeholder={placeholder} longest={24} />
        )
      })}
    </div>
  )
}
