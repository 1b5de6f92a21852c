import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { expect, finding, test, type } from './shopFixture'

const openSpeeds = (page: Page) =>
  page
    .getByRole('navigation', { name: 'Route card' })
    .getByRole('link', { name: /Speeds/ })
    .click()

test('a job asks torque and power of the spindle by its cut, and one too heavy finds a stronger position', async ({
  page,
  shop,
}) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'motor')
  await page.getByRole('button', { name: 'They are moved: delta' }).click()
  await page.keyboard.press('1')
  const face = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: 'Take Face 200 mm' }) })
  await expect(face.getByRole('button', { name: /torque at the spindle: 14\.2\sN m/ })).toBeVisible()
  await face.getByRole('button', { name: 'The cut' }).click()
  await type(page, 'Depth of cut', '1.5 mm')
  await expect(face.getByRole('button', { name: /torque at the spindle: 42.7\sN m/ })).toBeVisible()
  await openSpeeds(page)
  const heavy = finding(page, /Face 200 mm cast iron is too heavy on B/)
  await heavy.getByRole('button', { name: 'Use C, back gear for it' }).click()
  await expect(heavy).toBeHidden()
})

test('the speed map tells each job on each position, and what one position alone would lose', async ({
  page,
  shop,
}) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'speeds')
  await page.getByRole('button', { name: 'Speed map' }).click()
  const thread = page.getByRole('row', { name: /Thread 2 mm pitch.*too fast for it.*speed is there/ })
  await expect(thread).toBeVisible()
  await page
    .getByRole('group', { name: 'Position that is shaded' })
    .getByRole('button', { name: 'A', exact: true })
    .click()
  await expect(page.getByRole('button', { name: 'A', exact: true, pressed: true })).toBeVisible()
  await expect(page.getByRole('row', { name: /B and C, back gear.*of 6/ })).toBeVisible()
})

test('cards: the expected reading, a surface speed, and the chart as CSV', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'speeds')
  await page.getByRole('button', { name: 'Cards' }).click()
  await expect(page.getByRole('row', { name: /^B used most with the motor/ })).toContainText('603 at 50 Hz')
  await page.getByLabel('Surface speed at diameter').fill('200 mm')
  await expect(page.getByRole('row', { name: /^50 / })).toContainText(/379\sm\/min/)
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'CSV' }).click()
  const csv = readFileSync(await (await download).path(), 'utf8')
  expect(csv).toContain('A (rpm),A (m/min)')
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('heading', { name: 'Cards for the machine' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Speeds', level: 1 })).toBeHidden()
})

test('the search finds, is explained, opens as a what-if, and is taken over and undone in one press', async ({
  page,
  shop,
}) => {
  test.slow()
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'speeds')
  await page.getByRole('button', { name: 'Search', exact: true }).click()
  await page.getByLabel('A pair of pulleys and belt').fill('60')
  const sheet = page.getByRole('region', { name: 'Search for the best combination' })
  await sheet.getByRole('button', { name: 'Search' }).click()
  await expect(sheet.getByText(/combinations looked through/)).toBeVisible({ timeout: 60_000 })
  await expect(sheet.getByText('Why the first before the second:')).toBeVisible()
  await sheet
    .getByRole('button', { name: /^What if/ })
    .first()
    .click()
  const whatIf = page.getByRole('region', { name: 'What if' })
  await expect(whatIf.getByRole('row', { name: /^Motor/ })).toContainText('Delta')
  await whatIf.getByRole('button', { name: 'Take it over' }).click()
  await expect(page.getByRole('navigation', { name: 'The chain' })).toContainText('Delta, 4-pole')
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('navigation', { name: 'The chain' })).toContainText('Star, 4-pole')
})

test('a search that finds nothing says which single wish to let go, and one can be stopped', async ({ page, shop }) => {
  test.slow()
  await shop.addSamples()
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'speeds')
  await page.getByRole('button', { name: 'Search', exact: true }).click()
  const sheet = page.getByRole('region', { name: 'Search for the best combination' })
  await sheet.getByRole('button', { name: 'Search' }).click()
  await sheet.getByRole('button', { name: 'Stop' }).click()
  await expect(sheet.getByRole('button', { name: 'Search' })).toBeVisible()
  for (const keep of ['Keep the motor', 'Keep the drive', 'Keep the pulleys']) await sheet.getByLabel(keep).check()
  await sheet.getByLabel('Room for the motor').fill('three')
  await expect(sheet.getByRole('alert')).toContainText('"three" is not a length')
  await sheet.getByLabel('Room for the motor').fill('')
  await page.keyboard.press('Escape')
  await page.goto(page.url().replace('/speeds', '/survey'))
  await type(page, 'Breaker', '6 A')
  await openSpeeds(page)
  await page.getByRole('button', { name: 'Search', exact: true }).click()
  for (const keep of ['Keep the motor', 'Keep the drive', 'Keep the pulleys']) await sheet.getByLabel(keep).check()
  await sheet.getByRole('button', { name: 'Search' }).click()
  await expect(sheet.getByText(/Let go of one: the breaker must carry it/)).toBeVisible({ timeout: 60_000 })
})

test('a belt is measured and told, and a pulley is drawn larger by its rim', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'survey')
  const position = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: 'Take position B away' }) })
  await position.getByRole('button', { name: 'Drawn to scale, and the belt' }).click()
  await expect(position.getByRole('row', { name: /Pitch length/ })).toContainText(/1.328\smm/)
  const centre = position.getByLabel('Centre to centre', { exact: true })
  await centre.fill('120')
  await centre.press('Enter')
  await expect(finding(page, 'The pulleys of B would overlap')).toContainText(/at least 157\smm/)
  await centre.fill('412 mm')
  await centre.press('Enter')
  await expect(finding(page, 'The pulleys of B would overlap')).toBeHidden()

  const drawing = position.getByRole('img', { name: /to scale/ })
  await drawing.scrollIntoViewIfNeeded()
  const rim = drawing.locator('circle.cursor-ew-resize').first()
  const box = await rim.boundingBox()
  if (!box) throw new Error('no rim')
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  const edge = box.width / 2 - 11
  await page.mouse.move(x + edge, y)
  await page.mouse.down()
  await page.mouse.move(x + edge * 1.25, y, { steps: 5 })
  await page.mouse.up()
  await expect(position.getByLabel('Driving', { exact: true })).toHaveValue('112 mm')
  await page.keyboard.press('Control+z')
  await expect(position.getByLabel('Driving', { exact: true })).toHaveValue('90 mm')
})
