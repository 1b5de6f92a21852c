import { frameSize, type FrameSize } from '../data/frameSizes'
import { boxSides, coolings, mountings, type MotorPlate, type OldMotor } from '../plan'
import { amount, message, type Dimension, type Message } from '../quantities'

export type FitVerdict = 'fits' | 'adapt' | 'no' | 'unknown'

/** One thing compared between the motor that stands there and one thought of. */
export interface FitLine {
  what: string
  dimension: Dimension | undefined
  /** A length or mass, or a choice in words. */
  old: number | string | undefined
  new: number | string | undefined
  /** True where the new one's size follows from its frame rather than from its drawing. */
  byFrame: boolean
  verdict: FitVerdict
  says: Message
}

type Sized = Pick<MotorPlate, 'frame'> & { [K in keyof FrameSize]?: number | undefined }

/** A size as typed, or else as its frame has it. */
function sizeOf(motor: Sized, key: keyof FrameSize): { value: number | undefined; byFrame: boolean } {
  const own = motor[key]
  if (own !== undefined) return { value: own, byFrame: false }
  const standard = motor.frame === undefined ? undefined : frameSize(motor.frame)
  return { value: standard?.[key], byFrame: standard !== undefined }
}

/** Sizes nearer than this are the same. */
const SAME_MM = 0.6
const HEAVIER = 1.25

const mm = (value: number) => amount('length', value)

/** Whether a motor goes where the old one stood: what fits, what must be adapted, and what does not. */
export function motorFit(old: OldMotor, motor: MotorPlate): FitLine[] {
  const sized = (
    what: string,
    key: keyof FrameSize,
    judge: (old: number, now: number) => { verdict: FitVerdict; says: Message },
  ): FitLine => {
    const [was, now] = [sizeOf(old, key), sizeOf(motor, key)]
    const line = { what, dimension: 'length' as const, old: was.value, new: now.value, byFrame: now.byFrame }
    if (was.value === undefined || now.value === undefined)
      return {
        ...line,
        verdict: 'unknown',
        says: message`Measure ${was.value === undefined ? 'the old one' : 'the new one'}, or type its frame.`,
      }
    return Math.abs(now.value - was.value) <= SAME_MM
      ? { ...line, verdict: 'fits', says: message`Same.` }
      : { ...line, ...judge(was.value, now.value) }
  }
  return [
    sized('Shaft height', 'centreHeightMm', (was, now) => {
      if (now < was) return { verdict: 'adapt', says: message`Riser block of ${mm(was - now)} under the feet.` }
      const drop = old.raiseMm
      if (drop === undefined)
        return {
          verdict: 'adapt',
          says: message`The motor plate must go ${mm(now - was)} lower: measure whether it can.`,
        }
      return drop >= now - was
        ? { verdict: 'adapt', says: message`Set the motor plate ${mm(now - was)} lower; it can go ${mm(drop)}.` }
        : { verdict: 'no', says: message`It stands ${mm(now - was)} taller; the plate can go only ${mm(drop)} lower.` }
    }),
    sized('Feet, across', 'footAcrossMm', (was, now) => feet(was, now)),
    sized('Feet, along', 'footAlongMm', (was, now) => feet(was, now)),
    sized('Shaft', 'shaftMm', (was, now) =>
      now < was
        ? { verdict: 'adapt', says: message`Sleeve the pulley from ${mm(was)} to ${mm(now)}, with its key.` }
        : {
            verdict: 'adapt',
            says: message`Bore the pulley from ${mm(was)} to ${mm(now)} and cut a new keyway; see that enough hub is left.`,
          },
    ),
    sized('Shaft length', 'shaftLengthMm', (was, now) =>
      now < was
        ? { verdict: 'adapt', says: message`${mm(was - now)} shorter: the hub must still sit on its whole key.` }
        : { verdict: 'adapt', says: message`${mm(now - was)} longer: set the pulley in, or face the end off.` },
    ),
    overall(old, motor),
    fanEnd(old, motor),
    choiceLine(
      'Terminal box',
      old.boxSide,
      motor.boxSide,
      boxSides,
      'Its lid must open and its cable must bend: turn the box, or the motor end for end.',
    ),
    choiceLine(
      'Held by',
      old.mounting,
      motor.mounting,
      mountings,
      'Another way of holding it: a bracket or an adapter plate.',
    ),
    mass(old, motor),
    speed(old, motor),
  ]
}

const feet = (was: number, now: number): { verdict: FitVerdict; says: Message } => ({
  verdict: 'adapt',
  says: message`${now > was ? 'Wider' : 'Narrower'} by ${mm(Math.abs(now - was))}: new slots in the plate, or an adapter plate.`,
})

