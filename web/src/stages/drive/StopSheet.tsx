import { useFigure } from '../../state/evaluation'
import { usePlan } from '../../state/openPlan'
import { Choices, SelectField, YesNoField } from '../../parts/ChoiceField'
import { FigureTable } from '../../parts/FigureTable'
import { QuantityField } from '../../parts/QuantityField'

/** The brake resistor as far as it is known: fitted or not, its ohms, what it can take and how often it must. */
function Resistor() {
  const { resistor } = usePlan().drive
  return (
    <>
      <Choices
        path="drive.resistor"
        label="A brake resistor is fitted"
        options={[{ value: 'yes', words: 'Yes', holds: resistor ?? NOTHING_KNOWN }]}
      />
      <QuantityField path="controls.stopsPerHour" placeholder="not known" hint="" />
      {resistor && (
        <>
          <QuantityField path="drive.resistor.ohm" placeholder="100 Ω" hint="" />
          <QuantityField path="drive.resistor.ratedW" placeholder="200 W" />
          <QuantityField path="drive.resistor.peakW" placeholder="2 kW" />
          <SelectField path="drive.resistor.thermalSwitch" />
        </>
      )}
    </>
  )
}

/** A resistor of which nothing is known but that it is there. */
const NOTHING_KNOWN = {}

/** How fast the heaviest thing on the spindle comes up, and how fast it can be stopped. */
export function StopSheet() {
  const ripple = useFigure('drive.rippleV') !== undefined
  return (
    <section className="sheet mt-4" aria-labelledby="stopping">
      <h2 id="stopping" tabIndex={-1} className="h-part mb-1">
        Running up and stopping
      </h2>
      <div className="grid gap-x-5 gap-y-3 @wider:grid-cols-2">
        <div className="grid grid-cols-2 content-start gap-x-3 gap-y-2">
          <YesNoField path="drive.brakeChopper" />
          <Resistor />
          <QuantityField path="drive.minimumOhm" label="Smallest resistor, by the manual" placeholder="80 Ω" hint="" />
          <QuantityField path="survey.coastS" placeholder="20 s" hint="Timed with no braking" />
          <QuantityField path="survey.coastFromRpm" placeholder="1200 rpm" hint="The top speed unless you say so" />
          <QuantityField path="motor.rotorKgM2" placeholder="by its frame" hint="" />
        </div>
        <FigureTable
          heading="The heaviest thing, on the position used most"
          rows={[
            { label: 'Inertia at the spindle', id: 'stop.inertia', note: 'with pulleys and rotor' },
            { label: 'Friction', id: 'stop.frictionNm', note: 'time a coast to know it' },
            { label: 'Quickest run-up', id: 'stop.rampS' },
            { label: 'Shortest stop, no resistor', id: 'stop.withoutResistorS', note: 'shorter trips the drive' },
            { label: 'Resistor for the deceleration', id: 'stop.resistorOhm' },
            { label: 'It takes at its peak', id: 'stop.resistorW' },
            { label: 'It takes on the average', id: 'stop.resistorMeanW' },
            ...(ripple
              ? [{ label: 'Ripple of the bus', id: 'drive.rippleV' as const, note: 'one phase, full load' }]
              : []),
          ]}
        />
      </div>
    </section>
  )
}
