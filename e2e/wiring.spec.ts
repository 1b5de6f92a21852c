import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { expect, kept, test } from './shopFixture'

/** Tabs on until the thing is in focus, as somebody without a mouse does. */
async function tabTo(
  page: Page,
  name: string | RegExp,
  role: 'button' | 'combobox' | 'tab',
  presses = 160,
): Promise<void> {
  const wanted = page.getByRole(role, { name }).first()
  for (let i = 0; i < presses; i += 1) {
    if (await wanted.evaluate((el) => el === document.activeElement)) return
    await page.keyboard.press('Tab')
  }
  throw new Error(`${String(name)} was not reached by the keyboard`)
}

test('from a plan to a wiring pack, by keyboard alone; another program reads it', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'survey')
  await page.keyboard.press('6')
  await expect(page.getByRole('heading', { name: 'Wiring', level: 1 })).toBeVisible()
  await tabTo(page, 'Drawings', 'button')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Drawings', level: 2 })).toBeVisible()
  await tabTo(page, 'Pack, PDF', 'button')
  const download = page.waitForEvent('download')
  await page.keyboard.press('Enter')
  const path = await (await download).path()
  const pdf = await getDocument({ data: new Uint8Array(readFileSync(path)), useSystemFonts: false }).promise
  const pages = await Promise.all(
    Array.from({ length: pdf.numPages }, async (_, i) => {
      const content = await (await pdf.getPage(i + 1)).getTextContent()
      return content.items.map((item) => ('str' in item ? item.str : '')).join(' ')
    }),
  )
  expect(pdf.numPages).toBeGreaterThan(5)
  const all = pages.join('\n')
  // Terminals as they are printed on that drive, the list, the steps and the loose ends.
  for (const words of ['in-a', 'pot+', 'Wire list', 'Build and prove', 'Power cut with RUN closed', 'Loose ends'])
    expect(all).toContain(words)
  const first = await pdf.getPage(1)
  expect(first.getViewport({ scale: 1 }).width).toBeCloseTo((297 * 72) / 25.4, 0)
})

test('a sheet as SVG opens as a picture in another program', async ({ page, shop, context }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'wiring')
  await page.getByRole('tab', { name: 'Control' }).click()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'SVG' }).click()
  const svg = readFileSync(await (await download).path(), 'utf8')
  const other = await context.newPage()
  await other.setContent('<img>')
  const size = await other.evaluate(async (text) => {
    const image = new Image()
    image.src = URL.createObjectURL(new Blob([text], { type: 'image/svg+xml' }))
    await image.decode()
    return [image.naturalWidth, image.naturalHeight]
  }, svg)
  expect(size.every((n) => n > 300)).toBe(true)
})

test('a wire changed by hand is marked, judged, and kept when the plan changes', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'wiring')
  const row = page.getByRole('table').getByRole('row', { name: /Speed knob 1\b/ })
  await row.getByRole('button', { name: /^Change wire/ }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('What is different').selectOption('swapped')
  const others = dialog.getByLabel('With wire')
  await others.selectOption({
    label: (await others.locator('option', { hasText: 'bottom of the knob' }).textContent()) ?? '',
  })
  await dialog.getByLabel('Why').fill('As the old knob was')
  await dialog.getByRole('button', { name: 'Keep it so' }).click()
  await expect(page.getByText('by hand: As the old knob was').first()).toBeVisible()
  // A knob the wrong way round is a stop; round a drawing the findings are a button.
  await page.getByRole('button', { name: /^\d+ findings/ }).click()
  await expect(page.getByRole('article').filter({ hasText: 'The knob works backwards' })).toBeVisible()
  await page
    .getByLabel('Lamp that shows RUN')
    .or(page.locator('[data-path="controls.runLamp"]'))
    .getByRole('radio', { name: 'Yes' })
    .click()
  await kept(page)
  await page.reload()
  await expect(page.getByText('by hand: As the old knob was').first()).toBeVisible()
  await page.getByRole('button', { name: 'As planned again' }).click()
  await expect(page.getByRole('article').filter({ hasText: 'The knob works backwards' })).toBeHidden()
})

test('round a drawing chain, card and findings fold away, and come back at a press or a key', async ({
  page,
  shop,
}) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'wiring')
  const chain = page.getByRole('navigation', { name: 'The chain from wall to spindle' })
  const findings = page.getByRole('heading', { name: 'Findings' })
  await expect(page.getByRole('list', { name: 'The chain in one line' })).toBeVisible()
  await expect(chain).toBeHidden()
  await expect(findings).toBeHidden()
  const before = (await page.locator('#surface').boundingBox())?.width ?? 0
  await page.getByRole('button', { name: /^\d+ findings/ }).click()
  await expect(findings).toBeVisible()
  expect(((await page.locator('#surface').boundingBox())?.width ?? 0) + 250).toBeLessThan(before)
  await page.getByRole('button', { name: 'Chain', exact: true }).click()
  await expect(chain).toBeVisible()
  await page.getByRole('heading', { name: 'Wiring', level: 1 }).click()
  await page.keyboard.press('h')
  await expect(chain).toBeHidden()
  // The key that goes to a finding brings them back.
  await page.keyboard.press('f')
  await expect(findings).toBeVisible()
  // Elsewhere the shell is as it was.
  await page.keyboard.press('1')
  await expect(chain).toBeVisible()
})

test('it turned the wrong way: its own steps, and the wiring as built keeps the change', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'wiring')
  await page.getByLabel('Step', { exact: true }).selectOption('first-spin')
  await page.getByRole('button', { name: 'It turns the wrong way' }).click()
  await expect(page.getByText('Change the first two motor leads with each other at the drive.')).toBeVisible()
  await page.getByRole('button', { name: 'I have changed the two leads over' }).click()
  await expect(page.getByText('by hand: It turned the wrong way')).toHaveCount(2)
  await kept(page)
  await page.reload()
  await expect(page.getByText('by hand: It turned the wrong way')).toHaveCount(2)
})

test('a manual is made from a worksheet at the board, drawn at once, and kept in the library for others', async ({
  page,
  shop,
}) => {
  await shop.openDemo('1-saltpan-row/turret-mill', 'wiring')
  await page.getByText('No manual, or a bad one: a dozen questions').click()
  await page.getByLabel('Run forward', { exact: true }).fill('GO1')
  await page.getByLabel('Common of the switches', { exact: true }).fill('CC')
  await page.getByRole('button', { name: 'Make the manual from it' }).click()
  await expect(page.getByRole('table').getByText('GO1').first()).toBeVisible()
  await page.getByRole('button', { name: 'Keep it in the library' }).click()
  await expect(page.getByLabel(/^From the library, 1 kept/)).toBeVisible()
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })
  test('ten steps are done without a network, and are kept when it is back', async ({ page, shop, context }) => {
    await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'wiring')
    await expect(page.getByRole('heading', { name: 'Build and prove' })).toBeVisible()
    // Everything that judges is fetched with the first touch.
    await page.getByRole('button', { name: 'Look at the next' }).click()
    await page.waitForLoadState('networkidle')
    await page.getByLabel('Step', { exact: true }).selectOption('arrival')
    await context.setOffline(true)
    for (let i = 0; i < 10; i += 1) await page.getByRole('button', { name: 'Done', exact: true }).click()
    await expect(page.getByText(/^10 of \d+ steps done/)).toBeVisible()
    await context.setOffline(false)
    await kept(page)
    await page.reload()
    await expect(page.getByText(/^10 of \d+ steps done/)).toBeVisible()
  })
})
