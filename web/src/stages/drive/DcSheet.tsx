import { hasFedField } from '@zesty/core'
import { FieldsOf } from '../../parts/FieldsOf'
import { FigureTable } from '../../parts/FigureTable'
import { usePlan } from '../../state/openPlan'

/** How a DC drive feeds armature and field, and what keeps a field from being lost. */
export function DcSheet() {
  const plan = usePlan()
  const { dcDrive, motor } = plan
  const field = hasFedField(plan)
  return (
    <section className="sheet mt-4" aria-labelledby="own">
      <h2 id="own" tabIndex={-1} className="h-part">
        Armature and field
      </h2>
      <p className="mb-2 rounded-md border border-l-[6px] border-rule border-l-oxide px-3 py-2 text-[15px]">
        A DC motor that loses its field speeds up until it bursts. The relay that takes the armature away is the first
        thing built, and the first thing proved.
      </p>
      <div className="grid gap-x-5 gap-y-3 @wider:grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)]">
        <FieldsOf
          rows={[
            'dcDrive.source',
            'dcDrive.rectifier',
            ['dcDrive.outputV', 'from the wall'],
            ['dcDrive.formFactor', '1.4 on one phase'],
            ...(field
              ? ([
                  ['dcDrive.fieldGivenV', '200 V'],
                  'dcDrive.fieldControl',
                  ['dcDrive.weakestFieldA', '0.3 A'],
                  ...(dcDrive.fieldControl === 'by-hand' ? (['dcDrive.fieldInterlock'] as const) : []),
                  'dcDrive.fieldLossTrip',
                  'dcDrive.contactorOrder',
                  'dcDrive.suppression',
                  ...(dcDrive.suppression === 'resistor' ? ([['dcDrive.suppressorOhm', '820 Ω']] as const) : []),
                ] as const)
              : []),
          ]}
        />
        <div>
          <FigureTable
            heading="Worked out"
            rows={[
              {
                label: 'Most volts for the armature',
                id: dcDrive.outputV === undefined ? 'dc.outputV' : 'dcDrive.outputV',
              },
              motor.armatureOhm === undefined
                ? { label: 'Armature, about', id: 'dc.armatureOhm', note: 'measured is better' }
                : { label: 'Armature, measured', id: 'motor.armatureOhm' },
              { label: 'Armature amps all day', id: 'dc.continuousA' },
              { label: 'Top by armature and field', id: 'dc.topRpm' },
              ...(field
                ? ([
                    { label: 'Resistor before the weakest field', id: 'dc.rheostatOhm' },
                    { label: 'It burns', id: 'dc.rheostatW' },
                    { label: 'Across the field, at most', id: 'dc.suppressorMostOhm' },
                  ] as const)
                : []),
            ]}
          />
        </div>
      </div>
    </section>
  )
}
