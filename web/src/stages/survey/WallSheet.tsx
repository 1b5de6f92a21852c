import { parseSupplyWords, set } from '@zesty/core'
import { usePlan, useUnits } from '../../conversion/openPlan'
import { Choices, ChoiceField, YesNoField } from '../../parts/ChoiceField'
import { QuantityField } from '../../parts/QuantityField'
import { printedAt } from '../../parts/quantityText'
import { TypedField } from '../../parts/TypedField'

/** What the socket gives, in the shop's own words. */
export function WallSheet() {
  return (
    <section className="sheet" aria-labelledby="wall">
      <h2 id="wall" className="h-part mb-2">
        At the wall
      </h2>
      <div className="grid grid-cols-2 gap-x-3 gap-y-2.5">
        <WallField />
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
        <YesNoField path="supply.isolatorInReach" wide />
      </div>
    </section>
  )
}

/** Volts, or words such as "two hot legs", which also say how many phases there are. */
function WallField() {
  const { supply } = usePlan()
  const units = useUnits()
  const printed = printedAt('supply.voltageV', supply.voltageV, units)
  return (
    <TypedField
      path="supply.voltageV"
      label="What the wall gives"
      hint="Volts, or “two hot legs”"
      placeholder="230 V"
      printed={printed}
      read={(text) => {
        if (text.trim() === '')
          return { ok: true, value: [set('supply.voltageV', undefined), set('supply.calledAs', undefined)] }
        const words = parseSupplyWords(text)
        if (!words.ok) return words
        const { voltageV, phases, topology } = words.value
        return {
          ok: true,
          value: [
            set('supply.voltageV', voltageV),
            set('supply.calledAs', text.trim().slice(0, 60)),
            ...(phases === undefined ? [] : [set('supply.phases', phases)]),
            ...(topology === undefined ? [] : [set('supply.topology', topology)]),
          ],
        }
      }}
    />
  )
}
