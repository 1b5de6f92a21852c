import { beltPower, beltSlipTorque, beltSpanTension, beltPress, beltTension } from '../drivetrain'
import type { BeltLie, BeltName } from './beltLie'
import type { BeltPulleys } from './beltPulleys'
import { numberOf, onPlanning, type Reading } from './figure'
import type { Ledger } from './ledger'

/** What the motor asks of a belt, at the belt's own driving shaft. */
export interface BeltLoad {
  powerW: Reading
  /** Rated torque and speed of the driving pulley. */
  torqueNm: Reading
  speedRpm: Reading
}

/** What a belt bears, and what it holds at the tension it has. */
export interface BeltCarry {
  /** One belt, by the maker or by its section. */
  beltW: Reading | undefined
  /** Belts side by side that the motor's power wants. */
  beltsWanted: Reading | undefined
  /** Torque on the small pulley at a start. */
  startNm: Reading
  /** Each side at rest, all belts together, so that the start does not slip. */
  standingN: Reading
  /** Each side at rest as it was pressed, and where it then slips. */
  foundN: Reading | undefined
  slipsNm: Reading | undefined
}

/** A start takes half as much again as rated torque; the belt must hold that. */
const START = 1.5

/** Power counted for each that the motor gives: chatter, chips, and starts. */
export const SERVICE = 1.2

const factors = {
  start: { label: 'Torque of a start over rated torque', value: START },
  service: { label: 'Power to plan for over the motor’s', value: SERVICE },
}

/** A planning factor as a figure, so that what is made with it says so. */
function planned(ledger: Ledger, which: keyof typeof factors): Reading {
  const { label, value } = factors[which]
  return ledger.typical({ id: `belts.${which}Factor`, label, dimension: 'number' }, value, 'A planning value for belts')
}

export function beltCarry(
  ledger: Ledger,
  belt: BeltName,
  pulleys: BeltPulleys,
  lie: BeltLie,
  load: BeltLoad,
): BeltCarry {
  const { stage, path, id, name } = belt
  const [driver, small] = [numberOf(pulleys.driverMm) ?? 1, numberOf(pulleys.smallMm) ?? 1]
  const onSmall = driver / small
  const beltW = rating(ledger, belt, pulleys, lie, load)
  const [powerW, oneW] = [numberOf(load.powerW), beltW && numberOf(beltW)]
  const beltsWanted =
    beltW === undefined || powerW === undefined || oneW === undefined
      ? undefined
      : ledger.stated(
          { id: `${id}.beltsWanted`, label: `${name}: belts wanted for this motor`, dimension: 'number' },
          Math.ceil((SERVICE * powerW) / oneW),
          'computed',
          [load.powerW, beltW, planned(ledger, 'service')],
          'The motor’s power times that factor, over what one belt bears',
        )
  const start = {
    id: `${id}.startNm`,
    label: `${name}: torque on the small pulley at a start`,
    dimension: 'torque' as const,
  }
  const torque = numberOf(load.torqueNm)
  const startNm =
    torque === undefined
      ? ledger.block(start, [load.torqueNm])
      : ledger.stated(
          start,
          (START * torque) / onSmall,
          'computed',
          [load.torqueNm, pulleys.driverMm, pulleys.smallMm, planned(ledger, 'start')],
          'Rated torque times that factor, at the small pulley',
        )
  const grip = { diameterMm: pulleys.smallMm, wrapSmallDeg: lie.wrapDeg }
  const { standingN } = ledger.compute(
    beltTension,
    { standingN: { id: `${id}.standingN`, label: `${name}: pull of each side at rest`, dimension: 'force' } },
    { torqueNm: startNm, ...grip },
  )
  const span = {
    largeMm: pulleys.largeMm,
    smallMm: pulleys.smallMm,
    centreMm: lie.centreMm,
    crossed: { raw: stage.kind === 'crossed-belt', shown: stage.kind === 'crossed-belt', label: 'Crossed' },
  }
  const belts = stage.belts ?? 1
  const each = shared(ledger, standingN, belts, { id: `${id}.eachN`, label: `${name}: pull of each side of one belt` })
  ledger.compute(
    beltPress,
    {
      pressMm: { id: `${id}.pressMm`, label: `${name}: press the middle in by`, dimension: 'length' },
      forceN: { id: `${id}.pressN`, label: `${name}: with a force of`, dimension: 'force' },
    },
    { ...span, standingN: each },
  )
  if (stage.pressN === undefined || stage.pressMm === undefined)
    return { beltW, beltsWanted, startNm, standingN, foundN: undefined, slipsNm: undefined }
  const found = ledger.compute(
    beltSpanTension,
    { standingN: { id: `${id}.oneFoundN`, label: `${name}: pull of one belt as it is`, dimension: 'force' } },
    { ...span, forceN: ledger.given(`${path}.pressN`), pressMm: ledger.given(`${path}.pressMm`) },
  ).standingN
  const foundN = shared(ledger, found, 1 / belts, { id: `${id}.foundN`, label: `${name}: pull of each side as it is` })
  return {
    beltW,
    beltsWanted,
    startNm,
    standingN,
    foundN,
    // The grip that belts are designed by is a planning value too.
    slipsNm: onPlanning(
      ledger.compute(
        beltSlipTorque,
        { torqueNm: { id: `${id}.slipsNm`, label: `${name}: slips at, on the small pulley`, dimension: 'torque' } },
        { standingN: foundN, ...grip },
      ).torqueNm,
    ),
  }
}

/** A pull divided among belts side by side. */
function shared(ledger: Ledger, of: Reading, among: number, naming: { id: string; label: string }): Reading {
  const value = numberOf(of)
  return value === undefined
    ? ledger.block(naming, [of])
    : ledger.stated({ ...naming, dimension: 'force' }, value / among, 'computed', [of], 'Belts side by side pull alike')
}

/** What one belt bears: the maker's rating, or the section's planning value. Only V-belts have one here. */
function rating(
  ledger: Ledger,
  { stage, path, id, name }: BeltName,
  pulleys: BeltPulleys,
  lie: BeltLie,
  load: BeltLoad,
) {
  if (stage.ratedBeltW !== undefined) return ledger.given(`${path}.ratedBeltW`)
  if (pulleys.profile?.form !== 'v') return undefined
  const speed = numberOf(load.speedRpm)
  const [driver, small] = [numberOf(pulleys.driverMm) ?? 1, numberOf(pulleys.smallMm) ?? 1]
  const naming = { id: `${id}.smallRpm`, label: `${name}: small pulley at rated speed`, dimension: 'speed' as const }
  const speedRpm =
    speed === undefined
      ? ledger.block(naming, [load.speedRpm])
      : ledger.stated(naming, (speed * driver) / small, 'computed', [load.speedRpm, pulleys.driverMm, pulleys.smallMm])
  const { beltW } = ledger.compute(
    beltPower,
    { beltW: { id: `${id}.beltW`, label: `${name}: one belt bears`, dimension: 'power' } },
    {
      section: { raw: pulleys.profile.id, shown: pulleys.profile.id, label: 'Section' },
      diameterMm: pulleys.smallMm,
      speedRpm,
      wrapSmallDeg: lie.wrapDeg,
    },
  )
  return onPlanning(beltW)
}
