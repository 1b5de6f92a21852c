import { StageHead } from '../../parts/StageHead'
import { ControlsSheet } from './ControlsSheet'
import { SettingsCard } from './SettingsCard'

/** How the machine is run and stopped, and what to enter in the drive for it. */
export function SettingsStage() {
  return (
    <>
      <StageHead
        title="Settings"
        lead="How it is run and stopped, and the fourteen values every drive wants, in the order to enter them."
      />
      <ControlsSheet />
      <SettingsCard />
    </>
  )
}
