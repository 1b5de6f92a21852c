import { ChoiceField } from '../../parts/ChoiceField'
import { StageHead } from '../../parts/StageHead'
import { ControlsSheet } from './ControlsSheet'
import { SettingsCard } from './SettingsCard'

/** How the machine is run and stopped, and what to enter in the drive for it. */
export function SettingsStage() {
  return (
    <>
      <StageHead title="Settings" lead="How it is run and stopped, and the fourteen values every drive wants, in the order to enter them." />
      <ControlsSheet />
      <div className="mt-4">
        <ChoiceField path="settings.state" />
        <p className="mt-1 text-[15px] text-ink-2">Reset it first, enter in this order with the motor stopped, then read every value back.</p>
      </div>
      <SettingsCard />
    </>
  )
}
