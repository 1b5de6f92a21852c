import type { Plan } from '../plan'
import type { Wiring } from './model'
import { SPARE } from './schedule'

/** Something to buy or to have. */
export interface PartLine {
  key: string
  name: string
  quantity: number
  unit: 'pieces' | 'm'
  kind: 'part' | 'tool'
}

/** Devices, cables, glands and ferrules that the wiring wants, each once with how many. */
export function partsOf(wiring: Wiring): PartLine[] {
  const { devices, wires, cables } = wiring
  const bought = devices.filter(
    (d) => !['supply', 'drive', 'motor', 'frame', 'box', 'thermistor', 'controller'].includes(d.role),
  )
  const parts = bought.map(({ id, name, line2 }): PartLine => ({
    key: id,
    name: line2 === undefined ? name : `${name}, ${line2}`,
    quantity: 1,
    unit: 'pieces',
    kind: 'part',
  }))
  for (const cable of cables) {
    const own = wires.filter((w) => w.cable === cable.id)
    const length = Math.max(0, ...own.map((w) => w.lengthM ?? 0))
    const size = cable.areaMm2 === undefined ? '' : `, ${cable.areaMm2} mm2`
    parts.push({
      key: cable.id,
      name: `${cable.text}: ${cable.cores} cores${size}, to ${devices.find((d) => d.id === cable.device)?.name ?? ''}`,
      quantity: Math.round(length * SPARE * 10) / 10,
      unit: 'm',
      kind: 'part',
    })
  }
  parts.push({ key: 'glands', name: 'Cable glands', quantity: 2 * cables.length, unit: 'pieces', kind: 'part' })
  const ends = wires.filter((w) => w.kind !== 'shield' && w.colour !== 'LK').length * 2
  parts.push({
    key: 'ferrules',
    name: 'Ferrules, with some over',
    quantity: Math.ceil(ends * SPARE),
    unit: 'pieces',
    kind: 'part',
  })
  return parts
}

/** Tools that this wiring wants, with what each must be able to do here. */
export function toolsOf(plan: Plan, wiring: Wiring): PartLine[] {
  const torques = (plan.manual?.clamps ?? []).flatMap(({ torqueNm }) => (torqueNm === undefined ? [] : [torqueNm]))
  const bare = (plan.manual?.clamps ?? []).flatMap(({ bareMm }) => (bareMm === undefined ? [] : [bareMm]))
  const sizes = wiring.wires.flatMap(({ areaMm2, ends }) =>
    areaMm2 !== undefined && ends.includes('ferrule') ? [areaMm2] : [],
  )
  const range = (all: readonly number[], unit: string): string =>
    all.length === 0
      ? ''
      : Math.min(...all) === Math.max(...all)
        ? `, ${Math.min(...all)} ${unit}`
        : `, ${Math.min(...all)} to ${Math.max(...all)} ${unit}`
  const isolated = plan.manual?.isolated === true
  const magnets = plan.motor.kind === 'brushless' || plan.motor.kind === 'servo'
  const wanted: readonly [key: string, name: string | undefined][] = [
    ['tool-meter', 'Multimeter for the category of the mains, with clips that go on dead'],
    ['tool-live', 'Something live to try the meter on, before and after'],
    ['tool-insulation', 'Insulation tester, 500 V direct, a megohm and more'],
    ['tool-clamp', 'Clamp meter for each motor lead, that reads true behind a drive'],
    [
      'tool-torque',
      `Torque screwdriver${range(torques, 'N m')}${torques.length === 0 ? '; the manual does not say how tight' : ''}`,
    ],
    ['tool-strip', `Wire strippers${range(bare, 'mm bare')}`],
    ['tool-crimp', `Crimping tool for ferrules${range(sizes, 'mm2')}`],
    [
      'tool-lock',
      plan.wiring.isolator === 'none' || plan.wiring.isolator === 'plug'
        ? undefined
        : 'Padlock and tag for the isolator',
    ],
    ['tool-numbers', `Numbers for ${2 * wiring.wires.length} wire ends`],
    ['tool-barrier', isolated ? undefined : 'Insulated screwdriver and a barrier over the mains parts'],
    ['tool-wait', magnets ? 'Something that keeps the shaft from turning while wires are touched' : undefined],
    ['tool-glasses', 'Glasses'],
  ]
  return wanted.flatMap(([key, name]): PartLine[] =>
    name === undefined ? [] : [{ key, name, quantity: 1, unit: 'pieces', kind: 'tool' }],
  )
}

/** What is not had and not paid, as far as prices are typed; in the shop's money. */
export const stillToPay = (plan: Plan, lines: readonly PartLine[]): number =>
  lines.reduce((sum, { key }) => {
    const { state, price } = plan.wiring.parts?.[key] ?? {}
    return sum + (state === 'had' || state === 'paid' ? 0 : (price ?? 0))
  }, 0)
