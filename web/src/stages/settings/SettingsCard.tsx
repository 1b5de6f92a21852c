import { fieldAt, printValue, type SettingId, type SettingLine } from '@zesty/core'
import { useEvaluation } from '../../state/evaluation'
import { useUnits } from '../../state/units'
import { SelectField } from '../../parts/ChoiceField'
import { EntryHistory } from '../../parts/EntryHistory'
import { FigureValue } from '../../parts/FigureValue'
import { QuantityField } from '../../parts/QuantityField'
import { Text } from '../../parts/Text'

const basisWords = { given: 'given', measured: 'measured', computed: 'computed', typical: 'typical' }

/** The card that goes to the drive: what to enter, why, and what was read back. */
export function SettingsCard() {
  const { settings } = useEvaluation()
  return (
    <section aria-labelledby="card" className="mt-3 rounded-lg border border-manila-edge bg-card">
      <h2
        id="card"
        tabIndex={-1}
        className="h-part rounded-t-lg border-b border-dashed border-manila-edge bg-manila px-3.5 py-2"
      >
        Settings card
      </h2>
      <p className="border-b border-rule px-3.5 py-1.5 text-[15px] text-ink-2">
        Reset the drive first, enter in this order with the motor stopped, then read every value back.
      </p>
      <ol>
        {settings.map((line, i) => (
          <Line key={line.id} line={line} index={i} />
        ))}
      </ol>
      <details className="border-t border-rule px-3.5 py-1">
        <summary className="min-h-11 content-center font-semibold">More that the drive may hold</summary>
        <div className="grid gap-3 pb-3 @narrow:grid-cols-3">
          <QuantityField path="settings.inDrive.boostV" />
          <QuantityField path="settings.inDrive.middleHz" />
          <QuantityField path="settings.inDrive.middleV" />
          <QuantityField path="settings.inDrive.fixedStartHz" />
          <QuantityField path="settings.inDrive.skipHz" />
          <QuantityField path="settings.inDrive.skipBandHz" />
          <SelectField path="settings.inDrive.rampShape" />
          <QuantityField path="settings.inDrive.jogStopS" />
          <SelectField path="settings.inDrive.turningStart" />
          <SelectField path="settings.inDrive.rideThrough" />
          <SelectField path="settings.inDrive.overVoltage" />
        </div>
      </details>
      <EntryHistory under="settings" name="What was read in the drive, and when" />
    </section>
  )
}

const figured = ['minimumHz', 'maximumHz', 'baseFrequencyHz', 'overloadA', 'decelerationS'] as const

const figureOf = (id: SettingId) => figured.find((f) => f === id)

function Line({ line, index }: { line: SettingLine; index: number }) {
  const units = useUnits()
  const { id, label, value, basis, reason, inDrive } = line
  const figure = figureOf(id)
  const options = fieldAt(`settings.chosen.${id}`).options
  const differs = inDrive !== undefined && value !== undefined && inDrive !== value
  return (
    <li className="grid items-start gap-x-3 gap-y-1 border-b border-rule px-3.5 py-2 last:border-b-0 @narrow:grid-cols-[26px_minmax(0,1.25fr)_minmax(0,1fr)_minmax(0,1fr)]">
      <span className="hidden pt-0.5 font-cond text-[18px] font-semibold text-ink-2 @narrow:block">{index + 1}</span>
      <div className="min-w-0">
        <h3 className="leading-tight font-semibold">{label}</h3>
        <p className="text-[14px] leading-tight text-ink-2">
          <Text said={reason} />
        </p>
      </div>
      <div>
        <span className="label block">
          <span className="mr-1.5 hidden size-4 border border-ink align-[-3px] print:inline-block" aria-hidden="true" />
          Enter
        </span>
        <span
          className={`font-cond text-[21px] leading-tight font-semibold ${value === undefined ? 'text-ink-2' : ''}`}
        >
          {printValue(`settings.chosen.${id}`, value, units)}
        </span>
        <span className="block text-[14px] text-ink-2">
          {value === undefined ? '' : basisWords[basis]}
          {figure && inDrive === undefined && value !== undefined && (
            <>
              , working <FigureValue id={`settings.${figure}`} />
            </>
          )}
        </span>
        {options && <ChosenSelect id={id} />}
      </div>
      <div className={differs ? 'rounded bg-brass-wash p-1' : ''}>
        {/* On paper there is a line to write on until something was read. */}
        {inDrive === undefined && (
          <p className="hidden pt-4 print:block">
            <span className="mr-1.5 inline-block size-4 border border-ink align-[-3px]" aria-hidden="true" />
            read: ______________
          </p>
        )}
        {options ? (
          <SelectField path={`settings.inDrive.${id}`} label="Read in the drive" none="not read yet" />
        ) : (
          <QuantityField path={`settings.inDrive.${id}`} label="Read in the drive" placeholder="not read yet" />
        )}
      </div>
    </li>
  )
}

/** A choice that can be made otherwise than derived. */
function ChosenSelect({ id }: { id: SettingId }) {
  return (
    <SelectField
      bare
      path={`settings.chosen.${id}`}
      label={`${fieldAt(`settings.chosen.${id}`).label}, chosen by you`}
      none="as planned"
    />
  )
}
