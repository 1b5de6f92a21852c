import type { Section } from '../../parts/SectionIndex'
import { StageHead } from '../../parts/StageHead'
import { BuildSheet } from './BuildSheet'
import { ChecksSheet } from './ChecksSheet'
import { ControlsSheet } from './ControlsSheet'
import { Drawings } from './Drawings'
import { HeartSheet } from './HeartSheet'
import { ManualSheet } from './ManualSheet'
import { OldWires } from './OldWires'
import { PartsSheet } from './PartsSheet'
import { PowerSheet } from './PowerSheet'
import { WireList } from './WireList'
import { usePart } from '../../parts/usePart'

const sections: Section[] = [
  { id: 'controls', name: 'Run and stop' },
  { id: 'manual', name: 'Manual' },
  { id: 'power', name: 'Power' },
  { id: 'drawings', name: 'Drawings' },
  { id: 'old-wires', name: 'Old wires' },
  { id: 'build', name: 'Build and prove' },
  { id: 'wires', name: 'Wires' },
  { id: 'parts', name: 'Parts' },
  { id: 'checks', name: 'Checks' },
]

/** From choices to a wiring to follow: drawn, listed, checked, built and proved. */
export default function WiringStage() {
  const wiring = usePart('wiring')
  return (
    <>
      <StageHead stage="wiring" sections={sections} />
      <ControlsSheet />
      <HeartSheet />
      <ManualSheet />
      <PowerSheet />
      <Drawings wiring={wiring} />
      <OldWires wiring={wiring} />
      <BuildSheet wiring={wiring} />
      <WireList wiring={wiring} />
      <PartsSheet wiring={wiring} />
      <ChecksSheet />
    </>
  )
}
