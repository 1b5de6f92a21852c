import type { DrivePlate, MotorPlate, PlanPath } from '@zesty/core'

/** Fields of a plate as they are laid out, wherever the plate lies. */
export interface PlateFieldsProps<Plate extends object> {
  /** Path of a field of the plate. */
  at: (field: keyof Plate & string) => PlanPath
  /** Path of what it is called. */
  name: PlanPath
  /** Whether it must be called something. */
  needed?: boolean
}

export type MotorFieldsProps = PlateFieldsProps<Omit<MotorPlate, 'fieldVoltageV' | 'fieldCurrentA'>>
export type DriveFieldsProps = PlateFieldsProps<Omit<DrivePlate, 'resistor'>>
