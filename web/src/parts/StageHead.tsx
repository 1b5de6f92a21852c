import { stages, type StageId } from '@zesty/core'
import { goToSection } from './goToSection'

/** A part of a stage that can be jumped to. */
export interface Section {
  /** Of its heading. */
  id: string
  name: string
}

/** Name of a stage, what it is for, and the way to its parts where there are many. */
export function StageHead({ stage, sections = [] }: { stage: StageId; sections?: readonly Section[] }) {
  const { name: title, purpose } = stages[stage]
  return (
    <div className="mb-3">
      <h1 className="h-stage">{title}</h1>
      <p className="lead">{purpose}</p>
      {sections.length > 0 && (
        <nav aria-label={`Parts of ${title}`} className="-mx-1 mt-1 flex flex-wrap">
          {sections.map(({ id, name }) => (
            <button
              key={id}
              type="button"
              className="min-h-11 px-2.5 text-[15px] font-semibold text-blue underline underline-offset-4"
              onClick={() => goToSection(id)}
            >
              {name}
            </button>
          ))}
        </nav>
      )}
    </div>
  )
}
