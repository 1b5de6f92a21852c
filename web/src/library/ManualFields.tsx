import { SelectField, YesNoField } from '../parts/ChoiceField'
import { QuantityField } from '../parts/QuantityField'
import { WordsField } from '../parts/WordsField'
import type { DriveFieldsProps } from './PlateFieldsProps'

/** Terminals, ratings and prices of a drive, for the plan's own and for one thought of. */
export function ManualFields({ at }: Pick<DriveFieldsProps, 'at'>) {
  return (
    <div className="pairs">
      <SelectField path={at('kind')} />
      <SelectField path={at('overloadClass')} />
      <WordsField path={at('enclosure')} placeholder="IP20" longest={20} hint="" />
      <SelectField path={at('fieldbus')} />
      <QuantityField path={at('carrierHz')} placeholder="4 kHz" hint="Higher costs output" />
      <QuantityField path={at('ratedCarrierHz')} placeholder="4 kHz" hint="" />
      <QuantityField path={at('ratedAmbientC')} placeholder="40 °C" hint="" />
      <QuantityField path={at('filterFarad')} placeholder="100 nF" hint="Of each live, to earth" />
      <QuantityField path={at('busFarad')} placeholder="by its power" hint="Printed on them" />
      <QuantityField path={at('tripV')} placeholder="by its volts" hint="" />
      <QuantityField path={at('chopperV')} placeholder="by its volts" hint="" />
      <QuantityField path={at('riseS')} placeholder="0.2 µs typical" hint="" />
      <QuantityField path={at('digitalInputs')} placeholder="6" />
      <QuantityField path={at('analogueInputs')} placeholder="2" />
      <QuantityField path={at('relays')} placeholder="1" />
      <QuantityField path={at('manualRating')} placeholder="1 to 5" hint="1 hopeless, 5 clear" />
      <YesNoField path={at('thermistorInput')} />
      <YesNoField path={at('safeTorqueOff')} />
      <YesNoField path={at('keypadLead')} />
      <QuantityField path={at('warrantyMonths')} placeholder="24" />
      <h3 className="label col-span-full mt-1 border-b border-ink-2 py-1">Prices, in your own money</h3>
      <QuantityField path={at('price')} placeholder="215" hint="Bare" />
      <QuantityField path={at('boxPrice')} placeholder="85" />
      <QuantityField path={at('resistorPrice')} placeholder="45" />
      <QuantityField path={at('keypadLeadPrice')} placeholder="30" />
      <QuantityField path={at('filterPrice')} placeholder="40" />
    </div>
  )
}
