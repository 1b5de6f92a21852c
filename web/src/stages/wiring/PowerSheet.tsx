import { regionOf } from '@zesty/core'
import { usePlan } from '../../state/openPlan'
import { SelectField, YesNoField } from '../../parts/ChoiceField'
import { Disclosure } from '../../parts/Disclosure'
import { QuantityField } from '../../parts/QuantityField'
import { WordsField } from '../../parts/WordsField'

/** What stands between wall and motor, and what else must be closed to let it run. */
export function PowerSheet() {
  const plan = usePlan()
  const { wiring, motor, controls } = plan
  const mushroom = controls.emergencyStop !== undefined && controls.emergencyStop !== 'none'
  const emergencyStop = ['safe-torque-off', 'contactor', 'ramp-then-off'].includes(controls.emergencyStop ?? '')
  const hasConnector = wiring.motorConnector === 'pin-earthed' || wiring.motorConnector === 'pin-empty'
  const nec = regionOf(plan) === 'nec'
  const switched = wiring.isolator !== undefined && wiring.isolator !== 'plug' && wiring.isolator !== 'none'
  return (
    <section className="sheet mb-3" aria-labelledby="power">
      <h2 id="power" tabIndex={-1} className="h-part mb-2">
        Power, guards and cables
      </h2>
      <div className="grid gap-x-4 gap-y-2.5 @narrow:grid-cols-2 @wider:grid-cols-3">
        <SelectField path="wiring.isolator" />
        {nec && switched && <QuantityField path="wiring.isolatorA" placeholder="30 A" />}
        <QuantityField path="wiring.ownFuseA" placeholder="16 A" />
        <SelectField path="wiring.motorSwitch" />
        <SelectField path="wiring.motorConnector" />
        {hasConnector && (
          <>
            <WordsField path="wiring.pinU" />
            <WordsField path="wiring.pinV" />
            <WordsField path="wiring.pinW" />
            {wiring.motorConnector === 'pin-earthed' && <WordsField path="wiring.pinEarth" />}
          </>
        )}
        <SelectField path="wiring.motorShield" />
        <YesNoField path="wiring.motorEarthInside" />
        <YesNoField path="wiring.oneGland" />
        <YesNoField path="wiring.slackLoop" />
        <SelectField path="wiring.insulationTested" />
        {controls.reference === 'knob' && <QuantityField path="wiring.knobLeadM" placeholder="2 m" />}
        {controls.reference === 'knob' && <YesNoField path="wiring.knobShielded" />}
        {mushroom && <SelectField path="wiring.stopButton" />}
        {mushroom && <YesNoField path="wiring.stopYellow" />}
        <YesNoField path="wiring.deadMushroom" />
        <YesNoField path="wiring.guardSwitch" />
        {(controls.emergencyStop === 'safe-torque-off' || controls.emergencyStop === 'ramp-then-off') && (
          <QuantityField path="wiring.torqueOffChannels" placeholder="2" />
        )}
        {emergencyStop && <YesNoField path="wiring.resetWatched" />}
        {motor.cooling === 'blower' && <YesNoField path="wiring.blowerOwnSupply" />}
        {wiring.blowerOwnSupply && <YesNoField path="wiring.secondSupplyLabelled" />}
        {nec && <QuantityField path="wiring.panelShortCircuitA" placeholder="5000 A" />}
        {nec && <QuantityField path="wiring.driveShortCircuitA" placeholder="5000 A" />}
      </div>
      <div className="mt-2">
        <Disclosure name="More that may be there" holds="wiring">
          <div className="mt-2 grid gap-x-4 gap-y-2.5 @narrow:grid-cols-2 @wider:grid-cols-3">
            <YesNoField path="wiring.filter" />
            <YesNoField path="wiring.choke" />
            <SelectField path="wiring.motors" />
            <YesNoField path="wiring.pressureSwitch" />
            <YesNoField path="wiring.flowSwitch" />
            <YesNoField path="wiring.coolantPump" />
            <YesNoField path="wiring.upDown" />
            {controls.reference === 'presets' && <QuantityField path="wiring.presets" placeholder="3" />}
            {motor.cooling !== 'blower' && <YesNoField path="wiring.secondSupplyLabelled" />}
          </div>
        </Disclosure>
      </div>
    </section>
  )
}
