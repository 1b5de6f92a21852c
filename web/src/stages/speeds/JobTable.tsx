import { useEvaluation } from '../../state/evaluation'
import { SelectField } from '../../parts/ChoiceField'
import { FigureValue } from '../../parts/FigureValue'
import { Mark } from '../../parts/Mark'
import { jobVerdicts } from './jobVerdicts'

/** Each job, the speed it wants, and the belt position it is done on. */
export function JobTable() {
  const { jobs, positions } = useEvaluation()
  const options = Object.fromEntries(positions.map((p) => [p.id, p.name]))
  return (
    <div className="mt-4 overflow-x-auto">
      <table className="w-full min-w-[560px] text-[15px]">
        <thead>
          <tr className="border-b border-ink-2 font-cond text-ink-2">
            <th className="py-1 text-left font-semibold">Job</th>
            <th className="px-2 text-right font-semibold">Wants</th>
            <th className="px-2 text-left font-semibold">Done on</th>
            <th className="px-2 text-left font-semibold">There</th>
            <th className="px-2 text-left font-semibold">Can be done on</th>
          </tr>
        </thead>
        <tbody>
          {jobs.map((job, i) => (
            <tr key={job.id} className="border-b border-rule">
              <th scope="row" className="py-1 text-left font-semibold">
                {job.name}
              </th>
              <td className="text-right whitespace-nowrap">
                <FigureValue id={job.wantedRpm} />
              </td>
              <td className="w-44 px-2 py-1">
                <SelectField
                  bare
                  path={`survey.jobs.${i}.positionId`}
                  label={`Position for ${job.name}`}
                  options={options}
                  none="the one used most"
                />
              </td>
              <td className="px-2">
                {job.verdict ? (
                  <Mark kind={jobVerdicts[job.verdict].kind} word={jobVerdicts[job.verdict].words} />
                ) : (
                  <Mark kind="open" word="not known" />
                )}
              </td>
              <td className="px-2">{job.doneOn.map((id) => options[id]).join('; ') || 'none'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
