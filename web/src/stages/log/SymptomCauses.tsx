import { dangerous, symptomCauses, symptoms, type SymptomId } from '@zesty/core/record'
import { ShieldAlert } from 'lucide-react'
import { useMemo } from 'react'
import { Text } from '../../parts/Text'
import { useConversion } from '../../parts/useConversion'

/** Of a cause that weighs so much by its numbers, those of this machine speak for it. */
const LIKELY = 0.5

/** What a symptom may come from on this machine, the likeliest first, each with its test and what to change. */
export function SymptomCauses({ symptom }: { symptom: SymptomId }) {
  const { facts } = useConversion()
  const causes = useMemo(() => symptomCauses(facts, symptom), [facts, symptom])
  return (
    <section
      className="mt-3 rounded-md border border-brass bg-card"
      aria-label={`What it may come from: ${symptoms[symptom]}`}
    >
      {dangerous.has(symptom) && (
        <p className="flex gap-2 border-b border-oxide bg-oxide-wash px-3 py-2 font-medium">
          <ShieldAlert size={20} className="mt-0.5 shrink-0 text-oxide" aria-hidden="true" />
          Off and locked until it is found: somebody may be hurt by this.
        </p>
      )}
      <ol>
        {causes.map((cause, i) => (
          <li key={cause.id} className="border-b border-rule px-3 py-2 last:border-b-0">
            <p>
              <b>
                {i + 1}. <Text said={cause.says} />
              </b>
              {cause.numbers && cause.weight >= LIKELY && (
                <span className="ml-2 font-cond text-[15px] font-semibold text-brass">Its numbers speak for it</span>
              )}
            </p>
            {cause.numbers && (
              <p>
                <Text said={cause.numbers} />
              </p>
            )}
            <p className="text-[15px]">
              <span className="text-ink-2">Find out:</span> {cause.test}
            </p>
            <p className="text-[15px]">
              <span className="text-ink-2">Then:</span> {cause.change}
            </p>
          </li>
        ))}
      </ol>
    </section>
  )
}
