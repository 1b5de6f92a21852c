import { heartOf, type Plan, type SettingId } from '../../plan'
import type { SettingValue } from './settingLine'

type When = (value: SettingValue, plan: Plan) => boolean

const always: When = () => true
const whenIt =
  (is: SettingValue): When =>
  (value) =>
    value === is

/** What somebody may have left on in a drive of theirs, that starts it by itself: it is looked for and put off. */
const secondHand: When = (_, { settings }) => settings.state === 'second-hand'

const screwedOn = ({ survey }: Plan): boolean => survey.spindleNose === 'threaded'

/** Settings whose common default could hurt somebody, or spoil this plan, and when. */
const hurting: Readonly<Partial<Record<SettingId, When>>> = {
  ratedVoltageV: always,
  ratedCurrentA: always,
  baseFrequencyHz: always,
  armatureV: always,
  fieldA: always,
  fieldLossA: always,
  leastSpeedRpm: always,
  mostSpeedRpm: always,
  minimumHz: always,
  maximumHz: always,
  accelerationS: always,
  decelerationS: always,
  stopMode: always,
  overloadA: always,
  commandSource: always,
  referenceSource: always,
  startSpeed: always,
  restart: always,
  tripReset: always,
  loadType: always,
  runTimer: secondHand,
  sleepWake: secondHand,
  jogMemory: secondHand,
  ratedSpeedRpm: (_, plan) => plan.drive.control === 'vector',
  controlMode: whenIt('vector'),
  currentLimitA: (_, plan) => heartOf(plan) !== 'inverter',
  thermistorInput: whenIt('trips'),
  chopper: whenIt('on'),
  overVoltage: whenIt('trips'),
  turningStart: (_, plan) => screwedOn(plan),
  rideThrough: (_, plan) => screwedOn(plan),
  directionLock: (value, plan) => value === 'forward' && screwedOn(plan),
  relayTask: always,
  relayHz: always,
  relayBackHz: always,
  quickStopS: always,
  busAddress: always,
  busRate: always,
  busFraming: always,
  busLossS: always,
  busLossDoes: always,
  dcStopS: (value) => value !== 0,
  dcA: always,
}

/** Whether it matters what a drive holds here of which nothing is known. */
export const couldHurt = (plan: Plan, id: SettingId, value: SettingValue): boolean =>
  hurting[id]?.(value, plan) === true
