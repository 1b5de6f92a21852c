import { ChoiceField, SelectField } from '../parts/ChoiceField'
import { PairField, QuantityField } from '../parts/QuantityField'
import { WordsField } from '../parts/WordsField'
import type { MotorFieldsProps } from './PlateFieldsProps'

/** Name, plate and sizes of one motor: of the library, or thought of in a plan. */
export function MotorFields({ at, name, needed = false }: MotorFieldsProps) {
  return (
    <div className="grid grid-cols-2 gap-x-3 gap-y-2 @wide:grid-cols-3">
      <WordsField path={name} label="Called" longest={80} needed={needed} />
      <SelectField path={at('kind')} />
      <QuantityField path={at('powerW')} placeholder="1.5 kW" />
      <PairField low={at('lowVoltageV')} high={at('highVoltageV')} label="Volts" placeholder="230/400 V" />
      <PairField low={at('lowVoltageA')} high={at('highVoltageA')} label="Amps" placeholder="6.0/3.5 A" />
      <QuantityField path={at('ratedFrequencyHz')} placeholder="50 Hz" />
      <QuantityField path={at('ratedSpeedRpm')} placeholder="1420 rpm" />
      <QuantityField path={at('powerFactor')} placeholder="0.80" />
      <QuantityField path={at('breakdownRatio')} placeholder="2.5 typical" hint="Ma/Mn" />
      <QuantityField path={at('serviceFactor')} placeholder="not printed" />
      <SelectField path={at('cooling')} />
      <SelectField path={at('leads')} />
      <SelectField path={at('connection')} label="Links, as it will stand" />
      <SelectField path={at('winding')} />
      <SelectField path={at('insulationClass')} />
      <WordsField path={at('enclosure')} placeholder="IP55" longest={20} hint="" />
      <WordsField path={at('frame')} placeholder="90L" longest={20} hint="" />
      <SelectField path={at('mounting')} />
      <QuantityField path={at('centreHeightMm')} placeholder="by its frame" hint="" />
      <QuantityField path={at('footAcrossMm')} placeholder="by its frame" hint="" />
      <QuantityField path={at('footAlongMm')} placeholder="by its frame" hint="" />
      <QuantityField path={at('shaftMm')} placeholder="by its frame" />
      <QuantityField path={at('shaftLengthMm')} placeholder="by its frame" hint="" />
      <QuantityField path={at('overallMm')} placeholder="from its drawing" hint="" />
      <QuantityField path={at('massKg')} placeholder="16 kg" />
      <QuantityField path={at('price')} placeholder="185" />
      <ChoiceField path={at('boxSide')} wide />
    </div>
  )
}
