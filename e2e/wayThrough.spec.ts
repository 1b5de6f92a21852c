import { chain, expect, test, toStage } from './shopFixture'

test('each stage opens at its top, and where it was when it is come back to', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe')
  const top = () => page.evaluate(() => Math.round(document.getElementById('surface')?.scrollTop ?? -1))
  await page.locator('#surface').hover()
  await page.mouse.wheel(0, 700)
  await expect.poll(top).toBe(700)
  await page.getByRole('link', { name: /Motor/ }).click()
  await expect(page.getByRole('heading', { name: 'Motor', level: 1 })).toBeVisible()
  await expect.poll(top).toBe(0)
  await page.getByRole('link', { name: /Survey/ }).click()
  await expect.poll(top).toBe(700)
})

test('the keyboard: a skip link, n for next, dialogs on their first field, a new row in focus', async ({
  page,
  shop,
}) => {
  await shop.openDemo('1-saltpan-row/turret-mill')
  await page.keyboard.press('Tab')
  await expect(page.getByRole('link', { name: 'Skip to the stage' })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.locator('#surface')).toBeFocused()
  await page.getByRole('button', { name: 'Another position' }).click()
  await expect(page.locator('[data-path="survey.positions.3.transmission.0.driverMm"]')).toBeFocused()
  await page.getByRole('link', { name: /Drive/ }).click()
  await page.getByRole('button', { name: /^Pick a drive/ }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog).toBeVisible()
  await expect(dialog.getByRole('button', { name: 'Close' })).not.toBeFocused()
  await expect(dialog.locator(':focus')).toHaveCount(1)
  await page.keyboard.press('Escape')
  await page.locator('#surface').focus()
  // Something stops this machine, so Next leads to that first; then to the first field that it asks for.
  const next = page.locator('button[data-kind]').filter({ visible: true })
  await expect(next).toHaveAttribute('data-kind', 'stop')
  await page.keyboard.press('n')
  await expect(page.locator('[data-finding]:focus')).toHaveCount(1)
  for (let turn = 0; turn < 20 && (await next.getAttribute('data-kind')) === 'stop'; turn += 1)
    await page.keyboard.press('n')
  const asks = ((await next.getAttribute('data-asks')) ?? '').split(' ')
  expect(asks[0]).toMatch(/^\w+\./)
  await page.keyboard.press('n')
  await expect
    .poll(() =>
      page.evaluate(() => document.activeElement?.closest<HTMLElement>('[data-path]')?.dataset['path']?.split(' ')[0]),
    )
    .toBe(asks[0])
})

test('on a phone the chain stays in view in one line and leads to the findings', async ({ page, shop }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await shop.openDemo('1-saltpan-row/gap-bed-lathe')
  await page.mouse.wheel(0, 2500)
  const line = page.getByRole('link', { name: /^Findings\. Wall: watch, .* Spindle: / })
  await expect(line).toBeInViewport()
  expect((await line.boundingBox())?.height).toBeLessThan(56)
  await line.click()
  await expect(page.getByRole('heading', { name: 'Findings' })).toBeInViewport()
  await expect(chain(page, 'Wall')).not.toBeInViewport()
})

test.describe('paper', () => {
  test.beforeEach(({ page }) =>
    page.addInitScript(() => {
      window.print = () => document.documentElement.setAttribute('data-printed', '')
    }),
  )
  test('a stage prints whole, by itself, with whose it is and of when', async ({ page, shop }) => {
    await shop.openDemo('1-saltpan-row/gap-bed-lathe')
    for (const stage of ['survey', 'motor', 'drive', 'speeds', 'wiring', 'settings'] as const) {
      await page.emulateMedia({ media: 'screen' })
      await toStage(page, stage)
      await page.evaluate(() => document.documentElement.removeAttribute('data-printed'))
      await page.getByRole('button', { name: 'Print this stage' }).click()
      await expect(page.locator('html[data-printed]')).toBeAttached({ timeout: 10_000 })
      // Nothing that comes only when it is seen was left out.
      await expect(page.locator('[data-waiting]')).toHaveCount(0)
      await page.emulateMedia({ media: 'print' })
      await expect(page.getByText(/Shed \w+, \d+ \w+ 20\d\d, \d\d:\d\d, revision 1\. http/)).toBeVisible()
      for (const gone of ['Findings', 'Route card'])
        await expect(page.getByRole(gone === 'Findings' ? 'complementary' : 'navigation', { name: gone })).toBeHidden()
      const pressed = page.locator('main button.btn')
      for (const button of await pressed.all()) await expect(button).toBeHidden()
      // What is empty is no line on paper.
      for (const field of await page.locator('main input.field:placeholder-shown').all())
        await expect(field).toBeHidden()
      for (const format of ['A4', 'Letter'] as const)
        expect((await page.pdf({ format })).subarray(0, 5).toString()).toBe('%PDF-')
    }
  })
  test('the settings card has a box to tick for every value, and a line where nothing was read', async ({
    page,
    shop,
  }) => {
    await shop.openDemo('1-saltpan-row/turret-mill', 'settings')
    await page.emulateMedia({ media: 'print' })
    const lines = page.locator('[aria-labelledby=card] ol > li')
    const count = await lines.count()
    expect(count).toBeGreaterThan(10)
    expect(await page.getByText('read: ______________').count()).toBeGreaterThan(0)
    await expect(page.locator('[aria-labelledby=card] ol li span.size-4:visible')).toHaveCount(count)
  })
})
