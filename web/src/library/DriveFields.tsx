import { SelectField, YesNoField } from '../parts/ChoiceField'
import { QuantityField } from '../parts/QuantityField'
import { WordsField } from '../parts/WordsField'
import { ManualFields } from './ManualFields'
import type { DriveFieldsProps } from './PlateFieldsProps'

/** Name, plate and manual of one drive: of the library, or thought of in a plan. */
export function DriveFields({ at, name, needed = false }: DriveFieldsProps) {
  return (
    <>
      <div className="grid grid-cols-2 gap-x-3 gap-y-2 @wide:grid-cols-4">
        <WordsField path={name} label="Called" longest={80} needed={needed} />
        <SelectField path={at('input')} />
        <QuantityField path={at('inputVoltageV')} placeholder="230 V" hint="" />
        <QuantityField path={at('inputVoltageTopV')} placeholder="same" hint="" />
        <QuantityField path={at('powerW')} placeholder="1.5 kW" />
        <QuantityField path={at('ratedOutputA')} placeholder="7.0 A" />
        <QuantityField path={at('ratedInputA')} placeholder="14.5 A" hint="" />
        <QuantityField path={at('maximumHz')} placeholder="400 Hz" />
        <SelectField path={at('control')} />
        <QuantityField path={at('minimumOhm')} label="Smallest resistor" placeholder="80 Ω" />
        <QuantityField path={at('manualProtectionA')} label="Largest fuse" placeholder="25 A" />
        <SelectField path={at('jumper')} />
        <QuantityField path={at('singlePhaseFactor')} placeholder="43 % typical" />
        <YesNoField path={at('doubler')} />
        <YesNoField path={at('brakeChopper')} />
        <YesNoField path={at('singlePhasePermitted')} />
        <YesNoField path={at('lineStartLockout')} />
      </div>
      <ManualFields at={at} />
    </>
  )
}
