import { cut, parseSupplyWords, set } from '@zesty/core'
import { useUnits } from '../state/units'
import { ChoiceField, Choices, SelectField } from '../parts/ChoiceField'
import { useHeld } from '../parts/fieldDocument'
import { QuantityField } from '../parts/QuantityField'
import { printedAt } from '../parts/quantityText'
import { TypedField } from '../parts/TypedField'

/** What a circuit gives and what makes it, in the shop's own words: of a plan, or of the shop. */
export function WallFields() {
  const source = useHeld('supply.supplyUnit')
  const made = typeof source === 'string' && source !== 'mains'
  return (
    <>
      <VoltsField made={made} />
      <QuantityField path="supply.breakerA" placeholder="16 A" hint="The number on it" />
      <Choices
        path="supply.phases"
        label="Phases"
        options={[
          { value: '1', words: 'One', holds: 1 },
          { value: '3', words: 'Three', holds: 3 },
        ]}
      />
      <Choices
        path="supply.frequencyHz"
        label="Mains hertz"
        options={[
          { value: '50', words: '50 Hz', holds: 50 },
          { value: '60', words: '60 Hz', holds: 60 },
        ]}
      />
      <ChoiceField path="supply.topology" wide />
      <SelectField path="supply.supplyUnit" none="The mains" wide />
      {made && <SourceFields source={source} />}
    </>
  )
}

/** What stands between the wall and the drive, and the wall behind it. */
function SourceFields({ source }: { source: string }) {
  return (
    <>
      {source === 'rotary-converter' && <QuantityField path="supply.supplyUnitW" placeholder="4 kW" />}
      {(source === 'transformer' || source === 'generator') && (
        <QuantityField path="supply.supplyUnitVA" placeholder="5 kVA" />
      )}
      {source !== 'generator' && (
        <>
          <QuantityField path="supply.wallVoltageV" placeholder="230 V" />
          <QuantityField path="supply.wallBreakerA" placeholder="32 A" />
        </>
      )}
    </>
  )
}

/** Volts, or words such as "two hot legs", which also say how many phases there are. */
function VoltsField({ made }: { made: boolean }) {
  const held = useHeld('supply.voltageV')
  const units = useUnits()
  return (
    <TypedField
      path="supply.voltageV"
      label={made ? 'What it gives the drive' : 'What the wall gives'}
      hint="In one line: 230 V live and neutral, 50 Hz, 16 A"
      placeholder="230 V"
      printed={printedAt('supply.voltageV', held, units)}
      read={(text) => {
        if (text.trim() === '')
          return { ok: true, value: [set('supply.voltageV', undefined), set('supply.calledAs', undefined)] }
        const words = parseSupplyWords(text)
        if (!words.ok) return words
        const { voltageV, phases, topology, frequencyHz, breakerA } = words.value
        return {
          ok: true,
          value: [
            set('supply.voltageV', voltageV),
            set('supply.calledAs', cut(text.trim(), 60)),
            ...(phases === undefined ? [] : [set('supply.phases', phases)]),
            ...(topology === undefined ? [] : [set('supply.topology', topology)]),
            ...(frequencyHz === undefined ? [] : [set('supply.frequencyHz', frequencyHz)]),
            ...(breakerA === undefined ? [] : [set('supply.breakerA', breakerA)]),
          ],
        }
      }}
    />
  )
}
