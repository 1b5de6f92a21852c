import { lazy } from 'react'
import { StageHead } from '../../parts/StageHead'
import type { Section } from '../../parts/SectionIndex'
import { WhenSeen } from '../../parts/WhenSeen'
import { MountSheet } from './MountSheet'
import { RampsSheet } from './RampsSheet'
import { RunInSheet } from './RunInSheet'
import { StateSheet } from './StateSheet'
import { StopsSheet } from './StopsSheet'
import { TriedSheet } from './TriedSheet'

const StopMapSheet = lazy(() => import('./StopMapSheet').then((m) => ({ default: m.StopMapSheet })))

const sections: Section[] = [
  { id: 'mount', name: 'Mount' },
  { id: 'sheet', name: 'Run-in sheet' },
  { id: 'ramps', name: 'Ramps' },
  { id: 'stops', name: 'Emergency stop' },
  { id: 'map', name: 'Stop map' },
  { id: 'state', name: 'How far it is' },
]

/** The machine proved step by step, each reading against what was computed for it. */
export default function RunInStage() {
  return (
    <>
      <StageHead stage="run-in" sections={sections} />
      <MountSheet />
      <div className="mt-3">
        <RunInSheet />
      </div>
      <TriedSheet />
      <RampsSheet />
      <StopsSheet />
      <WhenSeen id="map" height={420}>
        <StopMapSheet />
      </WhenSeen>
      <StateSheet />
    </>
  )
}
