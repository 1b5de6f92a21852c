import { lazy, Suspense, useState } from 'react'
import { FigureTable } from '../../parts/FigureTable'
import { usePlan } from '../../state/openPlan'
import { ChoiceField, SelectField, YesNoField } from '../../parts/ChoiceField'
import { QuantityField } from '../../parts/QuantityField'
import { FromLibrary } from '../../library/FromLibrary'
import type { Section } from '../../parts/SectionIndex'
import { StageHead } from '../../parts/StageHead'
import { WhenSeen } from '../../parts/WhenSeen'
import { Links } from './Links'
import { Plate } from './Plate'
import { SecondHand } from './SecondHand'

const PlateReader = lazy(() => import('./PlateReader').then((m) => ({ default: m.PlateReader })))
const Motors = lazy(() => import('./Motors').then((m) => ({ default: m.Motors })))
const TorqueChart = lazy(() => import('./TorqueChart').then((m) => ({ default: m.TorqueChart })))

const sections: Section[] = [
  { id: 'plate', name: 'Plate' },
  { id: 'links', name: 'Links' },
  { id: 'second-hand', name: 'Second-hand' },
  { id: 'torque', name: 'Torque' },
  { id: 'motors', name: 'Side by side' },
  { id: 'library', name: 'Library' },
]

/** The nameplate, what follows from it, and the links in the terminal box. */
export default function MotorStage() {
  const { motor } = usePlan()
  return (
    <>
      <StageHead stage="motor" sections={sections} />
      <PlateSheet />
      <div className="mb-3">
        <ChoiceField path="motor.kind" />
        <YesNoField path="motor.oneWinding" />
        <div className="grid gap-3 @narrow:grid-cols-2">
          <QuantityField path="motor.fieldVoltageV" placeholder="200 V" />
          <QuantityField path="motor.fieldCurrentA" placeholder="0.8 A" />
        </div>
      </div>
      <div className="grid gap-x-5 gap-y-4 @wider:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)]">
        <Plate />
        <FigureTable
          heading="From the plate"
          rows={[
            { label: 'Poles', id: 'motor.poles' },
            { label: 'Slip at full load', id: 'motor.slip' },
            { label: 'Rated torque', id: 'motor.torque' },
            { label: 'Amps for these links', id: 'motor.plateCurrentA' },
            { label: 'Efficiency times cos phi', id: 'motor.impliedProduct', note: 'believable from 0.3 to 0.95' },
            { label: 'Efficiency', id: 'motor.efficiency' },
            { label: 'Fastest safe', id: 'motor.safeRpm' },
            { label: 'Amps at no load', id: 'motor.noLoadA', note: 'to hold the bench test against' },
            { label: 'Flux on this drive', id: 'motor.fluxFraction', note: '90 to 105 % is right' },
          ]}
        />
      </div>
      <div className="mt-4 grid gap-3 @narrow:grid-cols-2">
        <SelectField path="motor.leads" />
        <ChoiceField path="motor.cooling" />
        {motor.cooling === 'liquid-or-none' && <SelectField path="installation.flowInterlock" />}
        <SelectField path="motor.winding" />
        <ChoiceField path="motor.insulationClass" />
      </div>
      <Links />
      <SecondHand />
      <WhenSeen id="torque" height={400}>
        <TorqueChart />
      </WhenSeen>
      <WhenSeen id="motors" height={300}>
        <Motors />
      </WhenSeen>
      <FromLibrary kind="motor" />
    </>
  )
}

/** The plate reader, loaded when it is opened. */
function PlateSheet() {
  const { motor } = usePlan()
  // Where nothing is known of the motor yet, this is the shortest way.
  const [open, setOpen] = useState(Object.keys(motor).length === 0)
  return (
    <details className="sheet mb-3 !py-1" open={open} onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="min-h-11 content-center font-semibold">Type or paste the whole plate at once</summary>
      {open && (
        <Suspense fallback={<p className="lead">Opening the reader</p>}>
          <PlateReader />
        </Suspense>
      )}
    </details>
  )
}
