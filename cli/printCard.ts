import { conversion, type UnitSystem } from '@zesty/core'
import { fitMeasurements } from '@zesty/core/measurements'
import { card as cardPart, cardText } from '@zesty/core/settings'
import { complain } from './complain'
import { conversionIn } from './conversionIn'

/** `card FILE`: what to type into this drive, in order, as JSON; with `--text` as a sheet, `--imperial` in its units. */
export function printCard(args: string[]): number {
  const strange = args.find((a) => a.startsWith('--') && a !== '--text' && a !== '--imperial')
  if (strange !== undefined) return complain(`card does not know ${strange}; it takes --text and --imperial`)
  const [file, ...more] = args.filter((a) => !a.startsWith('--'))
  if (file === undefined || more.length > 0) return complain('card takes one conversion file')
  const found = conversionIn(file)
  if (typeof found === 'string') return complain(found)
  const measured = fitMeasurements(found.measurements.map((reading, i) => ({ ...reading, id: `${i}` })))
  const card = conversion(found.plan, { readings: measured }).of(cardPart)
  const system: UnitSystem = args.includes('--imperial') ? 'imperial' : 'metric'
  process.stdout.write(
    args.includes('--text') ? cardText(found.plan, card, system) : `${JSON.stringify(card, null, 2)}\n`,
  )
  return 0
}
