import { heartOf, isBareMotor, printNumber, type Plan } from '@zesty/core'
import { lazy, Suspense } from 'react'
import { Choices } from '../../parts/ChoiceField'
import { useEvaluation } from '../../state/evaluation'
import { usePlan } from '../../state/openPlan'
import { QuantityField } from '../../parts/QuantityField'
import type { Section } from '../../parts/SectionIndex'
import { StageHead } from '../../parts/StageHead'
import { WhenSeen } from '../../parts/WhenSeen'
import { goToField } from '../../state/goToField'
import { JobTable } from './JobTable'
import { PositionTable } from './PositionTable'

const TrainSheet = lazy(() => import('./TrainSheet').then((m) => ({ default: m.TrainSheet })))
const SpeedMapSheet = lazy(() => import('./SpeedMapSheet').then((m) => ({ default: m.SpeedMapSheet })))
const SearchSheet = lazy(() => import('./SearchSheet').then((m) => ({ default: m.SearchSheet })))
const MachineCards = lazy(() => import('./MachineCards').then((m) => ({ default: m.MachineCards })))
const CommandedSheet = lazy(() => import('./CommandedSheet').then((m) => ({ default: m.CommandedSheet })))
const AxesSheet = lazy(() => import('./AxesSheet').then((m) => ({ default: m.AxesSheet })))
const Ladder = lazy(() => import('./Ladder').then((m) => ({ default: m.Ladder })))

const ofTheShaft: Section[] = [
  { id: 'ladder', name: 'Ladder' },
  { id: 'map', name: 'Speed map' },
]

const ofTheSpindle: Section[] = [
  { id: 'ladder', name: 'Ladder' },
  { id: 'train', name: 'Train' },
  { id: 'map', name: 'Speed map' },
  { id: 'search', name: 'Search' },
  { id: 'cards', name: 'Cards' },
]

/** A controller moves axes on a CNC machine; on others only where somebody has named one. */
const hasAxes = ({ survey, axes }: Plan): boolean => survey.machineKind === 'router' || (axes ?? []).length > 0

/** A controller commands the spindle of a router, and of any machine that it is said to run. */
const hasCommands = ({ survey, controls }: Plan): boolean => survey.machineKind === 'router' || controls.runBy === 'cnc'

/** What the motor makes to spindle rpm on every belt position, with the jobs on it. */
export default function SpeedsStage() {
  const plan = usePlan()
  const { positions, jobs, settings } = useEvaluation()
  const derived = (id: 'minimumHz' | 'maximumHz' | 'leastSpeedRpm' | 'mostSpeedRpm') => {
    const line = settings.find((s) => s.id === id)
    return typeof line?.value === 'number' && plan.settings.chosen[id] === undefined
      ? `${printNumber(line.value, 4, 1)} ${heartOf(plan) === 'inverter' ? 'Hz' : 'rpm'}, ${line.basis}`
      : 'from the plan'
  }
  return (
    <>
      <StageHead
        stage="speeds"
        sections={
          isBareMotor(plan)
            ? ofTheShaft
            : [
                ...ofTheSpindle.filter(({ id }) => id !== 'search' || heartOf(plan) === 'inverter'),
                ...(hasCommands(plan) ? [{ id: 'commanded', name: 'Commanded' }] : []),
                ...(hasAxes(plan) ? [{ id: 'axes', name: 'Axes' }] : []),
              ]
        }
      />
      <div className="mb-3 grid grid-cols-2 items-start gap-x-3 gap-y-2 @wide:grid-cols-[150px_150px_170px_minmax(0,1fr)]">
        <QuantityField path="settings.chosen.minimumHz" placeholder={derived('minimumHz')} />
        <QuantityField path="settings.chosen.maximumHz" placeholder={derived('maximumHz')} />
        <QuantityField path="settings.chosen.leastSpeedRpm" placeholder={derived('leastSpeedRpm')} />
        <QuantityField path="settings.chosen.mostSpeedRpm" placeholder={derived('mostSpeedRpm')} />
        <QuantityField path="controls.knobTopHz" label="Top of the knob" placeholder="not measured" hint="" />
        {positions.length > 1 && (
          <Choices
            path="survey.mainPositionId"
            label="Position used most"
            options={positions.map((p) => ({ value: p.id, words: p.name }))}
          />
        )}
      </div>
      {positions.length === 0 ? (
        <div className="sheet flex flex-col items-start gap-2">
          <p>
            The ladder shows every speed of the motor as one of the spindle. It wants the pulleys of at least one belt
            position.
          </p>
          <button type="button" className="btn btn-main" onClick={() => goToField('survey.positions')}>
            Add the first belt position
          </button>
        </div>
      ) : (
        <Suspense fallback={<div className="h-[320px] rounded-lg border border-rule bg-card" />}>
          <Ladder />
        </Suspense>
      )}
      {positions.length > 0 && <PositionTable />}
      {jobs.length > 0 && <JobTable />}
      {positions.length > 0 && (
        <>
          {!isBareMotor(plan) && (
            <WhenSeen id="train" height={330}>
              <TrainSheet />
            </WhenSeen>
          )}
          <WhenSeen id="map" height={560}>
            <SpeedMapSheet />
          </WhenSeen>
          {!isBareMotor(plan) && (
            <>
              {heartOf(plan) === 'inverter' ? (
                <WhenSeen id="search" height={420}>
                  <SearchSheet />
                </WhenSeen>
              ) : (
                <p className="sheet mt-4 text-[15px]">
                  The search tries three-phase motors and drives; this machine has another heart. Pulleys are tried by
                  hand under Train.
                </p>
              )}
              <WhenSeen id="cards" height={400}>
                <MachineCards />
              </WhenSeen>
            </>
          )}
        </>
      )}
      {hasCommands(plan) && positions.length > 0 && (
        <WhenSeen id="commanded" height={300}>
          <CommandedSheet />
        </WhenSeen>
      )}
      {hasAxes(plan) && (
        <WhenSeen id="axes" height={300}>
          <AxesSheet />
        </WhenSeen>
      )}
    </>
  )
}
