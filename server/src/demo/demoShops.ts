import { randomUUID } from 'node:crypto'
import { isDeepStrictEqual } from 'node:util'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { applyPatch, type ConversionRead, readConversionFile, set, type Plan } from '@zesty/core'
import { branchCircuitSchema, ITEM_VERSION, type LibraryItem } from '@zesty/core/library'
import { faultsOf } from '@zesty/core/rules'
import { and, eq, inArray } from 'drizzle-orm'
import { z } from 'zod'
import type { Database } from '../db/database'
import { conversions, libraryItems, marks, revisions, shops } from '../db/schema'
import { insertLog } from '../record/storedLog'
import { insertMeasurements } from '../measurements/storedMeasurements'

const shopFileSchema = z.strictObject({
  name: z.string(),
  units: z.enum(['metric', 'imperial']),
  /** Plans name the circuit they stand on by its name. */
  circuits: z.array(z.strictObject({ name: z.string(), item: branchCircuitSchema })),
  machines: z.array(z.string()),
})

interface DemoShop {
  name: string
  units: 'metric' | 'imperial'
  circuits: LibraryItem[]
  machines: ConversionRead[]
}

const readJson = (path: string): unknown => JSON.parse(readFileSync(path, 'utf8'))

/** The demo shops: a folder each, with `shop.json` and one conversion file a machine. */
export function readDemoShops(folder: string): DemoShop[] {
  return readdirSync(folder)
    .sort()
    .map((name) => {
      const path = join(folder, name, 'shop.json')
      const document = readJson(path)
      const shop = shopFileSchema.safeParse(document)
      if (!shop.success) throw new Error(`${path}: ${JSON.stringify(faultsOf(shop.error, document))}`)
      const machines = shop.data.machines.map((machine) => {
        const file = join(folder, name, `${machine}.json`)
        const read = readConversionFile(readJson(file))
        if (!read.ok) throw new Error(`${file}: ${JSON.stringify(read.faults)}`)
        return read.value
      })
      const circuits = shop.data.circuits.map((c): LibraryItem => ({ kind: 'circuit', ...c }))
      return { name: shop.data.name, units: shop.data.units, circuits, machines }
    })
}

const MARK = 'demo'

export type DemoWish = 'add' | 'remove' | 'as-before'

/**
 * Brings the demo shops to what is wished and remembers it: they are added once to a new database,
 * taken away by `remove` where nobody changed them, and stay away until `add`. Returns what to tell.
 */
export async function settleDemo(
  db: Database,
  folder: string,
  samples: readonly LibraryItem[],
  wish: DemoWish,
): Promise<string[]> {
  const [mark] = await db.select().from(marks).where(eq(marks.name, MARK))
  if (wish === 'remove') {
    await remember(db, 'without')
    return removeUntouched(db, folder, samples)
  }
  if (mark && (wish === 'as-before' || mark.value === 'with')) return []
  await addDemo(db, folder, samples)
  await remember(db, 'with')
  return ['The demo shops were added; ./zesty start --empty takes them away again.']
}

const remember = (db: Database, value: 'with' | 'without') => db.insert(marks).values({ name: MARK, value }).onConflictDoUpdate({ target: marks.name, set: { value } })

async function addDemo(db: Database, folder: string, samples: readonly LibraryItem[]): Promise<void> {
  await db.transaction(async (tx) => {
    // One transaction has one time; the order of the files is kept by a millisecond each.
    let at = Date.now()
    for (const { name, units, circuits, machines } of readDemoShops(folder)) {
      const [shop] = await tx
        .insert(shops)
        .values({ name, units, demo: true, createdAt: new Date(at++) })
        .returning({ id: shops.id })
      if (!shop) continue
      const kept = await tx
        .insert(libraryItems)
        .values([...samples, ...circuits].map((item) => ({ shopId: shop.id, version: ITEM_VERSION, ...item })))
        .returning({ id: libraryItems.id, kind: libraryItems.kind, name: libraryItems.name })
      const circuitIds = new Map(kept.filter((i) => i.kind === 'circuit').map((i) => [i.name, i.id]))
      for (const inFile of machines) {
        const plan = onCircuit(inFile.plan, circuitIds)
        const [row] = await tx
          .insert(conversions)
          .values({ shopId: shop.id, plan, createdAt: new Date(at++) })
          .returning({ id: conversions.id })
        if (!row) continue
        await tx.insert(revisions).values({ conversionId: row.id, revision: 1, plan, origin: 'demo' })
        if (inFile.measurements.length > 0)
          await insertMeasurements(tx, row.id, inFile.measurements)
        await insertLog(
          tx,
          row.id,
          inFile.log.map((entry) => ({ ...entry, id: randomUUID() })),
        )
      }
    }
  })
}

/** In the files a plan names its circuit; in the database it points to it. */
function onCircuit(plan: Plan, circuitIds: ReadonlyMap<string, string>): Plan {
  const { branchCircuitId } = plan.supply
  return branchCircuitId === undefined
    ? plan
    : applyPatch(plan, [set('supply.branchCircuitId', circuitIds.get(branchCircuitId))])
}

/** Takes away the demo shops in which machines and library still stand as they came. */
async function removeUntouched(db: Database, folder: string, samples: readonly LibraryItem[]): Promise<string[]> {
  const machines = await db
    .select({ shopId: shops.id, name: shops.name, revision: conversions.revision, origin: revisions.origin })
    .from(shops)
    .leftJoin(conversions, eq(conversions.shopId, shops.id))
    .leftJoin(revisions, and(eq(revisions.conversionId, conversions.id), eq(revisions.revision, 1)))
    .where(eq(shops.demo, true))
  const came = new Map(readDemoShops(folder).map((s) => [s.name, inventory([...samples, ...s.circuits])]))
  const touched = new Set(
    machines.filter((m) => m.revision !== null && (m.revision > 1 || m.origin !== 'demo')).map((m) => m.shopId),
  )
  for (const { shopId, name } of machines) {
    const kept = await db.select().from(libraryItems).where(eq(libraryItems.shopId, shopId))
    if (!isDeepStrictEqual(inventory(kept), came.get(name))) touched.add(shopId)
  }
  const untouched = [...new Set(machines.map((m) => m.shopId))].filter((id) => !touched.has(id))
  if (untouched.length > 0) await db.delete(shops).where(inArray(shops.id, untouched))
  const kept = [...new Set(machines.filter((m) => touched.has(m.shopId)).map((m) => m.name))]
  return kept.length > 0 ? [`Kept, because you changed it: ${kept.join(', ')}.`] : []
}

const inventory = (items: readonly { kind: string; name: string; item: unknown }[]) =>
  new Map(items.map(({ kind, name, item }) => [`${kind} ${name}`, item]))
