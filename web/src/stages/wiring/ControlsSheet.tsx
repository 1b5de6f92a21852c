import { usePlan } from '../../state/openPlan'
import { SelectField, YesNoField } from '../../parts/ChoiceField'
import { QuantityField } from '../../parts/QuantityField'

/** How it is run, stopped and given its speed: what the control wires follow from. */
export function ControlsSheet() {
  const { controls, survey } = usePlan()
  const ramps = controls.emergencyStop === 'ramp-input' || controls.emergencyStop === 'ramp-then-off'
  const stays = controls.runBy === 'maintained' || controls.runBy === 'momentary'
  return (
    <section className="sheet mb-3" aria-labelledby="controls">
      <h2 id="controls" tabIndex={-1} className="h-part mb-2">
        How it is run and stopped
      </h2>
      <div className="grid gap-x-4 gap-y-2.5 @narrow:grid-cols-2 @wider:grid-cols-3">
        <SelectField path="controls.runBy" />
        {stays && <SelectField path="wiring.runWith" />}
        <SelectField path="controls.stopBy" />
        <SelectField path="controls.emergencyStop" />
        {ramps && <QuantityField path="controls.quickRampS" placeholder="2 s" />}
        {controls.emergencyStop === 'ramp-then-off' && <QuantityField path="wiring.stopDelayS" placeholder="3 s" />}
        <SelectField path="controls.reference" />
        {(controls.reference === 'knob' || controls.reference === 'analogue') && (
          <SelectField path="controls.knobMode" />
        )}
        {controls.reference === 'knob' && <QuantityField path="wiring.knobOhm" placeholder="5 kΩ" />}
        {controls.emergencyStop !== undefined && controls.emergencyStop !== 'none' && (
          <YesNoField path="controls.resetStarts" />
        )}
        <SelectField path="wiring.logic" />
        <YesNoField path="controls.runLamp" />
        <SelectField path="wiring.relayDoes" />
        <YesNoField path="controls.reverseWanted" />
        {controls.reverseWanted && <YesNoField path="wiring.reverseWaits" />}
        {controls.reverseWanted && survey.spindleNose === 'threaded' && <YesNoField path="controls.reverseLocked" />}
        <SelectField path="wiring.startsItself" />
        <YesNoField path="controls.thermistorWired" />
        {controls.thermistorWired && <SelectField path="wiring.thermistorOn" />}
      </div>
    </section>
  )
}
