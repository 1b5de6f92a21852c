import { lazy, Suspense } from 'react'
import { FigureTable } from '../../parts/FigureTable'
import { ChoiceField, SelectField } from '../../parts/ChoiceField'
import { Library } from '../../parts/Library'
import { StageHead } from '../../parts/StageHead'
import { Links } from './Links'
import { Plate } from './Plate'
import { PlateReader } from './PlateReader'

const TorqueChart = lazy(() => import('./TorqueChart').then((m) => ({ default: m.TorqueChart })))

/** The nameplate, what follows from it, and the links in the terminal box. */
export function MotorStage() {
  return (
    <>
      <StageHead title="Motor" lead="Type the plate as it is stamped; the rest follows from it." />
      <PlateReader />
      <div className="mb-3">
        <ChoiceField path="motor.kind" />
      </div>
      <div className="grid gap-x-5 gap-y-4 xl:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)]">
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
      <div className="mt-4 grid gap-3 sm:grid-cols-2">
        <SelectField path="motor.leads" />
        <ChoiceField path="motor.cooling" />
      </div>
      <Links />
      <Suspense fallback={<div className="sheet mt-4 h-[380px]" />}>
        <TorqueChart />
      </Suspense>
      <Library kind="motor" />
    </>
  )
}
