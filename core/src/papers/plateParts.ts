import { positionName } from '../plan'
import { settingNames } from '../stages/settingTable'
import { heading, part, table, type PaperPart } from './paper'
import type { PaperSource } from './source'

export function platesPart({ plan, print }: PaperSource): PaperPart {
  const { motor, drive, supply, oldMotor } = plan
  const rows = (all: readonly (readonly [string, string | undefined])[]) =>
    table(
      [0.4, 0.6],
      ['What', 'As it is'],
      all.flatMap(([what, is]) => (is === undefined || is === 'not known' ? [] : [[what, is]])),
    )
  return part('Plates and wall', [
    heading('Motor'),
    ...rows([
      ['Power', print('power', motor.powerW)],
      ['Volts, lower', print('voltage', motor.lowVoltageV)],
      ['Volts, higher', print('voltage', motor.highVoltageV)],
      ['Amps, lower', print('current', motor.lowVoltageA)],
      ['Amps, higher', print('current', motor.highVoltageA)],
      ['Hertz', print('frequency', motor.ratedFrequencyHz)],
      ['Speed', print('speed', motor.ratedSpeedRpm)],
      ['Frame', motor.frame],
      ['Linked in', motor.connection],
    ]),
    heading('Drive'),
    ...rows([
      ['Called', drive.name],
      ['Power', print('power', drive.powerW)],
      ['Output', print('current', drive.ratedOutputA)],
      ['Input', print('current', drive.ratedInputA)],
    ]),
    heading('Wall'),
    ...rows([
      ['Volts', print('voltage', supply.voltageV)],
      ['Phases', supply.phases === undefined ? undefined : String(supply.phases)],
      ['Hertz', print('frequency', supply.frequencyHz)],
      ['Breaker', print('current', supply.breakerA)],
    ]),
    heading('The motor that was there'),
    ...rows([
      ['Power', print('power', oldMotor.powerW)],
      ['Speed', print('speed', oldMotor.ratedSpeedRpm)],
      ['Frame', oldMotor.frame],
    ]),
  ])
}

export const readBackPart = ({ plan }: PaperSource): PaperPart =>
  part(
    'Settings as they were read',
    [
      ...table(
        [0.6, 0.4],
        ['Setting', 'The drive holds'],
        Object.entries(plan.settings.inDrive).map(([id, value]) => [
          settingNames[id as keyof typeof settingNames],
          String(value),
        ]),
      ),
      ...table(
        [0.5, 0.5],
        ['Code', 'As it was found'],
        Object.entries(plan.settings.asFound ?? {}).map(([code, value]) => [code, value]),
      ),
    ],
    'Nothing was read back from the drive.',
  )

export const foundPart = ({ plan, print }: PaperSource): PaperPart =>
  part(
    'Old wires, as they were found',
    [
      ...table(
        [0.1, 0.22, 0.22, 0.14, 0.32],
        ['Tag', 'From', 'To', 'Colour', 'Note'],
        (plan.wiring.asFound ?? []).map((w) => [w.tag ?? '', w.from ?? '', w.to ?? '', w.colour ?? '', w.note ?? '']),
        true,
      ),
      ...table(
        [0.3, 0.35, 0.35],
        ['Belt position', 'Spindle', 'Original top speed'],
        plan.survey.positions.map((p, i) => [
          positionName(p, i),
          print('speed', p.knownSpindleRpm),
          print('speed', plan.survey.originalTopRpm),
        ]),
      ),
    ],
    'No wire was noted before it was taken off.',
  )
