import { FieldsOf } from '../../parts/FieldsOf'
import { FigureTable } from '../../parts/FigureTable'
import { usePlan } from '../../state/openPlan'

/** What feeds a motor's own driver, what it pushes, and what a stop pumps back. */
export function DriverSheet() {
  const { driver } = usePlan()
  return (
    <section className="sheet mt-4" aria-labelledby="own">
      <h2 id="own" tabIndex={-1} className="h-part">
        The driver and its supply
      </h2>
      <p className="lead mb-2">
        Its volts make the speed, its amps the pull. Unloaded at high mains they must not kill it; loaded at low mains
        they must still reach.
      </p>
      <div className="grid gap-x-5 gap-y-3 @wider:grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)]">
        <FieldsOf
          rows={[
            'driver.supply',
            ...(driver.supply === 'transformer' ? ([['driver.secondaryV', '36 V']] as const) : []),
            ...(driver.supply === 'fixed' || driver.supply === 'battery'
              ? ([['driver.supplyV', '48 V']] as const)
              : []),
            ['driver.leastV', '20 V'],
            ['driver.mostV', '60 V'],
            ['driver.busFarad', '10 000 µF'],
            'driver.bleeds',
            ...(driver.supply === 'mains' ? [] : ([['driver.fuseA', '20 A']] as const)),
            ['driver.limitA', '15 A'],
            ['driver.topHz', '800 Hz'],
          ]}
        />
        <div>
          <FigureTable
            heading="Worked out"
            rows={[
              { label: 'Bus at low mains, loaded', id: 'driver.lowV' },
              { label: 'Bus at high mains, no load', id: 'driver.highV' },
              { label: 'Reaches under load', id: 'driver.reachesRpm' },
              { label: 'Torque at the current limit', id: 'driver.limitNm' },
              { label: 'Speed from which it falls', id: 'driver.kneeRpm' },
              { label: 'Stalled it heats', id: 'driver.stallHeat', note: 'times as much as at its plate' },
            ]}
          />
        </div>
      </div>
    </section>
  )
}
