import type { Job, JobKind } from '@zesty/core'
import { SelectField } from '../../parts/ChoiceField'
import { QuantityField } from '../../parts/QuantityField'

/** Fields of the cut, by the kind of work; a kind without any asks only for its speed. */
const cutFields: Partial<Record<JobKind, readonly (keyof Job)[]>> = {
  turning: ['feedMm', 'depthMm'],
  facing: ['feedMm', 'depthMm'],
  boring: ['feedMm', 'depthMm'],
  drilling: ['feedMm', 'pilotMm'],
  tapping: ['pitchMm'],
  'hole-saw': ['feedMm', 'widthMm', 'teeth'],
  milling: ['feedMm', 'depthMm', 'widthMm', 'teeth'],
  'fly-cutting': ['feedMm', 'depthMm', 'widthMm', 'teeth'],
}

const examples: Partial<Record<keyof Job, string>> = {
  feedMm: '0.15 mm',
  depthMm: '1.5 mm',
  widthMm: '40 mm',
  teeth: '4',
  pitchMm: '1.5 mm',
  pilotMm: 'none',
}

/** What the cut is: material, tool, feed and depth, from which speed, torque and power follow. */
export function JobFields({ index, kind }: { index: number; kind: JobKind | undefined }) {
  const at = (key: keyof Job) => `survey.jobs.${index}.${key}` as const
  const milling = kind === 'milling' || kind === 'fly-cutting'
  const feed = milling ? 'Feed a tooth' : 'Feed a turn'
  return (
    <div className="col-span-full grid grid-cols-2 gap-2 @narrow:grid-cols-4 @wider:grid-cols-6">
      <SelectField path={at('material')} />
      <SelectField path={at('tool')} />
      {(kind ? (cutFields[kind] ?? []) : []).map((key) => (
        <QuantityField
          key={key}
          path={at(key)}
          hint=""
          {...(key === 'feedMm' ? { label: feed } : key === 'widthMm' && kind === 'hole-saw' ? { label: 'Kerf' } : {})}
          placeholder={examples[key] ?? ''}
        />
      ))}
      <QuantityField path={at('kc11')} label="Force, N/mm²" hint="" placeholder="by material" />
      <QuantityField path={at('mc')} label="Its exponent" hint="" placeholder="by material" />
      <SelectField path={at('duty')} none="All day" />
      <SelectField path={at('wanted')} none="Wanted" />
      <QuantityField path={at('torqueNm')} label="or its torque" hint="" placeholder="worked out" />
    </div>
  )
}
