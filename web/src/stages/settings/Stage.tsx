import { StageHead } from '../../parts/StageHead'
import { ControlsSheet } from './ControlsSheet'
import { PlannedSheet } from './PlannedSheet'
import { SettingsCard } from './SettingsCard'

/** How the machine is run and stopped, and what to enter in the drive for it. */
export default function SettingsStage() {
  return (
    <>
      <StageHead stage="settings" />
      <PlannedSheet />
      <ControlsSheet />
      <SettingsCard />
    </>
  )
}
