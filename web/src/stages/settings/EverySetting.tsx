import {
  fieldAt,
  printValue,
  set,
  settingGroups,
  settingTable,
  withKey,
  type SettingGroup,
  type SettingId,
  type SettingLine,
} from '@zesty/core'
import { SelectField } from '../../parts/ChoiceField'
import { FigureValue } from '../../parts/FigureValue'
import { KeptInput } from '../../parts/KeptInput'
import { Labelled } from '../../parts/Labelled'
import { QuantityField } from '../../parts/QuantityField'
import { Text } from '../../parts/Text'
import { useEvaluation } from '../../state/evaluation'
import { useChange, usePlan } from '../../state/openPlan'
import { useUnits } from '../../state/units'

const basisWords = { given: 'given', measured: 'measured', computed: 'computed', typical: 'typical' }

/** Every setting under the product’s own name: what the plan wants and why, changed by hand, and what was read. */
export function EverySetting() {
  const { settings } = useEvaluation()
  const { settings: held } = usePlan()
  const groups = Object.entries(settingGroups) as [SettingGroup, string][]
  return (
    <section aria-labelledby="every" className="mt-3 rounded-lg border border-manila-edge bg-card print:hidden">
      <h2
        id="every"
        tabIndex={-1}
        className="h-part rounded-t-lg border-b border-dashed border-manila-edge bg-manila px-3.5 py-2"
      >
        Every setting
      </h2>
      <p className="border-b border-rule px-3.5 py-1.5 text-[15px] text-ink-2">
        By plain names, whatever the drive calls them: what the plan wants and why, what you want otherwise, what was
        read. Ramps are read as the drive counts them.
      </p>
      {groups.map(([group, name]) => {
        const lines = settings.filter(({ id }) => settingTable[id].group === group)
        const touched = lines.filter(({ id }) => held.chosen[id] !== undefined || held.inDrive[id] !== undefined).length
        return (
          <details key={group} className="border-b border-rule last:border-b-0" open={group === 'motor'}>
            <summary className="min-h-11 content-center px-3.5 font-semibold">
              {name}
              <span className="ml-2 font-normal text-ink-2">
                {lines.filter((l) => l.leave !== true).length} of {lines.length} wanted
                {touched > 0 ? `, ${touched} changed or read` : ''}
              </span>
            </summary>
            <ol>
              {lines.map((line) => (
                <Line key={line.id} line={line} />
              ))}
            </ol>
          </details>
        )
      })}
    </section>
  )
}

const figured = ['minimumHz', 'maximumHz', 'baseFrequencyHz', 'overloadA', 'decelerationS'] as const

const figureOf = (id: SettingId) => figured.find((f) => f === id)

function Line({ line }: { line: SettingLine }) {
  const units = useUnits()
  const { chosen, inDrive: read } = usePlan().settings
  const { id, label, value, basis, reason, inDrive, leave } = line
  const figure = figureOf(id)
  const { options } = fieldAt(`settings.chosen.${id}`)
  const differs = inDrive !== undefined && value !== undefined && inDrive !== value
  return (
    <li className="grid items-start gap-x-3 gap-y-1 border-t border-rule px-3.5 py-2 @narrow:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)_minmax(0,1fr)]">
      <div className="min-w-0">
        <h3 className="leading-tight font-semibold">{label}</h3>
        <p className="text-[14px] leading-tight text-ink-2">
          {settingTable[id].means} <Text said={reason} />
        </p>
        <p>
          <span className="label mr-1.5">Planned</span>
          <span
            className={`font-cond text-[21px] leading-tight font-semibold ${value === undefined ? 'text-ink-2' : ''}`}
          >
            {leave === true && value === undefined ? 'left alone' : printValue(`settings.chosen.${id}`, value, units)}
          </span>
          <span className="ml-1.5 text-[14px] text-ink-2">
            {value === undefined ? '' : basisWords[basis]}
            {figure && inDrive === undefined && value !== undefined && (
              <>
                , working <FigureValue id={`settings.${figure}`} />
              </>
            )}
          </span>
        </p>
      </div>
      <div>
        {options ? (
          <SelectField path={`settings.chosen.${id}`} label={`${label}, chosen by you`} none="as planned" />
        ) : (
          <QuantityField path={`settings.chosen.${id}`} label={`${label}, chosen by you`} placeholder="as planned" />
        )}
        {(chosen[id] !== undefined || read[id] !== undefined) && <WhyField id={id} />}
      </div>
      <div className={differs ? 'rounded bg-brass-wash p-1' : ''}>
        {options ? (
          <SelectField path={`settings.inDrive.${id}`} label="Read in the drive" none="not read yet" />
        ) : (
          <QuantityField path={`settings.inDrive.${id}`} label="Read in the drive" placeholder="not read yet" />
        )}
      </div>
    </li>
  )
}

/** Why it was changed, kept with the next change of it. */
function WhyField({ id }: { id: SettingId }) {
  const plan = usePlan()
  const change = useChange()
  const keep = (text: string) =>
    change(`Why: ${settingTable[id].name}`, [
      set('settings.why', withKey(plan.settings.why, id, text === '' ? undefined : text)),
    ])
  return (
    <Labelled label="Why">
      {(field) => <KeptInput id={field} maxLength={200} held={plan.settings.why?.[id] ?? ''} onKeep={keep} />}
    </Labelled>
  )
}
