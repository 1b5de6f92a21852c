import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { readConversionFile, type Plan } from '../src/plan'

const folder = join(import.meta.dirname, '..', '..', 'demo')

/** Every demo plan by its file name. */
export const demoPlans: ReadonlyMap<string, Plan> = new Map(
  readdirSync(folder).flatMap((shop) =>
    readdirSync(join(folder, shop))
      .filter((file) => file !== 'shop.json')
      .map((file): [string, Plan] => {
        const read = readConversionFile(JSON.parse(readFileSync(join(folder, shop, file), 'utf8')))
        if (!read.ok) throw new Error(`${file}: ${JSON.stringify(read.faults)}`)
        return [file.replace('.json', ''), read.value.plan]
      }),
  ),
)

export function demoPlan(name: string): Plan {
  const plan = demoPlans.get(name)
  if (!plan) throw new Error(`no demo plan ${name}`)
  return structuredClone(plan)
}
