import type { Section } from '../../parts/SectionIndex'
import { SelectField } from '../../parts/ChoiceField'
import { StageHead } from '../../parts/StageHead'
import { PlannedSheet } from './PlannedSheet'
import { SettingsCard } from './SettingsCard'
import { WiringLines } from './WiringLines'

const sections: Section[] = [
  { id: 'state', name: 'What it holds' },
  { id: 'card', name: 'Settings card' },
]

/** What to enter in the drive, and what it was read to hold. */
export default function SettingsStage() {
  return (
    <>
      <StageHead stage="settings" sections={sections} />
      <PlannedSheet />
      <section className="sheet mb-3" aria-labelledby="state">
        <h2 id="state" tabIndex={-1} className="h-part mb-2">
          What the drive holds now
        </h2>
        <div className="grid gap-x-4 @narrow:grid-cols-2">
          <SelectField path="settings.state" />
        </div>
      </section>
      <WiringLines />
      <SettingsCard />
    </>
  )
}
