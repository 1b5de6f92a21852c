import {
  isBareMotor,
  machineKinds,
  printQuantity,
  messageText,
  spindleNoses,
  type Plan,
  type PlanPath,
} from '@zesty/core'
import { machineStrokes, spindleAt } from '../../drawings/machineStrokes'
import { useEvaluation } from '../../state/evaluation'
import { usePlan } from '../../state/openPlan'
import { useUnits } from '../../state/units'
import { goToField } from '../../state/goToField'

const pulleyRadius = (mm: number, largestMm: number): number => Math.max(9, (44 * mm) / largestMm)

interface Part {
  x: number
  width: number
  label: string
  value: string
  path: PlanPath
}

/** The captions of the drawing, left to right; each leads to the fields it is about. */
function parts(plan: Plan, units: 'metric' | 'imperial', ratio: string): Part[] {
  const { survey, supply, motor, drive } = plan
  const volts =
    supply.voltageV === undefined
      ? 'not known'
      : `${printQuantity({ value: supply.voltageV, dimension: 'voltage' })}${supply.breakerA === undefined ? '' : `, ${printQuantity({ value: supply.breakerA, dimension: 'current' })}`}`
  const power =
    motor.powerW === undefined ? 'not known' : printQuantity({ value: motor.powerW, dimension: 'power' }, units)
  const output =
    drive.ratedOutputA === undefined ? 'not known' : printQuantity({ value: drive.ratedOutputA, dimension: 'current' })
  const holder = survey.holders[0]
  const before: Part[] = [
    { x: 8, width: 110, label: 'Wall', value: volts, path: 'supply.voltageV' },
    { x: 122, width: 84, label: 'Drive', value: output, path: 'drive.ratedOutputA' },
    { x: 216, width: 116, label: 'Motor', value: power, path: 'motor.powerW' },
  ]
  // A motor on the bench drives nothing.
  if (isBareMotor(plan)) return before
  return [
    ...before,
    { x: 340, width: 150, label: 'Belts', value: ratio, path: 'survey.positions' },
    {
      x: 510,
      width: 214,
      label: survey.spindleNose ? spindleNoses[survey.spindleNose] : 'Spindle nose',
      value:
        holder?.name ??
        (survey.spindleNose === 'none'
          ? survey.machineKind
            ? machineKinds[survey.machineKind]
            : ''
          : 'nothing mounted yet'),
      path: holder ? 'survey.holders' : 'survey.spindleNose',
    },
  ]
}

/** Wall, drive, motor, belt and the machine of the kind that was chosen, the pulleys true to each other. */
export function MachineDrawing() {
  const plan = usePlan()
  const units = useUnits()
  const { chain, positions } = useEvaluation()
  const main = positions.find((p) => p.main) ?? positions[0]
  const position = plan.survey.positions.find((p) => p.id === main?.id)
  const belt = position?.transmission.find((s) => s.driverMm !== undefined && s.drivenMm !== undefined)
  const largest = Math.max(belt?.driverMm ?? 1, belt?.drivenMm ?? 1)
  const driver = belt ? pulleyRadius(belt.driverMm ?? 1, largest) : 26
  const driven = belt ? pulleyRadius(belt.drivenMm ?? 1, largest) : 26
  const belts = chain.find((l) => l.id === 'belts')
  const headline = belts ? messageText(belts.headline, units) : ''
  const unknown = belt === undefined
  const bare = isBareMotor(plan)
  const [motorX, spindleX, axisY] = [336, 478, 66]
  return (
    <div className="overflow-x-auto rounded-lg border border-rule bg-card">
      <div className="relative h-[176px] min-w-[728px]">
        <svg
          viewBox="0 0 728 176"
          className="absolute inset-0 h-full w-full"
          fill="none"
          stroke="currentColor"
          strokeWidth="2"
          aria-hidden="true"
        >
          {/* Wall plate and cable */}
          <rect x="14" y="38" width="50" height="50" rx="7" fill="var(--paper)" />
          <circle cx="31" cy="58" r="3.5" fill="currentColor" />
          <circle cx="47" cy="58" r="3.5" fill="currentColor" />
          <path d="M39 70v8" />
          <path d="M64 63h62M180 84c22 0 6-52 44-52h22" stroke="var(--blue)" strokeWidth="3" />
          {/* The drive on the wall, its keypad and terminals */}
          <rect x="126" y="22" width="54" height="82" rx="5" fill="var(--paper)" />
          <path
            d="M136 32h34v18h-34zM138 62h8M150 62h8M162 62h8M138 72h8M150 72h8M162 72h8M132 90h42"
            strokeWidth="1.5"
          />
          {/* Motor body with fins, terminal box and shaft */}
          <rect x="220" y="40" width="84" height="52" rx="10" fill="var(--paper)" />
          <path d="M234 46v40M246 46v40M258 46v40M270 46v40M282 46v40" strokeWidth="1.3" stroke="var(--ink-2)" />
          <rect x="242" y="24" width="40" height="17" rx="3" fill="var(--card)" />
          <path d="M226 92v10h22v-10M276 92v10h22v-10M304 66h32" />
          {!bare && (
            <>
              <path
                d={`M${motorX} ${axisY - driver}L${spindleX} ${axisY - driven}M${motorX} ${axisY + driver}L${spindleX} ${axisY + driven}`}
                stroke="var(--blue)"
                strokeWidth="3"
                strokeDasharray={unknown ? '6 5' : undefined}
              />
              <Pulley x={motorX} y={axisY} radius={driver} unknown={unknown} />
              <Pulley x={spindleX} y={axisY} radius={driven} unknown={unknown} />
            </>
          )}
          <MachineThere plan={plan} joined={!bare} />
        </svg>
        {parts(plan, units, headline).map((p) => (
          <button
            key={p.label}
            type="button"
            style={{ left: `${(p.x / 728) * 100}%`, width: `${(p.width / 728) * 100}%` }}
            className="absolute bottom-1 min-h-11 rounded px-1.5 text-left leading-tight"
            onClick={() => goToField(p.path)}
          >
            <span className="label block truncate">{p.label}</span>
            <span className="block truncate font-cond text-[18px] font-semibold underline decoration-edge decoration-dotted underline-offset-4">
              {p.value}
            </span>
          </button>
        ))}
      </div>
    </div>
  )
}

