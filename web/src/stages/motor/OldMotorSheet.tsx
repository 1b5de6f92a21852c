import { ChoiceField, SelectField } from '../../parts/ChoiceField'
import { QuantityField } from '../../parts/QuantityField'
import { WordsField } from '../../parts/WordsField'

/** The motor that stands in the machine now, and the room around it. */
export function OldMotorSheet() {
  return (
    <details className="mb-2 rounded-md border border-rule bg-paper px-3">
      <summary className="min-h-11 content-center font-semibold">The old motor and the room it has</summary>
      <div className="grid grid-cols-2 gap-x-3 gap-y-2 pb-3 @wide:grid-cols-4" data-path="oldMotor">
        <QuantityField path="oldMotor.powerW" placeholder="1.1 kW" />
        <QuantityField path="oldMotor.ratedSpeedRpm" placeholder="1425 rpm" />
        <WordsField path="oldMotor.frame" placeholder="90S" longest={20} hint="" />
        <SelectField path="oldMotor.mounting" />
        <QuantityField path="oldMotor.centreHeightMm" placeholder="by its frame" />
        <QuantityField path="oldMotor.footAcrossMm" placeholder="by its frame" hint="" />
        <QuantityField path="oldMotor.footAlongMm" placeholder="by its frame" hint="" />
        <QuantityField path="oldMotor.shaftMm" placeholder="by its frame" />
        <QuantityField path="oldMotor.shaftLengthMm" placeholder="by its frame" hint="" />
        <QuantityField path="oldMotor.overallMm" placeholder="296 mm" />
        <QuantityField path="oldMotor.roomMm" placeholder="340 mm" hint="Most that fits" />
        <QuantityField path="oldMotor.raiseMm" placeholder="12 mm" hint="For a taller motor" />
        <QuantityField path="oldMotor.massKg" placeholder="17 kg" />
        <ChoiceField path="oldMotor.boxSide" wide />
      </div>
    </details>
  )
}
