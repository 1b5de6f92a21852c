import { MOST_STEPS, parseQuantity, printQuantity, type Holder, type Parsed, type UnitSystem } from '@zesty/core'

export type TurnedStep = NonNullable<Holder['steps']>[number]

const EXAMPLE = '250 x 60, 120 x 40 bore 35'

/**
 * Something turned, step by step along its axis: `250 x 60, 120 x 40 bore 35`; outside and length, and the bore where
 * there is one. A unit at the end is that of all sizes that have none. Millimetres.
 */
export function readTurned(text: string, units: UnitSystem): Parsed<TurnedStep[]> {
  const parts = text
    .split(/[;\n+]|,\s+(?!(?:with\s+)?(?:bore|hole|id)\b)|(?<=[x×*][^,;\n+]*),(?=\d+(?:[.]\d+)?\s*[x×*])/i)
    .map((part) => part.trim())
    .filter((part) => part !== '')
  if (parts.length > MOST_STEPS) return { ok: false, message: `At most ${MOST_STEPS} steps.` }
  const unit = /\d\s*([a-z"”″]+\.?)$/i.exec(text.trim())?.[1] ?? ''
  const steps: TurnedStep[] = []
  for (const part of parts) {
    const found =
      /^(?:ø|⌀|dia\.?\s*)?\s*(?<outer>[^x×*]+?)\s*[x×*]\s*(?<length>.+?)(?:\s*,?\s*\b(?:with\s+)?(?:bore|hole|id)\b\s*(?:of\s*)?(?<bore>.+))?$/i.exec(
        part,
      )?.groups
    if (!found) return { ok: false, message: `"${part}" is no step: outside x length, such as ${EXAMPLE}.` }
    const sizes: number[] = []
    for (const size of [found['outer'], found['length'], found['bore']]) {
      if (size === undefined) continue
      const parsed = parseQuantity(/[a-z"”″]/i.test(size) ? size : `${size} ${unit}`, 'length', units)
      if (!parsed.ok) return { ok: false, message: `"${size.trim()}" in "${part}" is no size; type ${EXAMPLE}.` }
      if (parsed.value < 0.1 || parsed.value > 3000)
        return { ok: false, message: `"${size.trim()}" in "${part}" is beyond 0.1 to 3000 mm.` }
      sizes.push(parsed.value)
    }
    const [outerMm = 0, lengthMm = 0, boreMm] = sizes
    if (boreMm !== undefined && boreMm >= outerMm)
      return { ok: false, message: `In "${part}" the bore is no smaller than the outside.` }
    steps.push({ outerMm, lengthMm, ...(boreMm === undefined ? {} : { boreMm }) })
  }
  return { ok: true, value: steps }
}

/** The same as it is read, in the units of the shop; empty where nothing is known. */
export function printTurned(steps: readonly TurnedStep[], units: UnitSystem): string {
  const size = (mm: number | undefined) =>
    mm === undefined ? '?' : printQuantity({ value: mm, dimension: 'length' }, units).replace(/\u00a0/g, ' ')
  return steps
    .map(
      ({ outerMm, lengthMm, boreMm }) =>
        `${size(outerMm)} x ${size(lengthMm)}${boreMm === undefined ? '' : ` bore ${size(boreMm)}`}`,
    )
    .join(', ')
}
