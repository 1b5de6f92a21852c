import type { SchematicSheet } from './sheetsOf'

/** Places right of the drive begin here: no column has as many cards. */
const RIGHT = 40

/** Where every card stands on its sheet, to be kept with the plan: its place from the top, negative left of the drive. */
export function placesOf(sheets: readonly SchematicSheet[]): Record<string, number> {
  const places: Record<string, number> = {}
  for (const { id, layout } of sheets) {
    const drive = layout.cards.find((card) => card.device.role === 'drive')?.column ?? 0
    const columns = new Map<number, typeof layout.cards>()
    for (const card of layout.cards) columns.set(card.column, [...(columns.get(card.column) ?? []), card])
    for (const [column, cards] of columns)
      [...cards]
        .sort((a, b) => a.y - b.y)
        .forEach((card, i) => {
          places[`${id}/${card.device.id}`] = column < drive ? -(i + 1) : column === drive ? i + 1 : RIGHT + i + 1
        })
  }
  return places
}
