import { StageHead } from '../../parts/StageHead'
import { Belts } from './Belts'
import { Holders } from './Holders'
import { Jobs } from './Jobs'
import { MachineDrawing } from './MachineDrawing'
import { MachineSheet } from './MachineSheet'
import { WallSheet } from './WallSheet'

/** The machine as found: wall, machine, belts, what spins, and the work it must do. */
export default function SurveyStage() {
  return (
    <>
      <StageHead stage="survey" />
      <MachineDrawing />
      <div className="mt-3 grid gap-3 xl:grid-cols-2">
        <WallSheet />
        <MachineSheet />
      </div>
      <Belts />
      <Holders />
      <Jobs />
    </>
  )
}
