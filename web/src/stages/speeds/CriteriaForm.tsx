import { searchKeys, type SearchKey, type SearchCriteria } from '@zesty/core/search'
import { AmountField } from '../../parts/DetachedField'

const keeps = [
  ['keepMotor', 'Keep the motor'],
  ['keepDrive', 'Keep the drive'],
  ['keepPulleys', 'Keep the pulleys'],
  ['everyJob', 'Every job must be done'],
  ['withinBreaker', 'Within the breaker there is'],
  ['machined', 'Pulleys may be turned, every 5 mm'],
  ['steps', 'Two steps on one belt, of stock sizes'],
] as const satisfies readonly (readonly [keyof SearchCriteria, string])[]

/** What the search may change, and what it must keep to. */
export function CriteriaForm({
  criteria,
  onChange,
}: {
  criteria: SearchCriteria
  onChange: (criteria: SearchCriteria) => void
}) {
  return (
    <div className="flex flex-col gap-2">
      <fieldset className="flex flex-wrap gap-x-5">
        <legend className="label">Allowed</legend>
        {keeps.map(([key, words]) => (
          <label key={key} className="flex min-h-11 items-center gap-2 text-[15px]">
            <input
              type="checkbox"
              className="size-5 accent-[var(--blue)]"
              checked={criteria[key]}
              onChange={(e) => onChange({ ...criteria, [key]: e.target.checked })}
            />
            {words}
          </label>
        ))}
      </fieldset>
      <div className="grid grid-cols-2 gap-x-3 gap-y-2 @wide:grid-cols-4">
        <label className="flex flex-col gap-0.5">
          <span className="label">First of all</span>
          <select
            className="field"
            value={criteria.first}
            onChange={(e) => onChange({ ...criteria, first: e.target.value as SearchKey })}
          >
            {Object.entries(searchKeys).map(([key, words]) => (
              <option key={key} value={key}>
                {words}
              </option>
            ))}
          </select>
        </label>
        <AmountField
          label="Budget"
          dimension="money"
          placeholder="no limit"
          onRead={(budget) => onChange({ ...criteria, budget })}
        />
        <AmountField
          label="A pair of pulleys and belt"
          dimension="money"
          placeholder="not known"
          onRead={(pulleyPrice) => onChange({ ...criteria, pulleyPrice })}
        />
        <AmountField
          label="Room for the motor"
          dimension="length"
          placeholder="no limit"
          onRead={(roomMm) => onChange({ ...criteria, roomMm })}
        />
      </div>
    </div>
  )
}
