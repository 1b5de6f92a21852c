import type { Section } from '../../parts/SectionIndex'
import { StageHead } from '../../parts/StageHead'
import { usePlan } from '../../state/openPlan'
import { CardSheet } from './CardSheet'
import { EverySetting } from './EverySetting'
import { HoldsSheet } from './HoldsSheet'
import { JumperSheet } from './JumperSheet'
import { NothingOnRun } from './NothingOnRun'
import { PlannedSheet } from './PlannedSheet'
import { ProbeSheet } from './ProbeSheet'
import { ReadBackTable } from './ReadBackTable'
import { RegisterSheet } from './RegisterSheet'
import { TrimSheet } from './TrimSheet'

/** What to type into this drive, in which order, and proof that it took it. */
export default function SettingsStage() {
  const { manual } = usePlan()
  const sections: Section[] = [
    { id: 'state', name: 'What it holds' },
    ...(manual !== undefined && manual.trims.length > 0 ? [{ id: 'trims', name: 'Trims' }] : []),
    { id: 'card', name: 'Card' },
    { id: 'read-back', name: 'Read back' },
    { id: 'every', name: 'Every setting' },
    { id: 'probe', name: 'Try it' },
    { id: 'nothing', name: 'Nothing on RUN' },
  ]
  return (
    <>
      <StageHead stage="settings" sections={sections} />
      <PlannedSheet />
      <HoldsSheet />
      <JumperSheet />
      <TrimSheet />
      <CardSheet />
      <RegisterSheet />
      <ReadBackTable />
      <EverySetting />
      <ProbeSheet />
      <NothingOnRun />
    </>
  )
}
