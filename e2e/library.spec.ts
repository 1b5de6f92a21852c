import { readFileSync } from 'node:fs'
import { expect, kept, test, type } from './shopFixture'

const names = (table: import('@playwright/test').Locator) => table.getByRole('rowheader').allInnerTexts()

test('from an empty library: samples, a search, a sort, a copy, a change, and out', async ({ page, shop }) => {
  await page.goto(`/shops/${shop.id}/library/drives`)
  await expect(page.getByText(/No drive here yet/)).toBeVisible()
  await page.getByRole('button', { name: 'Add the samples' }).click()
  const table = page.getByRole('table')
  await expect(page.getByText(/^All 21$/)).toBeVisible()

  await page.getByRole('searchbox', { name: 'Find' }).fill('sealed')
  await expect(page.getByText('4 of 21')).toBeVisible()
  await page.getByRole('button', { name: /^Price/ }).click()
  await page.getByRole('button', { name: /^Price/ }).click()
  await expect(page.getByRole('columnheader', { name: /^Price/ })).toHaveAttribute('aria-sort', 'ascending')
  expect(await names(table)).toEqual([
    'Curlew 7, sealed drive',
    'Plover 7, sealed',
    'Curlew 15, sealed drive',
    'Plover 15, sealed',
  ])
  await page.getByLabel('Power from').fill('1 kW')
  await expect(page.getByText('2 of 21')).toBeVisible()
  await page.getByLabel('Power from').fill('1 stone')
  await expect(page.getByRole('alert')).toContainText('not a unit known here')
  await page.getByLabel('Power from').fill('')

  await page.getByRole('button', { name: 'Copy Plover 7, sealed' }).click()
  const form = page.getByRole('dialog', { name: 'Plover 7, sealed, copy' })
  await form.getByLabel('Price', { exact: true }).fill('twelve')
  await page.keyboard.press('Tab')
  await expect(form.getByRole('alert')).toContainText('"twelve" is not a price')
  await expect(form.getByRole('button', { name: '1 entry does not read yet' })).toBeDisabled()
  await type(page, 'Price', '299')
  await form.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByRole('row', { name: /^Plover 7, sealed, copy/ })).toContainText('299')

  await page.getByRole('button', { name: 'Take Plover 7, sealed, copy out' }).click()
  await expect(page.getByRole('row', { name: /sealed, copy/ })).toBeHidden()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('row', { name: /sealed, copy/ })).toContainText('299')
})

test('a name that is taken is refused and what was typed stays', async ({ page, shop }) => {
  await shop.addSamples()
  await page.goto(`/shops/${shop.id}/library/motors`)
  await page.getByRole('button', { name: 'Change Teasel 63, four-pole' }).click()
  await type(page, 'Called', 'Teasel 71, four-pole')
  await expect(page.getByRole('alert').first()).toContainText('called Teasel 71, four-pole already')
  await expect(page.getByLabel('Called', { exact: true })).toHaveValue('Teasel 71, four-pole')
})

test('the table goes out as CSV, is changed in a spreadsheet, and comes in again', async ({ page, shop }) => {
  await shop.addSamples()
  await page.goto(`/shops/${shop.id}/library/motors`)
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'CSV out' }).click()
  const csv = readFileSync(await (await download).path(), 'utf8')
  const take = (text: string) =>
    page.getByLabel('CSV file').setInputFiles({ name: 'm.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })

  await take(`${csv}\r\n"Bench find",Carousel`)
  const refusal = page.getByRole('dialog', { name: 'Not taken in' })
  await expect(refusal).toContainText('line 36, Kind of motor: "Carousel" is none of: Three-phase')
  await page.keyboard.press('Escape')

  await take(csv.replace('"Teasel 63, four-pole",Three-phase,0.18', '"Teasel 63, four-pole",Three-phase,1/3 hp'))
  await expect(page.getByText('0 added, 34 replaced by their name')).toBeVisible()
  await expect(page.getByRole('row', { name: /^Teasel 63, four-pole/ })).toContainText('0.249')
})

test('a drive is picked into the plan, another beside it, and the plan’s is kept for others', async ({
  page,
  shop,
}) => {
  await shop.addSamples()
  await shop.openDemo('1-saltpan-row/surface-grinder', 'drive')
  await page.getByRole('button', { name: /^Pick a drive/ }).click()
  await page.getByRole('button', { name: 'Put Curlew 15, sealed drive beside' }).click()
  await page.getByRole('button', { name: 'Take Plover 7, sealed' }).click()
  await expect(page.getByLabel('Maker’s name for it')).toHaveValue('Plover 7, sealed')
  const beside = page.getByRole('region', { name: 'Every drive side by side' })
  await expect(beside.getByRole('columnheader', { name: /Curlew 15, sealed drive/ })).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(page.getByLabel('Maker’s name for it')).toHaveValue('Curlew 7, sealed drive')
  await page.getByLabel('Keep this one as').fill('Grinder’s drive')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await page.getByRole('button', { name: 'Pick a drive, 22 kept' }).click()
  await expect(page.getByRole('button', { name: 'Take Grinder’s drive' })).toBeVisible()
})

test('a circuit is shared with the shop, chosen for a second machine, and its load is added up', async ({
  page,
  shop,
}) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe')
  await page.getByRole('button', { name: 'Share it with the shop' }).click()
  await expect(page.getByLabel('Circuit of the shop')).toContainText('East bay socket')
  await kept(page)
  await shop.openDemo('1-saltpan-row/gantry-router')
  await page.getByLabel('Circuit of the shop').selectOption('East bay socket')
  await kept(page)
  await page.goto(`/shops/${shop.id}`)
  const circuits = page.getByRole('region', { name: 'Circuits at the wall' })
  await expect(circuits).toContainText(/37\.6\sA if all ran at full load: not all at once/)
  await circuits.getByRole('button', { name: 'Change East bay socket' }).click()
  await type(page, 'Breaker', '40 A')
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(circuits).toContainText(/all may run at once, 2\.36\sA to spare/)
})
