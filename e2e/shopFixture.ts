import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { stageIds, stages, type StageId } from '@zesty/core'
import { expect, test as base, type APIRequestContext, type Page } from '@playwright/test'

export const demoFile = (path: string): string => join(import.meta.dirname, '..', 'demo', `${path}.json`)

export interface Shop {
  id: string
  /** Takes a demo machine into this shop and opens one of its stages. */
  openDemo: (path: string, stage?: string) => Promise<string>
  /** Puts the motors and drives that ship in its library. */
  addSamples: () => Promise<void>
}

async function newShop(request: APIRequestContext, units = 'metric'): Promise<string> {
  const made = await request.post('/api/shops', {
    data: { name: `Shed ${Math.random().toString(36).slice(2, 8)}`, units },
  })
  return ((await made.json()) as { id: string }).id
}

/** A shop of its own for each test, so that tests run beside each other. */
export const test = base.extend<{ shop: Shop }>({
  shop: async ({ request, page }, use) => {
    const id = await newShop(request)
    await use({
      id,
      addSamples: async () => {
        expect((await request.post(`/api/shops/${id}/library/samples`)).ok()).toBe(true)
      },
      openDemo: async (path, stage = 'survey') => {
        const taken = await request.post(`/api/shops/${id}/import`, {
          data: JSON.parse(readFileSync(demoFile(path), 'utf8')),
        })
        const conversion = (await taken.json()) as { id: string }
        await page.goto(`/conversions/${conversion.id}/${stage}`)
        await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
        return conversion.id
      },
    })
    await request.delete(`/api/shops/${id}`)
  },
})

export { expect }

/** Goes on to a stage as somebody does who is there already, by its key: the page is not loaded anew. */
export async function toStage(page: Page, stage: StageId): Promise<void> {
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
  await page.keyboard.press(String((stageIds.indexOf(stage) + 1) % 10))
  await expect(page.getByRole('heading', { level: 1, name: stages[stage].name, exact: true })).toBeVisible()
}

/** What stands on the bench, and what is in a hand at the machine. */
export const devices = [
  ['a tablet', { width: 1280, height: 800 }],
  ['a phone', { width: 390, height: 844 }],
] as const

/** Types into a field as a person does, and leaves it. */
export async function type(page: Page, label: string, text: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true })
  await field.fill(text)
  await field.press('Enter')
}

export const kept = (page: Page) => expect(page.getByRole('status')).toHaveText(/^Kept \d\d:\d\d$/)

export const chain = (page: Page, link: string) =>
  page.getByRole('navigation', { name: 'The chain' }).getByRole('button', { name: new RegExp(`^${link}`) })

export const finding = (page: Page, title: string | RegExp) =>
  page.getByRole('article').filter({ has: page.getByRole('heading', { name: title }) })
