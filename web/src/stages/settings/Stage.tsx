import type { Section } from '../../parts/SectionIndex'
import { StageHead } from '../../parts/StageHead'
import { ControlsSheet } from './ControlsSheet'
import { PlannedSheet } from './PlannedSheet'
import { SettingsCard } from './SettingsCard'

const sections: Section[] = [
  { id: 'controls', name: 'Run and stop' },
  { id: 'card', name: 'Settings card' },
]

/** How the machine is run and stopped, and what to enter in the drive for it. */
export default function SettingsStage() {
  return (
    <>
      <StageHead stage="settings" sections={sections} />
      <PlannedSheet />
      <ControlsSheet />
      <SettingsCard />
    </>
  )
}
