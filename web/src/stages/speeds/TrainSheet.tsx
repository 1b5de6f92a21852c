import { leadsSwapped, rotations, spindleRotation } from '@zesty/core/speeds'
import { ToggleGroup } from 'radix-ui'
import { useState } from 'react'
import { useEvaluation } from '../../state/evaluation'
import { usePlan } from '../../state/openPlan'
import { FigureTable } from '../../parts/FigureTable'
import { goToField } from '../../state/goToField'
import { QuantityField } from '../../parts/QuantityField'
import { TrainSideView } from '../../drawings/TrainSideView'

/** The train of one position as it stands: to scale, with speeds and senses of its shafts. */
export function TrainSheet() {
  const plan = usePlan()
  const { positions } = useEvaluation()
  const [chosen, setChosen] = useState<string>()
  const shown = positions.find((p) => p.id === chosen) ?? positions.find((p) => p.main) ?? positions[0]
  const index = plan.survey.positions.findIndex((p) => p.id === shown?.id)
  const position = plan.survey.positions[index]
  if (!shown || !position) return null
  const sense = spindleRotation(plan, shown.reversed)
  const swapped = leadsSwapped(plan, shown.reversed)
  return (
    <section className="sheet mt-4" aria-labelledby="train">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 id="train" tabIndex={-1} className="h-part">
          The train, to scale
        </h2>
        {positions.length > 1 && (
          <ToggleGroup.Root
            type="single"
            value={shown.id}
            aria-label="Position drawn"
            className="flex flex-wrap gap-1.5"
            onValueChange={(id) => id !== '' && setChosen(id)}
          >
            {positions.map((p) => (
              <ToggleGroup.Item
                key={p.id}
                value={p.id}
                className="min-h-11 rounded-md border border-edge bg-card px-3 text-[15px] font-medium data-[state=on]:border-blue data-[state=on]:bg-blue data-[state=on]:text-card"
              >
                {p.name}
              </ToggleGroup.Item>
            ))}
          </ToggleGroup.Root>
        )}
      </div>
      <div className="mt-2 grid grid-cols-[minmax(0,1fr)] gap-x-4 gap-y-2 @wider:grid-cols-[minmax(0,1.7fr)_minmax(0,1fr)]">
        <TrainSideView key={position.id} position={position} path={`survey.positions.${index}`} />
        <div className="flex flex-col gap-2">
          <FigureTable
            heading={`On ${shown.name}`}
            rows={[
              { id: shown.speedRatio, label: 'Spindle per motor turn' },
              { id: `position.${shown.id}.efficiency`, label: 'Of the power arrives' },
              { id: shown.baseRpm, label: 'Spindle at base hertz' },
              { id: shown.torqueNm, label: 'Torque to base' },
              {
                id: `position.${shown.id}.feltInertia`,
                label: 'Inertia felt at the motor',
                note: 'of the heaviest that spins',
              },
              ...(position.stiffnessNmPerRad === undefined
                ? []
                : [
                    { id: `position.${shown.id}.swings` as const, label: 'The train swings at' },
                    {
                      id: `position.${shown.id}.excitedHz` as const,
                      label: 'Shaken by the motor at',
                      note: 'hertz on the drive',
                    },
                  ]),
            ]}
          />
          {sense === undefined ? (
            <div className="text-[15px]">
              <p>Which way the spindle turns is not known before the motor’s shaft has a direction.</p>
              <button
                type="button"
                className="min-h-11 font-semibold text-blue underline underline-offset-4"
                onClick={() => goToField('survey.motorFaces')}
              >
                Say where it points
              </button>
            </div>
          ) : (
            <p className="text-[15px]">
              With its leads in order the spindle turns <b>{rotations[sense].toLowerCase()}</b> as you face its nose.{' '}
              {swapped === undefined ? '' : swapped ? 'For forward, two of them are swapped.' : 'That is forward.'}
            </p>
          )}
        </div>
      </div>
      <details className="mt-2">
        <summary className="min-h-11 content-center font-semibold">Where {shown.name} shakes</summary>
        <p className="lead mb-2">
          A band found with the belt on counts most: note the hertz at the worst of it. Without one, twist and inertia
          tell where it is likely.
        </p>
        <div className="grid gap-3 @narrow:grid-cols-3">
          <QuantityField path={`survey.positions.${index}.resonanceHz`} placeholder="not found yet" />
          <QuantityField path={`survey.positions.${index}.stiffnessNmPerRad`} placeholder="not measured" />
          <QuantityField path="motor.rotorKgM2" placeholder="not known" />
        </div>
      </details>
    </section>
  )
}
