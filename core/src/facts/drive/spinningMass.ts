import { densities } from '../../data/densities'
import { usualFrameMm } from '../../data/rotorInertia'
import { frictionShare, typedSizes } from '../../drivetrain'
import { frameHeightMm, torqueByCurrent } from '../../motor'
import { holderMaterials, type Holder, type TransmissionStage } from '../../plan'
import {
  cylinderInertia,
  inertiaSum,
  massInertia,
  pulleyInertia,
  ringInertia,
  rotorByFrame,
  runUpInertia,
  spindleInertia,
  steppedInertia,
} from '../../workholding'
import type { Knowing } from '../context'
import { isKnown, numberOf, type FigureState } from '../figure'
import { choice, named, unknownField, type Raw } from '../ledger'
import type { MotorFacts } from '../motor/motorKnown'
import type { MotorPhysics } from '../motor/motorPhysics'
import type { SpeedFacts } from '../spindle/speedFacts'
import { holderName } from '../spindle/spindleLimits'

/** What must be sped up and stopped, felt at the spindle on the position used most. */
export interface SpinningMass {
  /** The heaviest thing that is put on the spindle; of what always turns, where nothing else is. */
  heaviest: { name: string; index: number } | undefined
  /** Of each thing that may spin, in the order of the plan. */
  holders: FigureState[]
  rotor: FigureState
  /** None where the train has none with a diameter. */
  pulleys: FigureState | undefined
  /** The heaviest thing, with all that always turns. */
  load: FigureState
  /** That load, the pulleys and the rotor. */
  inertia: FigureState
}

type Before = Knowing<{ motor: MotorFacts; physics: MotorPhysics; speeds: SpeedFacts }>

/** Kinds whose rotor the planning table is made for. */
const cageKinds: ReadonlySet<string | undefined> = new Set([undefined, 'induction', 'pole-changing'])

/** Planning width of a pulley: 20 mm for each belt and a rim; of a flat, ribbed or toothed one. */
const WIDTH_PER_BELT_MM = 20
const RIM_MM = 6
const FLAT_WIDTH_MM = 35

export function spinningMass(context: Before): SpinningMass {
  const { plan, ledger, speeds } = context
  const { main } = speeds
  const rotor = rotorOf(context)
  const pulleys = pulleysOf(context)
  const own = { rotorKgM2: rotor, pulleysKgM2: pulleys, speedRatio: main?.speedRatio ?? noMain }
  const holders = plan.survey.holders.map((holder, index) => holderInertia(context, holder, index, own))
  const always = (index: number) => plan.survey.holders[index]?.alwaysTurns === true
  const known = holders.flatMap((inertia, index) => (isKnown(inertia) ? [{ inertia, index }] : []))
  const puton = known.filter(({ index }) => !always(index))
  const most = (puton.length > 0 ? puton : known).reduce<(typeof known)[number] | undefined>(
    (best, one) => (best && best.inertia.value >= one.inertia.value ? best : one),
    undefined,
  )
  const holder = most && plan.survey.holders[most.index]
  const naming = named('stop.inertia', 'Inertia at the spindle: what spins, pulleys and rotor', 'inertia')
  if (!most || !holder) {
    // Of what is there, its own field is asked; else what spins at all.
    const [unknown = unknownField('survey.holders', 'Size of what spins')] = holders
    const inertia = ledger.block(naming, [unknown])
    return { heaviest: undefined, holders, rotor, pulleys, load: inertia, inertia }
  }
  const others = holders.filter((_, index) => index !== most.index && always(index))
  const load = others.length === 0 ? most.inertia : together(context, [most.inertia, ...others])
  return {
    heaviest: { name: holderName(holder), index: most.index },
    holders,
    rotor,
    pulleys,
    load,
    inertia: ledger.derive(spindleInertia, 'inertiaKgM2', naming, { loadKgM2: load, ...own }),
  }
}

/** Things that turn together; not known while one of them is not. */
function together({ ledger }: Before, inertias: readonly FigureState[]): FigureState {
  const naming = named('stop.load', 'Inertia of what turns together on the spindle', 'inertia')
  if (!inertias.every(isKnown)) return ledger.block(naming, inertias)
  return ledger.derive(inertiaSum, 'inertiaKgM2', naming, {
    inertiasKgM2: {
      raw: inertias.map(numberOf),
      shown: `${inertias.length} of them`,
      label: 'What is put on, and what always turns',
      from: inertias,
    },
  })
}

const noMain = unknownField('survey.mainPositionId', 'Position used most')

