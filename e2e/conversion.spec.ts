import { chain, expect, finding, kept, test, type } from './shopFixture'

test('a figure opens to its formula, its numbers, its source and the figures it came from', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'drive')
  await page.getByRole('button', { name: /^Input amps at full load/ }).click()
  const working = page.getByRole('dialog')
  await expect(working).toContainText('I = P / (eta_m eta_d V lambda)')
  await expect(working).toContainText('in part from typical planning values')
  await expect(working).toContainText(/Source: IEC 60146-1-1/)
  await working
    .getByRole('row', { name: /Motor efficiency/ })
    .getByRole('button')
    .click()
  await expect(working.getByRole('heading', { name: 'Motor efficiency' })).toBeVisible()
  await working.getByRole('button', { name: 'Back' }).click()
  await expect(working).toContainText('I = P / (eta_m eta_d V lambda)')
})

test('what is not known says what it waits for, and leads there', async ({ page, shop, request }) => {
  const made = await request.post(`/api/shops/${shop.id}/conversions`, { data: { name: 'Bare' } })
  await page.goto(`/conversions/${((await made.json()) as { id: string }).id}/motor`)
  await page
    .getByRole('row', { name: /Rated torque/ })
    .getByRole('button')
    .click()
  await page.getByRole('dialog').getByRole('button', { name: 'Power' }).click()
  await expect(page.getByLabel('Power', { exact: true })).toBeFocused()
})

test('speeds: the ladder, the job out of reach and the position that reaches it', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'speeds')
  await expect(page.getByRole('img', { name: /Spindle speed at each hertz/ })).toContainText('Thread 2 mm pitch')
  const row = page.getByRole('row', { name: /Thread 2 mm pitch/ })
  await expect(row).toContainText('too fast for it')
  await finding(page, /Thread 2 mm pitch/)
    .getByRole('button', { name: /Use C, back gear/ })
    .click()
  await expect(row).toContainText('speed is there')
  await expect(chain(page, 'Spindle')).toContainText('5 of 6 jobs')
  await type(page, 'Highest hertz', '130')
  await expect(finding(page, /^Too fast for 250 mm four-jaw chuck$/)).toBeVisible()
  await expect(finding(page, 'The motor is asked to turn faster than it is safe')).toBeVisible()
})

test('settings: what the drive was read to hold is judged against the card', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gantry-router', 'settings')
  const wrong = finding(page, 'Too many volts for the hertz')
  await expect(wrong).toContainText(/800\s%/)
  const base = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: 'Base hertz' }) })
  await base.getByLabel('Read in the drive').fill('400')
  await base.getByLabel('Read in the drive').press('Enter')
  await expect(wrong).toBeHidden()
  await page.getByLabel('Stopped by').selectOption('knob-zero')
  await expect(finding(page, 'The knob at zero is not a stop')).toContainText('still live')
})

test('units switch everywhere and any field takes either', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'motor')
  await page.getByRole('button', { name: 'mm, kW' }).click()
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('2.01 hp')
  await expect(chain(page, 'Spindle')).toContainText('lbf ft')
  await type(page, 'Power', '1.1kW')
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('1.48 hp')
  await page.reload()
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('1.48 hp')
})

test('every kept plan is a revision, readable against the present and restorable', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'motor')
  await type(page, 'Power', '1.1 kW')
  await kept(page)
  await page.getByRole('button', { name: 'Revisions' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: /^1 imported/ }).click()
  await expect(dialog.getByRole('row', { name: /Motor, Power/ })).toContainText(/1\.5\skW\s*1\.1\skW/)
  await dialog.getByRole('button', { name: 'Restore revision 1' }).click()
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('1.5 kW')
  await kept(page)
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: /^Undo/ }).first().click()
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('1.1 kW')
})

test('a plate goes into the library and into another machine', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'motor')
  await page.getByLabel('Keep this one as').fill('Spare 1.5')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('button', { name: 'Pick a motor, 1 kept' })).toBeVisible()
  await shop.openDemo('1-saltpan-row/turret-mill', 'motor')
  await page.getByRole('button', { name: /^Pick a motor/ }).click()
  await page.getByRole('button', { name: 'Take Spare 1.5' }).click()
  await expect(chain(page, 'Motor')).toContainText('Star, 4-pole, 3.5 A')
})

test('light and dark are chosen once and stay', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'motor')
  await page.getByRole('button', { name: 'Light or dark' }).click()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'night')
  await page.reload()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'night')
})

test('an address that leads nowhere says so and leads back', async ({ page }) => {
  await page.goto('/nowhere/at/all')
  await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible()
  await page.goto('/conversions/00000000-0000-4000-8000-000000000000')
  await expect(page.getByRole('heading', { name: 'This conversion cannot be opened' })).toBeVisible()
  await expect(page.getByText('There is no such conversion.')).toBeVisible()
})

test('another machine is begun from one: a copy in the same shop, open at once', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'motor')
  await page.goto(`/shops/${shop.id}`)
  await page.getByRole('button', { name: /^Begin another from Gap-bed lathe/ }).click()
  await page.waitForURL('**/conversions/**')
  const [made = ''] = /\/conversions\/[^/]+/.exec(page.url()) ?? []
  await page.goto(`${made}/motor`)
  await expect(page.getByLabel('Frame')).toHaveValue('90L')
  await page.goto(`/shops/${shop.id}`)
  await expect(page.getByRole('link', { name: /^Gap-bed lathe.*, copy$/ })).toBeVisible()
})

test('a machine can be taken away, after a question', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/turret-mill')
  await page.goto(`/shops/${shop.id}`)
  await page.getByRole('button', { name: 'Take Turret mill away' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Take it away' }).click()
  await expect(page.getByRole('heading', { name: 'What machine is it?' })).toBeVisible()
})
