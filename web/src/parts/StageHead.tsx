import { stages, type StageId } from '@zesty/core'
import { SectionIndex, type Section } from './SectionIndex'

/** Name of a stage, what it is for, and the way to its parts where there are many, which stays in view. */
export function StageHead({ stage, sections = [] }: { stage: StageId; sections?: readonly Section[] }) {
  const { name: title, purpose } = stages[stage]
  return (
    <>
      <div className={sections.length > 0 ? '' : 'mb-3'}>
        <h1 className="h-stage">{title}</h1>
        <p className="lead">{purpose}</p>
      </div>
      {sections.length > 0 && <SectionIndex of={title} sections={sections} />}
    </>
  )
}