/** The rotor's own figure, or the planning value of its frame; of the frame its power usually comes in, where unread. */
function rotorOf({ plan, ledger, motor }: Before): FigureState {
  const naming = named('motor.rotor', 'Inertia of the rotor', 'inertia')
  return ledger.givenOr('motor.rotorKgM2', () => {
    if (!cageKinds.has(plan.motor.kind)) return ledger.block(naming, [ledger.given('motor.rotorKgM2')])
    const read = plan.motor.frame === undefined ? undefined : frameHeightMm(plan.motor.frame)
    const usual = plan.motor.powerW === undefined ? undefined : usualFrameMm(plan.motor.powerW)
    const frameMm = read ?? usual
    if (frameMm === undefined) return ledger.block(naming, [unknownField('motor.frame', 'Frame')])
    return ledger.derive(
      rotorByFrame,
      'inertiaKgM2',
      naming,
      {
        frameMm: choice(frameMm, read === undefined ? 'Shaft height usual for its power, mm' : 'Shaft height, mm'),
        poles: motor.poles,
      },
      { planning: true, basis: () => 'typical' },
    )
  })
}

const widthOf = ({ kind, belts }: TransmissionStage): number =>
  kind === undefined || kind === 'v-belt' ? (belts ?? 1) * WIDTH_PER_BELT_MM + RIM_MM : FLAT_WIDTH_MM

/** Pulleys whose diameters are typed, as planning discs of iron; none where the train has none. */
function pulleysOf({ ledger, speeds: { main } }: Before): FigureState | undefined {
  if (!main || !isKnown(main.speedRatio)) return undefined
  // From the motor on, each shaft turns so often for one turn of the spindle.
  let turns = 1 / main.speedRatio.value
  const pulleys = main.position.transmission.flatMap((stage) => {
    const { driver, driven } = typedSizes(stage)
    const before = turns
    if (driver !== undefined && driven !== undefined) turns = (turns * driver) / driven
    const mm = [stage.driverMm, stage.drivenMm]
    return mm.flatMap((diameterMm, i) =>
      diameterMm === undefined ? [] : [{ diameterMm, widthMm: widthOf(stage), turns: i === 0 ? before : turns }],
    )
  })
  if (pulleys.length === 0) return undefined
  const naming = named('stop.pulleys', 'Inertia of the pulleys, at the spindle', 'inertia')
  return ledger.derive(
    pulleyInertia,
    'inertiaKgM2',
    naming,
    { pulleys: { raw: pulleys, shown: main.stages.shown, label: 'Pulleys', from: main.stages.from } },
    { planning: true, basis: () => 'typical' },
  )
}

/** Spindle torque of the amps that a motor took; of what its no-load amps are nothing turns it, where they are known. */
function torqueOfAmps(
  { ledger, motor, physics }: Before,
  holder: Holder,
  path: `survey.holders.${number}`,
  ratedNm: FigureState,
) {
  const amps = ledger.given(`${path}.runUpA`, `${holderName(holder)}: amps while it ran up`)
  return ledger.derive(
    torqueByCurrent,
    'torqueNm',
    named(`holder.${holder.id}.runUpTorque`, `Spindle torque while ${holderName(holder)} ran up`, 'torque'),
    {
      ratedTorqueNm: ratedNm,
      ratedCurrentA: motor.plateCurrentA,
      noLoadCurrentA: isKnown(physics.noLoadA) ? physics.noLoadA : undefined,
      currentA: amps,
    },
  )
}

const sumOf = (others: readonly FigureState[]): Raw =>
  others.length === 0
    ? choice(0, 'Nothing else on the spindle')
    : {
        raw: others.reduce((sum, one) => sum + (numberOf(one) ?? 0), 0),
        shown: `${others.length} of them`,
        label: 'What always turns',
        from: others,
      }

type Own = Record<'rotorKgM2' | 'speedRatio', FigureState> & { pulleysKgM2: FigureState | undefined }

