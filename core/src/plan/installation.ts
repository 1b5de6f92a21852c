import { z } from 'zod'
import { choice, quantity, yesNo } from './field'

export const places = {
  'at-machine': 'On the machine',
  apart: 'In a clean place, apart',
  'in-box': 'In a closed box',
} as const
export type Place = keyof typeof places

export const boxMaterials = { steel: 'Painted steel', plastic: 'Plastic', 'bare-metal': 'Bare metal' } as const

export const flowInterlocks = {
  'stops-it': 'A flow switch stops it',
  none: 'Nothing watches it',
  'no-liquid': 'No liquid cools it',
} as const
export const boxDuties = { 'all-day': 'All day', half: 'Half of the time', seldom: 'Now and then' } as const

/** Where the drive hangs, and the leads between it and the motor. */
export const installationSchema = z.strictObject({
  place: choice('Where the drive hangs', places),
  boxWidthMm: quantity('length', 'Box width', 50, 3000),
  boxHeightMm: quantity('length', 'Box height', 50, 3000),
  boxDepthMm: quantity('length', 'Box depth', 50, 2000),
  boxMaterial: choice('Box of', boxMaterials),
  boxDuty: choice('At full load it runs', boxDuties, 'All day unless you say so: it decides how hot a closed box gets'),
  filterFanM3PerH: quantity('airflow', 'Filter fan in the box', 5, 1000, 'Air that it moves through its filter'),
  roomC: quantity('temperature', 'Hottest in the shop', -10, 60),
  altitudeM: quantity('distance', 'Height above the sea', 0, 5000),
  motorCableM: quantity('distance', 'Motor cable', 0.2, 300, 'Drive to motor'),
  motorCableMm2: quantity('area', 'Wire in the motor cable', 0.5, 95, 'Of each conductor'),
  flowInterlock: choice('Flow of the cooling liquid', flowInterlocks, 'For a spindle that liquid cools'),
  outputFilter: yesNo('Reactor or dV/dt filter at the drive'),
})
