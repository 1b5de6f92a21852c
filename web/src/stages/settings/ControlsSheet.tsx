import { usePlan } from '../../state/openPlan'
import { SelectField, YesNoField } from '../../parts/ChoiceField'
import { QuantityField } from '../../parts/QuantityField'

export function ControlsSheet() {
  const { controls, survey } = usePlan()
  return (
    <section className="sheet" aria-labelledby="controls">
      <h2 id="controls" tabIndex={-1} className="h-part mb-2">
        How it is run and stopped
      </h2>
      <div className="grid gap-x-4 gap-y-2.5 @narrow:grid-cols-2 @wider:grid-cols-3">
        <SelectField path="controls.runBy" />
        <SelectField path="controls.stopBy" />
        <SelectField path="controls.emergencyStop" />
        {controls.emergencyStop === 'ramp-input' && <QuantityField path="controls.quickRampS" placeholder="2 s" />}
        <SelectField path="controls.reference" />
        {(controls.reference === 'knob' || controls.reference === 'analogue') && (
          <SelectField path="controls.knobMode" />
        )}
        {controls.emergencyStop !== undefined && controls.emergencyStop !== 'none' && (
          <YesNoField path="controls.resetStarts" />
        )}
        <SelectField path="settings.state" />
        <YesNoField path="controls.runLamp" />
        <YesNoField path="controls.reverseWanted" />
        {controls.reverseWanted && survey.spindleNose === 'threaded' && <YesNoField path="controls.reverseLocked" />}
      </div>
    </section>
  )
}