/** Inertia of one thing that spins, by the way that is chosen: a full disc, its rim, its mass or a timed run-up. */
function holderInertia(context: Before, holder: Holder, index: number, own: Own): FigureState {
  const { ledger } = context
  const name = holderName(holder)
  const path = `survey.holders.${index}` as const
  const outer = ledger.given(`${path}.diameterMm`, `${name}: diameter`)
  const { material = 'steel' } = holder
  const densityKgM3: Raw = {
    raw: densities.kgM3[material],
    shown: `${densities.kgM3[material]} kg/m³`,
    label: `Density: ${holderMaterials[material].toLowerCase()}`,
  }
  const naming = (how: string) => named(`holder.${holder.id}.inertia`, `Inertia of ${name}, ${how}`, 'inertia')
  switch (holder.inertiaFrom) {
    case 'rim':
      return ledger.derive(ringInertia, 'inertiaKgM2', naming('as a rim'), {
        outerMm: outer,
        innerMm: ledger.given(`${path}.boreMm`, `${name}: inside of the rim`),
        lengthMm: ledger.given(`${path}.widthMm`, `${name}: width`),
        densityKgM3,
      })
    case 'drawing':
      return byDrawing(context, holder, path, densityKgM3)
    case 'mass':
      return ledger.derive(
        massInertia,
        'inertiaKgM2',
        naming('by its mass'),
        { massKg: ledger.given(`${path}.massKg`, `${name}: mass`), outerMm: outer },
        // That it is a full disc is a planning value.
        { planning: true },
      )
    case 'timing':
      return byRunUp(context, holder, path, own, alwaysTurning(context, index, own))
    default:
      return ledger.derive(
        cylinderInertia,
        'inertiaKgM2',
        naming(`as a disc of ${holderMaterials[material].toLowerCase()}`),
        { outerMm: outer, lengthMm: ledger.given(`${path}.widthMm`, `${name}: width`), densityKgM3 },
        // That it is a full disc, and of what, is a planning value.
        { planning: true },
      )
  }
}

/** By the steps of its drawing; one that lacks a size is asked for it. */
function byDrawing(
  { ledger }: Before,
  holder: Holder,
  path: `survey.holders.${number}`,
  densityKgM3: Raw,
): FigureState {
  const name = holderName(holder)
  const naming = named(`holder.${holder.id}.inertia`, `Inertia of ${name}, by its drawing`, 'inertia')
  const { steps = [] } = holder
  if (steps.length === 0) return ledger.block(naming, [unknownField(`${path}.steps`, `${name}: steps of its drawing`)])
  const sizes = steps.flatMap(({ boreMm }, i) => [
    ledger.given(`${path}.steps.${i}.outerMm`, `${name}: outside of step ${i + 1}`),
    ledger.given(`${path}.steps.${i}.lengthMm`, `${name}: length of step ${i + 1}`),
    ...(boreMm === undefined ? [] : [ledger.given(`${path}.steps.${i}.boreMm`, `${name}: bore of step ${i + 1}`)]),
  ])
  return ledger.derive(steppedInertia, 'inertiaKgM2', naming, {
    steps: {
      raw: steps.map(({ outerMm, boreMm, lengthMm }) => ({ outerMm, innerMm: boreMm ?? 0, lengthMm })),
      shown: `${steps.length} of them`,
      label: 'Steps of the drawing',
      from: sizes,
    },
    densityKgM3,
  })
}

/** What turns with a thing that is timed: all that always turns and is known otherwise. */
const alwaysTurning = (context: Before, timed: number, own: Own): FigureState[] =>
  context.plan.survey.holders.flatMap((holder, index) =>
    holder.alwaysTurns === true && holder.inertiaFrom !== 'timing' && index !== timed
      ? [holderInertia(context, holder, index, own)]
      : [],
  )

/**
 * By its run-up to the top speed of the position used most, less rotor, pulleys and what always turns: on rated torque, or
 * on the torque of the amps that were read while it ran up on a set ramp.
 */
function byRunUp(
  context: Before,
  holder: Holder,
  path: `survey.holders.${number}`,
  own: Own,
  others: readonly FigureState[],
): FigureState {
  const { ledger, tables, speeds } = context
  const { main } = speeds
  const name = holderName(holder)
  const ratedNm = main?.torqueNm ?? noMain
  const torqueNm = holder.runUpA === undefined ? ratedNm : torqueOfAmps(context, holder, path, ratedNm)
  const ownKgM2 = ledger.derive(
    spindleInertia,
    'inertiaKgM2',
    named('stop.ownInertia', 'Inertia of what turns with it, at the spindle', 'inertia'),
    { loadKgM2: sumOf(others), ...own },
  )
  const frictionNm = ledger.derive(
    frictionShare,
    'torqueNm',
    named('stop.runUpFrictionNm', 'Friction during the run-up', 'torque'),
    { torqueNm: ratedNm, share: choice(tables.planning.frictionShare.value, 'Share of torque') },
    { planning: true, basis: () => 'typical' },
  )
  return ledger.derive(
    runUpInertia,
    'inertiaKgM2',
    named(`holder.${holder.id}.inertia`, `Inertia of ${name}, by timing`, 'inertia'),
    {
      seconds: ledger.given(`${path}.runUpS`, `${name}: run-up`),
      speedRpm: main?.unloadedTopRpm ?? noMain,
      torqueNm,
      frictionNm,
      ownKgM2,
    },
    { basis: () => 'measured' },
  )
}
