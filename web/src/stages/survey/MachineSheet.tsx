import { hazards, isBareMotor, type Hazard } from '@zesty/core'
import { ToggleGroup } from 'radix-ui'
import { useChange, usePlan } from '../../state/openPlan'
import { ChoiceField, SelectField } from '../../parts/ChoiceField'
import { QuantityField } from '../../parts/QuantityField'
import { WordsField } from '../../parts/WordsField'

export function MachineSheet() {
  const plan = usePlan()
  const { survey } = plan
  const bare = isBareMotor(plan)
  return (
    <section className="sheet" aria-labelledby="machine">
      <h2 id="machine" tabIndex={-1} className="h-part mb-2">
        The machine
      </h2>
      <div className="grid grid-cols-2 gap-x-3 gap-y-2.5">
        <WordsField path="name" label="Called" needed longest={80} wide />
        <SelectField path="survey.machineKind" />
        {!bare && (
          <>
            <SelectField path="survey.spindleNose" />
            <QuantityField path="survey.originalTopRpm" placeholder="1200 rpm" />
          </>
        )}
        <div className="col-span-full grid gap-x-3 gap-y-2.5 @narrow:grid-cols-2">
          {!bare && <ChoiceField path="survey.motorFaces" />}
          <ChoiceField path="survey.forward" {...(bare ? { label: 'Forward, as you face its shaft' } : {})} />
        </div>
        <Hazards />
        {!bare && survey.spindleNose === 'threaded' && (
          <>
            <QuantityField path="survey.noseThreadMm" placeholder="38.1 mm" />
            <QuantityField path="survey.seatTorqueNm" placeholder="not measured" />
            <div className="col-span-full">
              <ChoiceField path="survey.noseSeat" />
            </div>
          </>
        )}
      </div>
    </section>
  )
}

function Hazards() {
  const { survey } = usePlan()
  const change = useChange()
  return (
    <div className="col-span-full flex flex-col gap-0.5" data-path="survey.hazards">
      <span className="label" id="hazards">
        What reaches the motor and the drive
      </span>
      <ToggleGroup.Root
        type="multiple"
        value={survey.hazards}
        aria-labelledby="hazards"
        className="flex flex-wrap gap-1.5"
        onValueChange={(value) => change('What reaches the machine', [{ path: 'survey.hazards', value }])}
      >
        {(Object.entries(hazards) as [Hazard, string][]).map(([value, words]) => (
          <ToggleGroup.Item
            key={value}
            value={value}
            className="min-h-11 rounded-md border border-edge bg-card px-3 text-[15px] font-medium data-[state=on]:border-blue data-[state=on]:bg-blue data-[state=on]:text-card"
          >
            {words}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </div>
  )
}
