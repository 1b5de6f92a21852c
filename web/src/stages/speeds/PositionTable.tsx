import { useEvaluation } from '../../state/evaluation'
import { FigureValue } from '../../parts/FigureValue'

/** The ladder in words and numbers. */
export function PositionTable() {
  const { positions, jobs } = useEvaluation()
  const cell = 'px-2 text-right'
  return (
    <div className="mt-4 overflow-x-auto">
      <table className="w-full min-w-[640px] text-[15px]">
        <thead>
          <tr className="border-b border-ink-2 font-cond text-ink-2">
            <th className="py-1 text-left font-semibold">Position</th>
            <th className={`${cell} font-semibold`}>Slowest</th>
            <th className={`${cell} font-semibold`}>At base hertz</th>
            <th className={`${cell} font-semibold`}>Fastest, loaded</th>
            <th className={`${cell} font-semibold`}>Fastest, no load</th>
            <th className={`${cell} font-semibold`}>Torque to base</th>
            {jobs.length > 0 && <th className="px-2 text-right font-semibold">Jobs</th>}
          </tr>
        </thead>
        <tbody>
          {positions.map((p) => (
            <tr key={p.id} className={`border-b border-rule ${p.main ? 'bg-green-wash font-semibold' : ''}`}>
              <th scope="row" className="py-1 pl-1 text-left font-semibold">
                {p.name}
                {p.main && positions.length > 1 && (
                  <span className="block text-[13px] leading-tight font-medium">used most</span>
                )}
              </th>
              {[p.bottomRpm, p.baseRpm, p.topRpm, p.unloadedTopRpm, p.torqueNm].map((id) => (
                <td key={id} className="text-right whitespace-nowrap">
                  <FigureValue id={id} />
                </td>
              ))}
              {jobs.length > 0 && (
                <td className="px-2 text-right whitespace-nowrap">
                  {p.jobsReached} of {jobs.length}
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