function overall(old: OldMotor, motor: MotorPlate): FitLine {
  const line = {
    what: 'Length over all',
    dimension: 'length' as const,
    old: old.overallMm,
    new: motor.overallMm,
    byFrame: false,
  }
  const room = old.roomMm
  if (motor.overallMm === undefined)
    return { ...line, verdict: 'unknown', says: message`No frame fixes it: ask for the drawing.` }
  if (room !== undefined)
    return motor.overallMm <= room
      ? { ...line, verdict: 'fits', says: message`There is room for ${mm(room)}.` }
      : {
          ...line,
          verdict: 'no',
          says: message`${mm(motor.overallMm - room)} too long for the room there is, ${mm(room)}.`,
        }
  if (old.overallMm === undefined) return { ...line, verdict: 'unknown', says: message`Measure the room there is.` }
  return motor.overallMm <= old.overallMm
    ? { ...line, verdict: 'fits', says: message`No longer than the old one.` }
    : {
        ...line,
        verdict: 'adapt',
        says: message`${mm(motor.overallMm - old.overallMm)} longer than the old one: measure the room, and leave a hand’s width for the fan’s air.`,
      }
}

/** Air that a fan cover wants before it; typical. */
const AIR_MM = 40

/** The fan draws at the end away from the shaft, where motors stand against walls. */
function fanEnd(old: OldMotor, { overallMm, cooling }: MotorPlate): FitLine {
  const line = {
    what: 'Fan end',
    dimension: undefined,
    old: undefined,
    new: cooling && coolings[cooling],
    byFrame: false,
  }
  if (cooling === undefined) return { ...line, verdict: 'unknown', says: message`Look at how it is cooled.` }
  if (cooling === 'liquid-or-none') return { ...line, verdict: 'fits', says: message`No fan that wants air there.` }
  const air = old.roomMm === undefined || overallMm === undefined ? undefined : old.roomMm - overallMm
  const blower = cooling === 'blower' ? ' Its blower wants a supply of its own from the wall, never from U, V, W.' : ''
  if (air === undefined)
    return { ...line, verdict: 'unknown', says: message`Measure the room: ${mm(AIR_MM)} of air is typical.${blower}` }
  return air >= AIR_MM
    ? { ...line, verdict: blower ? 'adapt' : 'fits', says: message`${mm(air)} of air is left.${blower}` }
    : {
        ...line,
        verdict: 'adapt',
        says: message`Only ${mm(Math.max(0, air))} of air is left; ${mm(AIR_MM)} is typical.${blower}`,
      }
}

function choiceLine(
  what: string,
  was: string | undefined,
  now: string | undefined,
  words: Readonly<Record<string, string>>,
  otherwise: string,
): FitLine {
  const named = (v: string | undefined) => (v === undefined ? undefined : words[v])
  const line = { what, dimension: undefined, old: named(was), new: named(now), byFrame: false }
  if (was === undefined || now === undefined) return { ...line, verdict: 'unknown', says: message`Look at both.` }
  const same = was === now || now === 'both'
  return same ? { ...line, verdict: 'fits', says: message`Same.` } : { ...line, verdict: 'adapt', says: [otherwise] }
}

function mass(old: OldMotor, motor: MotorPlate): FitLine {
  const line = { what: 'Mass', dimension: 'mass' as const, old: old.massKg, new: motor.massKg, byFrame: false }
  if (old.massKg === undefined || motor.massKg === undefined)
    return { ...line, verdict: 'unknown', says: message`Weigh it, or ask.` }
  return motor.massKg <= old.massKg * HEAVIER
    ? { ...line, verdict: 'fits', says: message`The plate carried as much before.` }
    : {
        ...line,
        verdict: 'adapt',
        says: message`${amount('mass', motor.massKg - old.massKg)} heavier: look at the hinge and bolts of its plate.`,
      }
}

/** Speeds nearer than this keep the pulleys as they are. */
const SAME_SPEED = 0.06

function speed(old: OldMotor, motor: MotorPlate): FitLine {
  const [was, now] = [old.ratedSpeedRpm, motor.ratedSpeedRpm]
  const line = { what: 'Speed', dimension: 'speed' as const, old: was, new: now, byFrame: false }
  if (was === undefined || now === undefined) return { ...line, verdict: 'unknown', says: message`Type both plates.` }
  const times = now / was
  return Math.abs(times - 1) <= SAME_SPEED
    ? { ...line, verdict: 'fits', says: message`Pulleys and belt as they are.` }
    : {
        ...line,
        verdict: 'adapt',
        says:
          times > 1
            ? message`${Number(times.toFixed(2))} times as fast: a motor pulley as much smaller, and a shorter belt, or fewer hertz and less power.`
            : message`${Number((1 / times).toFixed(2))} times slower: a motor pulley as much larger, and a longer belt, or more hertz.`,
      }
}
