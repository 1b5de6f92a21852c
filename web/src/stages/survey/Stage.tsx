import { isBareMotor } from '@zesty/core'
import { lazy } from 'react'
import { usePlan } from '../../state/openPlan'
import type { Section } from '../../parts/SectionIndex'
import { StageHead } from '../../parts/StageHead'
import { WhenSeen } from '../../parts/WhenSeen'
import { AsFoundSheet } from './AsFoundSheet'
import { Belts } from './Belts'
import { Holders } from './Holders'
import { Jobs } from './Jobs'
import { MachineDrawing } from './MachineDrawing'
import { MachineSheet } from './MachineSheet'
import { WallSheet } from './WallSheet'

const Readings = lazy(() => import('../../measurements/Readings').then((m) => ({ default: m.Readings })))

const ofTheBench: Section[] = [
  { id: 'wall', name: 'Wall' },
  { id: 'machine', name: 'Machine' },
  { id: 'as-found', name: 'As found' },
  { id: 'readings', name: 'Readings' },
]

const ofTheMachine: Section[] = [
  { id: 'wall', name: 'Wall' },
  { id: 'machine', name: 'Machine' },
  { id: 'belts', name: 'Belts' },
  { id: 'holders', name: 'What it holds' },
  { id: 'jobs', name: 'Jobs' },
  { id: 'as-found', name: 'As found' },
  { id: 'readings', name: 'Readings' },
]

/** The machine as found: wall, machine, belts, what spins, and the work it must do. */
export default function SurveyStage() {
  const bare = isBareMotor(usePlan())
  return (
    <>
      <StageHead stage="survey" sections={bare ? ofTheBench : ofTheMachine} />
      <MachineDrawing />
      <div className="mt-3 grid gap-3 @wider:grid-cols-2">
        <WallSheet />
        <MachineSheet />
      </div>
      {bare ? (
        <p className="lead mt-3">
          A motor on the bench has no belts, no spindle and no work of its own, so none of that is asked. Choose the
          machine above once it stands on one; what is known of motor and drive stays.
        </p>
      ) : (
        <>
          <Belts />
          <Holders />
          <Jobs />
        </>
      )}
      <div className="mt-3">
        <AsFoundSheet />
      </div>
      <WhenSeen id="readings" height={320}>
        <Readings />
      </WhenSeen>
    </>
  )
}