/** A pulley on its shaft; broken where its size is not known. */
function Pulley({ x, y, radius, unknown }: { x: number; y: number; radius: number; unknown: boolean }) {
  return (
    <>
      <circle cx={x} cy={y} r={radius} fill="var(--card)" strokeDasharray={unknown ? '5 4' : undefined} />
      <circle cx={x} cy={y} r="4" fill="currentColor" />
    </>
  )
}

/** How much larger than on a ticket the machine is drawn, and where. */
const SCALE = 1.75
const [LEFT, TOP] = [540, 22]

/** The machine as one stands at it, which way its spindle turns, and who stands there. */
function MachineThere({ plan: { survey }, joined }: { plan: Plan; joined: boolean }) {
  const kind = survey.machineKind ?? 'other'
  const turns = spindleAt[kind]
  // A motor on the bench is drawn already: its own shaft turns.
  const at = joined ? turns && [LEFT + SCALE * turns[0], TOP + SCALE * turns[1]] : [340, 66]
  const [x = 0, y = 0] = at ?? []
  const clockwise = survey.forward === 'clockwise'
  return (
    <>
      {joined && <path d="M478 66h62" strokeWidth="3" strokeDasharray={at ? undefined : '5 4'} />}
      {joined && (
        <g
          transform={`translate(${LEFT} ${TOP}) scale(${SCALE})`}
          strokeWidth={1.3}
          strokeLinecap="round"
          strokeLinejoin="round"
        >
          <path d={machineStrokes[kind]} />
        </g>
      )}
      {at && survey.forward !== undefined && (
        <path
          data-turns={survey.forward}
          d={
            clockwise
              ? `M${x - 19} ${y + 3}a19 19 0 1 1 22 16m4 -7l-4 7l8 2`
              : `M${x + 19} ${y + 3}a19 19 0 1 0 -22 16m-4 -7l4 7l-8 2`
          }
          stroke="var(--blue)"
          strokeWidth="2.5"
        />
      )}
      {/* Whoever runs it, facing it. */}
      <g stroke="var(--ink-2)" data-stands="" transform={joined ? undefined : 'translate(-270 0)'}>
        <circle cx="700" cy="48" r="8" fill="var(--paper)" />
        <path d="M700 56v34M700 64l-14 12M700 64l10 16M700 90l-8 24M700 90l8 24" />
        <path d="M690 50L676 52" strokeDasharray="3 3" strokeWidth="1.4" />
      </g>
      {joined && <path d="M528 118h186" strokeWidth="1.3" />}
    </>
  )
}
