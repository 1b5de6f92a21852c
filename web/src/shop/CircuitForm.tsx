import type { KeptOf } from '../state/useItems'
import { KeptForm } from '../library/KeptForm'
import { SelectField } from '../parts/ChoiceField'
import { QuantityField } from '../parts/QuantityField'
import { WordsField } from '../parts/WordsField'
import { WallFields } from '../library/WallFields'

/** One circuit of the shop. */
export function CircuitForm({ circuit, onClose }: { circuit: KeptOf<'circuit'>; onClose: () => void }) {
  return (
    <KeptForm
      item={circuit}
      says="Machines already put on it keep what they took; choose it anew in their survey to take the change."
      onClose={onClose}
    >
      <div className="grid grid-cols-2 gap-x-3 gap-y-2.5">
        <WordsField path="name" label="Called" longest={80} needed wide />
        <WallFields />
        <QuantityField path="supply.cableM" placeholder="12 m" />
        <QuantityField path="supply.cableMm2" placeholder="6 mm²" />
        <SelectField path="supply.laying" />
        <SelectField path="supply.region" />
      </div>
    </KeptForm>
  )
}
