import { useState } from 'react'
import { usePart } from '../../parts/usePart'
import type { Section } from '../../parts/SectionIndex'
import { StageHead } from '../../parts/StageHead'
import { usePlan } from '../../state/openPlan'
import { goToField } from '../../state/goToField'
import { PlateSheet } from './PlateSheet'
import { ReadDial } from './ReadDial'

const sections: Section[] = [
  { id: 'read', name: 'Read the dial' },
  { id: 'plate', name: 'Dial plate' },
]

/** The knob's marks against the spindle, and the plate that says so. */
export default function DialStage() {
  const plan = usePlan()
  const positions = usePart('dial')
  const [chosen, setChosen] = useState<string>()
  const position = positions.find((p) => p.id === (chosen ?? plan.survey.mainPositionId)) ?? positions[0]
  return (
    <>
      <StageHead stage="dial" sections={sections} />
      <section className="sheet" aria-labelledby="read">
        <h2 id="read" tabIndex={-1} className="h-part">
          Read the dial
        </h2>
        {position === undefined ? (
          <p>
            A dial is read on a belt position.{' '}
            <button
              type="button"
              className="min-h-11 font-semibold text-blue underline underline-offset-4"
              onClick={() => goToField('survey.positions')}
            >
              Add the first belt position
            </button>
          </p>
        ) : (
          <>
            {positions.length > 1 && (
              <div className="mt-1 flex flex-wrap gap-1.5" role="group" aria-label="Belt position">
                {positions.map((p) => (
                  <button
                    key={p.id}
                    type="button"
                    className="btn btn-toggle"
                    aria-pressed={p === position}
                    onClick={() => setChosen(p.id)}
                  >
                    {p.name}
                    {p.fit ? ` (${p.fit.count})` : ''}
                  </button>
                ))}
              </div>
            )}
            <ReadDial key={position.id} position={position} />
          </>
        )}
      </section>
      <PlateSheet />
    </>
  )
}
