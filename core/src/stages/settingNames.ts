/** The settings every drive wants, under neutral names, in the order they are entered. */
export const settingNames = {
  ratedVoltageV: 'Motor volts',
  ratedCurrentA: 'Motor amps',
  baseFrequencyHz: 'Base hertz',
  ratedSpeedRpm: 'Motor rpm',
  minimumHz: 'Lowest hertz',
  maximumHz: 'Highest hertz',
  accelerationS: 'Acceleration',
  decelerationS: 'Deceleration',
  stopMode: 'On STOP',
  commandSource: 'RUN comes from',
  referenceSource: 'Speed comes from',
  overloadA: 'Overload amps',
  restart: 'After a power cut',
  startSpeed: 'Speed when RUN is pressed',
} as const

export type SettingId = keyof typeof settingNames
export const settingIds = Object.keys(settingNames) as SettingId[]
