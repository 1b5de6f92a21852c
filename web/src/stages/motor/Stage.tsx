import { heartOf, type Heart } from '@zesty/core'
import { lazy, Suspense, useState } from 'react'
import { FieldsOf } from '../../parts/FieldsOf'
import { FigureTable, type FigureRow } from '../../parts/FigureTable'
import { usePlan } from '../../state/openPlan'
import { ChoiceField, SelectField, YesNoField } from '../../parts/ChoiceField'
import { FromLibrary } from '../../library/FromLibrary'
import type { Section } from '../../parts/SectionIndex'
import { StageHead } from '../../parts/StageHead'
import { WhenSeen } from '../../parts/WhenSeen'
import { Links } from './Links'
import { DcPlate, MagnetPlate } from './OtherPlates'
import { Plate } from './Plate'
import { SecondHand } from './SecondHand'

const PlateReader = lazy(() => import('./PlateReader').then((m) => ({ default: m.PlateReader })))
const Motors = lazy(() => import('./Motors').then((m) => ({ default: m.Motors })))
const TorqueChart = lazy(() => import('./TorqueChart').then((m) => ({ default: m.TorqueChart })))

const SpindleSheet = lazy(() => import('./SpindleSheet').then((m) => ({ default: m.SpindleSheet })))

const sectionsOf = (heart: Heart, isSpindle: boolean): Section[] => [
  { id: 'plate', name: 'Plate' },
  ...(heart === 'inverter' ? [{ id: 'links', name: 'Links' }] : []),
  ...(isSpindle ? [{ id: 'spindle', name: 'Spindle' }] : []),
  { id: 'second-hand', name: 'Second-hand' },
  ...(heart === 'inverter' ? [{ id: 'torque', name: 'Torque' }] : []),
  { id: 'motors', name: 'Side by side' },
  { id: 'library', name: 'Library' },
]

const rows: Readonly<Record<Heart, readonly FigureRow[]>> = {
  inverter: [
    { label: 'Poles', id: 'motor.poles' },
    { label: 'Slip at full load', id: 'motor.slip' },
    { label: 'Rated torque', id: 'motor.torque' },
    { label: 'Amps for these links', id: 'motor.plateCurrentA' },
    { label: 'Efficiency times cos phi', id: 'motor.impliedProduct', note: 'believable from 0.3 to 0.95' },
    { label: 'Efficiency', id: 'motor.efficiency' },
    { label: 'Fastest safe', id: 'motor.safeRpm' },
    { label: 'Amps at no load', id: 'motor.noLoadA', note: 'to hold the bench test against' },
    { label: 'Flux on this drive', id: 'motor.fluxFraction', note: '90 to 105 % is right' },
  ],
  dc: [
    { label: 'Rated torque, smooth current', id: 'motor.torque' },
    { label: 'Torque all day, on this current', id: 'dc.continuousNm', note: 'full field, to base speed' },
    { label: 'Armature amps all day', id: 'dc.continuousA' },
    { label: 'Form factor of the current', id: 'dc.formFactor', note: 'rms over mean' },
    { label: 'Efficiency of the armature', id: 'motor.efficiency' },
    { label: 'Weakest field', id: 'dc.weakestFlux', note: 'torque falls as it does' },
    { label: 'Top by armature and field', id: 'dc.topRpm' },
    { label: 'Brush on its commutator', id: 'dc.brushSpeed', note: '35 m/s at most for old ones' },
  ],
  driver: [
    { label: 'Rated torque', id: 'motor.torque' },
    { label: 'Torque at the current limit', id: 'driver.limitNm', note: 'standing' },
    { label: 'Speed from which it falls', id: 'driver.kneeRpm', note: 'the volts run out' },
    { label: 'Reaches under load', id: 'driver.reachesRpm', note: 'at low mains' },
    { label: 'Stalled it heats', id: 'driver.stallHeat', note: 'times as much as at its plate' },
    { label: 'Fastest safe', id: 'motor.safeRpm' },
  ],
}

const plates = { inverter: Plate, dc: DcPlate, driver: MagnetPlate } as const

/** The nameplate, what follows from it, and the links in the terminal box where there are any. */
export default function MotorStage() {
  const plan = usePlan()
  const { motor } = plan
  const heart = heartOf(plan)
  const isSpindle = motor.kind === 'high-frequency'
  const OwnPlate = plates[heart]
  return (
    <>
      <StageHead stage="motor" sections={sectionsOf(heart, isSpindle)} />
      <PlateSheet />
      <div className="mb-3">
        <ChoiceField path="motor.kind" />
        <YesNoField path="motor.oneWinding" />
      </div>
      <div className="grid gap-x-5 gap-y-4 @wider:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)]">
        <OwnPlate />
        <FigureTable heading="From the plate" rows={rows[heart]} />
      </div>
      <div className="mt-4 grid gap-3 @narrow:grid-cols-2">
        <SelectField path="motor.leads" />
        <ChoiceField path="motor.cooling" />
        {motor.cooling === 'liquid-or-none' && heart === 'inverter' && (
          <SelectField path="installation.flowInterlock" />
        )}
        <SelectField path="motor.winding" />
        <ChoiceField path="motor.insulationClass" />
      </div>
      {heart === 'inverter' ? (
        <Links />
      ) : (
        <p className="sheet mt-4 text-[15px]">
          {heart === 'dc'
            ? 'Star and delta are no question here: armature and field each have two leads of their own.'
            : 'Star and delta are no question here: three leads, in the order that is found under Wiring.'}
        </p>
      )}
      {heart === 'dc' && (
        <div className="mt-3">
          <FieldsOf
            rows={[
              'motor.fieldKind',
              'motor.treadmill',
              ['motor.armatureOhm', '0.9 Ω'],
              ['motor.commutatorMm', '95 mm'],
              ['motor.rotorKgM2', '0.02'],
            ]}
          />
        </div>
      )}
      {isSpindle && (
        <WhenSeen id="spindle" height={400}>
          <SpindleSheet />
        </WhenSeen>
      )}
      <SecondHand />
      {heart === 'inverter' && (
        <WhenSeen id="torque" height={400}>
          <TorqueChart />
        </WhenSeen>
      )}
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
