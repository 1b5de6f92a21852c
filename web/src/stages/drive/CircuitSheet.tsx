import { useEvaluation, useFigure } from '../../state/evaluation'
import { usePlan } from '../../state/openPlan'
import { ChoiceField, SelectField, YesNoField } from '../../parts/ChoiceField'
import { FigureTable } from '../../parts/FigureTable'
import { QuantityField } from '../../parts/QuantityField'

const devices = {
  F: 'Earth-leakage device: type F (A only where the drive’s manual says so), never AC.',
  B: 'Earth-leakage device: type B. Never behind one of type A, AC or F.',
}

/** The circuit that feeds the drive: what protects it, and the cable from panel to drive. */
export function CircuitSheet() {
  const { earthLeakageType } = useEvaluation()
  const { supply } = usePlan()
  const fromUnit = supply.supplyUnit !== undefined && supply.supplyUnit !== 'mains'
  const behindUnit = fromUnit && supply.supplyUnit !== 'generator'
  const leads = supply.plugOrFixed === 'plug' || supply.extensionM !== undefined
  const askedToo = useFigure('supply.neededAskedMm2') !== undefined
  return (
    <section className="sheet mt-4" aria-labelledby="circuit">
      <h2 id="circuit" tabIndex={-1} className="h-part mb-1">
        The circuit that feeds it
      </h2>
      <div className="grid gap-x-5 gap-y-3 @wider:grid-cols-2">
        <div className="pairs">
          <QuantityField path="supply.cableM" placeholder="12 m" />
          <QuantityField path="supply.cableMm2" placeholder="2.5 mm²" hint="Of each live conductor" />
          <SelectField path="supply.laying" />
          <QuantityField path="supply.ambientC" placeholder="30 °C typical" hint="" />
          <QuantityField
            path="drive.manualProtectionA"
            label="Largest fuse, by the manual"
            placeholder="25 A"
            hint=""
          />
          <SelectField path="supply.region" none="By the mains hertz" />
          <ChoiceField path="supply.plugOrFixed" wide />
          {supply.plugOrFixed === 'plug' && (
            <>
              <QuantityField path="supply.plugA" placeholder="16 A" />
              <ChoiceField path="supply.plugKind" />
              <YesNoField path="supply.plugFused" wide />
            </>
          )}
          <YesNoField path="supply.secondEarth" wide />
          <SelectField path="supply.earthing" />
          <SelectField path="supply.earthLeakageDevice" />
          {supply.earthLeakageDevice !== undefined && supply.earthLeakageDevice !== 'none' && (
            <>
              <QuantityField path="supply.earthLeakageTripsA" placeholder="0.03 A" />
              <SelectField path="supply.earthLeakageUpstream" />
            </>
          )}
          <QuantityField path="supply.extensionM" placeholder="none" />
          <QuantityField path="supply.extensionMm2" placeholder="1.5 mm²" hint="Of each conductor" />
          {supply.extensionM !== undefined && <YesNoField path="supply.extensionCoiled" wide />}
          {leads && behindUnit && <SelectField path="supply.leadSide" />}
        </div>
        <div>
          <FigureTable
            heading="Worked out"
            rows={[
              {
                label: 'Breaker the drive asks for',
                id: 'supply.protectionA',
                note: 'a quarter over the larger input',
              },
              { label: 'Smallest conductor', id: 'supply.neededMm2', note: 'load, protection, ampacity in that order' },
              ...(askedToo
                ? [
                    {
                      label: 'For the breaker asked for',
                      id: 'supply.neededAskedMm2' as const,
                      note: 'smallest conductor',
                    },
                  ]
                : []),
              { label: 'Lost along it', id: 'supply.drop', note: 'copper hot, full load' },
              ...(supply.plugOrFixed === 'plug'
                ? [{ label: 'Plug and socket carry', id: 'supply.plugCarriesA' as const, note: 'for hours' }]
                : []),
              ...(supply.extensionM === undefined
                ? []
                : [
                    { label: 'Extension lead carries', id: 'supply.extensionA' as const, note: 'as it lies' },
                    { label: 'Lost along the extension', id: 'supply.extensionDrop' as const },
                  ]),
              ...(fromUnit && supply.supplyUnit !== 'generator'
                ? [{ label: 'From the wall behind it', id: 'supply.wallA' as const, note: 'with its losses' }]
                : []),
            ]}
          />
          {earthLeakageType && (
            <p className="mt-2 text-[15px]">
              {devices[earthLeakageType]} Small 5 mA devices trip on a drive’s filter: hard-wire where your code lets
              you.
            </p>
          )}
          <p className="mt-1 text-[15px] text-ink-2">
            No light extension leads: the single-phase side carries far more amps than the motor’s. Leave one to two
            minutes between power-ups unless the manual says otherwise. Local codes rule.
          </p>
        </div>
      </div>
    </section>
  )
}
