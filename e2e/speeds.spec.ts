import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { chain, expect, finding, test, type } from './shopFixture'

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
  const heavy = finding(page, /Face 200 mm cast iron may stall on B/)
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
  await expect(page.getByRole('row', { name: /^B used most counter-clockwise/ })).toContainText('603 at 50 Hz')
  await page.getByLabel('Surface speed at diameter').fill('200 mm')
  await expect(page.getByRole('row', { name: /^50 / })).toContainText(/379\sm\/min/)
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'CSV' }).click()
  const csv = readFileSync(await (await download).path(), 'utf8')
  expect(csv).toContain('A (rpm),A (m/min)')
  await page.evaluate(() => {
    window.print = () => document.documentElement.classList.add(...document.body.classList)
  })
  await page.getByRole('button', { name: 'Print them' }).click()
  await expect(page.locator('html.cards-only')).toBeAttached()
  await page.evaluate(() => document.body.classList.add('cards-only'))
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

test('what a belt bears and holds is told, and larger pulleys in the same ratio mend a weak one', async ({
  page,
  shop,
}) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'survey')
  const position = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: 'Take position B away' }) })
  await position.getByRole('button', { name: 'Drawn to scale, and the belt' }).click()
  await type(page, 'Belts side by side', '1')
  const weak = finding(page, 'The belt of B is weak for this motor')
  await expect(weak).toContainText(/One belt bears about 1\.01\skW/)
  await weak.getByRole('button', { name: /Pulleys of 140\smm and 348\smm/ }).click()
  await expect(weak).toBeHidden()
  await page.keyboard.press('Control+z')
  await expect(weak).toBeVisible()
  await type(page, 'Pressed with', '5 N')
  await type(page, 'and gives', '6 mm')
  await expect(finding(page, 'The belt of B slips at a start')).toContainText(/it holds 4\.\d+\sN\sm/)
  await position.getByLabel('Grooves cut for').selectOption('b')
  await expect(finding(page, 'The belt of B lies in grooves cut for another')).toContainText(/too deep/)
})

test('which way the spindle turns follows where the motor points and what stands between', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'survey')
  await page.getByRole('radio', { name: 'The same way as the spindle’s nose' }).click()
  await expect(finding(page, 'Two of the motor’s leads are to be swapped')).toContainText(
    'the spindle turns clockwise as you face its nose',
  )
  await page.getByRole('button', { name: 'Take stage 3 of C, back gear out' }).click()
  await expect(finding(page, 'On C, back gear the spindle turns the other way')).toBeVisible()
  await page.getByRole('link', { name: /Speeds/ }).click()
  await page.getByRole('button', { name: 'Train', exact: true }).click()
  const train = page.getByRole('region', { name: 'The train, to scale' })
  await expect(train).toContainText('For forward, two of them are swapped.')
  await train.getByRole('radio', { name: 'C, back gear' }).click()
  await expect(train.getByRole('list', { name: 'Shafts' })).toContainText(/3\s*spindle.*counter-clockwise/)
})

test.describe('by touch', () => {
  test.use({ hasTouch: true, viewport: { width: 390, height: 844 } })
  test('a pulley is drawn larger by its rim', async ({ page, shop }) => {
    await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'speeds')
    await page.getByRole('button', { name: 'Train', exact: true }).click()
    const drawing = page.getByRole('img', { name: /to scale/ })
    await drawing.scrollIntoViewIfNeeded()
    const box = await drawing.locator('circle.cursor-ew-resize').first().boundingBox()
    if (!box) throw new Error('no rim')
    const [x, y, radius] = [box.x + box.width / 2, box.y + box.height / 2, box.width / 2 - 11]
    const finger = await page.context().newCDPSession(page)
    const touch = (kind: 'touchStart' | 'touchMove' | 'touchEnd', reach = 0) =>
      finger.send('Input.dispatchTouchEvent', {
        type: kind,
        touchPoints: kind === 'touchEnd' ? [] : [{ x: x - reach, y }],
      })
    await touch('touchStart', radius)
    for (const times of [1.1, 1.2, 1.25]) await touch('touchMove', radius * times)
    await touch('touchEnd')
    await expect(chain(page, 'Belts')).toContainText('2 : 1')
  })
})
