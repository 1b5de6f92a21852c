import { heartOf } from '@zesty/core'
import { lazy } from 'react'
import { usePlan } from '../../state/openPlan'
import { ChoiceField, YesNoField } from '../../parts/ChoiceField'
import { FigureTable } from '../../parts/FigureTable'
import { FigureValue } from '../../parts/FigureValue'
import { FromLibrary } from '../../library/FromLibrary'
import { QuantityField } from '../../parts/QuantityField'
import type { Section } from '../../parts/SectionIndex'
import { StageHead } from '../../parts/StageHead'
import { WhenSeen } from '../../parts/WhenSeen'
import { CircuitSheet } from './CircuitSheet'
import { DriveBox } from './DriveBox'
import { LoadBar } from './LoadBar'
import { ManualSheet } from './ManualSheet'
import { InstallationSheet } from './InstallationSheet'
import { StopSheet } from './StopSheet'

const Drives = lazy(() => import('./Drives').then((m) => ({ default: m.Drives })))

const DcSheet = lazy(() => import('./DcSheet').then((m) => ({ default: m.DcSheet })))
const DriverSheet = lazy(() => import('./DriverSheet').then((m) => ({ default: m.DriverSheet })))

const sections: Section[] = [
  { id: 'circuit', name: 'Circuit' },
  { id: 'mount', name: 'Where it hangs' },
  { id: 'stopping', name: 'Stopping' },
  { id: 'manual', name: 'From its manual' },
  { id: 'drives', name: 'Side by side' },
  { id: 'library', name: 'Library' },
]

/** The drive's plate, and how it stands between this wall and this motor. */
export default function DriveStage() {
  const plan = usePlan()
  const { drive, supply } = plan
  const heart = heartOf(plan)
  const threeOnOne = drive.input === '3' && supply.phases === 1
  return (
    <>
      <StageHead
        stage="drive"
        sections={
          heart === 'inverter'
            ? sections
            : [{ id: 'own', name: heart === 'dc' ? 'Armature and field' : 'Driver' }, ...sections]
        }
      />
      <div className="grid gap-x-5 gap-y-4 @wider:grid-cols-2">
        <DriveBox />
        <div className="flex flex-col gap-4">
          <section className="sheet flex flex-col gap-3" aria-label="How it stands">
            <LoadBar
              title="To the motor"
              carries="motor.plateCurrentA"
              carriesWords="the motor’s plate"
              allows="drive.outputA"
              allowsWords="the drive gives"
            />
            <LoadBar
              title="From the wall"
              carries="drive.inputA"
              carriesWords="taken at full load"
              allows="supply.breakerA"
              allowsWords="the breaker"
            />
          </section>
          <section className="rounded-md border border-l-[6px] border-rule border-l-oxide bg-card px-3 py-2 text-[15px]">
            <h2 className="font-cond text-[18px] font-semibold">It stays charged</h2>
            <p className="leading-snug">
              {heart === 'inverter' ? (
                <>
                  The bus stands at <FigureValue id="drive.busV" className="-my-3 !min-w-0 py-3" /> and holds it after
                  the supply has gone.
                </>
              ) : heart === 'dc' ? (
                'Armature and field stand at hundreds of volts, the control board often at the mains themselves; a field holds its energy until it has died.'
              ) : (
                'Its capacitors hold their volts after the supply has gone, and a motor with magnets that is turned makes new ones.'
              )}{' '}
              Wait the maker’s time, ten minutes where it is not known, and measure. Never put the supply on the motor’s
              terminals, nor on those of the bus.
            </p>
          </section>
        </div>
      </div>
      <div className="mt-4 grid gap-x-5 gap-y-3 @narrow:grid-cols-2">
        {heart !== 'inverter' && <ChoiceField path="drive.kind" />}
        <ChoiceField path="drive.input" />
        <ChoiceField path="drive.control" />
        <YesNoField path="drive.doubler" />
        <YesNoField path="drive.lineStartLockout" />
        {threeOnOne && <YesNoField path="drive.singlePhasePermitted" />}
        {threeOnOne && drive.singlePhasePermitted === true && (
          <QuantityField path="drive.singlePhaseFactor" placeholder="43 % unless the manual says" />
        )}
        <ChoiceField path="drive.jumper" />
        <ChoiceField path="drive.filterLink" />
        <ChoiceField path="drive.laid" />
        {drive.jumper !== undefined && drive.jumper !== 'none' && <YesNoField path="drive.jumperSet" />}
      </div>
      <div className="mt-4 grid gap-5 @wider:grid-cols-2">
        <FigureTable
          heading="Worked out"
          rows={[
            { label: 'Usable output', id: 'drive.outputA' },
            { label: 'Most volts to the motor', id: 'drive.ceilingV' },
            { label: 'Input at full load', id: 'drive.computedInputA' },
            { label: 'Input the circuit must carry', id: 'drive.inputA' },
          ]}
        />
        <section className="grid grid-cols-2 content-start gap-x-3 gap-y-2" aria-label="Planning values">
          <h2 className="label col-span-full border-b border-ink-2 py-1">
            Planning values, yours where you know better
          </h2>
          <QuantityField path="overrides.motorEfficiency" placeholder="from plate or table" />
          <QuantityField path="overrides.driveEfficiency" placeholder="96 % typical" />
          <QuantityField
            path="overrides.truePowerFactor"
            placeholder="65 % typical, one phase"
            wide
            hint="Watts over volt-amperes at the wall; a choke raises it"
          />
        </section>
      </div>
      {heart === 'dc' && <DcSheet />}
      {heart === 'driver' && <DriverSheet />}
      <CircuitSheet />
      <InstallationSheet />
      <StopSheet />
      <ManualSheet />
      <WhenSeen id="drives" height={300}>
        <Drives />
      </WhenSeen>
      <FromLibrary kind="drive" />
    </>
  )
}
