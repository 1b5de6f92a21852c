import { expect, finding, test } from './shopFixture'

test('keys open stages, walk findings, open workings, and none fires while typing', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe')
  await page.keyboard.press('3')
  await expect(page.getByRole('heading', { name: 'Motor', level: 1 })).toBeVisible()
  await page.keyboard.press(']')
  await expect(page.getByRole('heading', { name: 'Drive', level: 1 })).toBeVisible()
  await page.keyboard.press('[')
  await expect(page.getByRole('heading', { name: 'Motor', level: 1 })).toBeVisible()

  await page.keyboard.press('f')
  await expect(page.getByRole('article').nth(0)).toBeFocused()
  await page.keyboard.press('f')
  await expect(page.getByRole('article').nth(1)).toBeFocused()

  await page.getByRole('button', { name: /^Rated torque/ }).focus()
  await page.keyboard.press('w')
  await expect(page.getByTestId('formula').locator('mfrac')).toContainText('60')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: /^Rated torque/ })).toBeFocused()

  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Next finding')
  await page.keyboard.press('Escape')

  const frame = page.getByLabel('Frame', { exact: true })
  await frame.focus()
  await frame.press('End')
  await page.keyboard.type('f4/w?u]')
  await expect(frame).toHaveValue('90Lf4/w?u]')
  await expect(page.getByRole('heading', { name: 'Motor', level: 1 })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(frame).toHaveValue('90L')
})

test('undo and redo by the platform’s keys', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'motor')
  const star = finding(page, /Links are in star/)
  const planned = star.getByText('Planned: Move links to delta')
  await star.getByRole('button', { name: 'Plan it: Move links to delta' }).click()
  await expect(planned).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(planned).toBeHidden()
  await page.keyboard.press('Control+y')
  await expect(planned).toBeVisible()
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+Shift+z')
  await expect(planned).toBeVisible()
})

test('the palette goes to stages, fields and remedies', async ({ page, shop }) => {
  await shop.openDemo('2-juniper-wash/long-bed-lathe', 'motor')
  await page.keyboard.press('/')
  await expect(page.getByPlaceholder(/Type what you want/)).toBeFocused()
  await page.keyboard.type('speeds')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Speeds', level: 1 })).toBeVisible()
  await page.keyboard.press('/')
  await page.keyboard.type('set base')
  await page.keyboard.press('Enter')
  await expect(finding(page, /other half of the world/)).toBeHidden()
  await page.keyboard.press('/')
  await page.keyboard.type('xqxqx')
  await expect(page.getByText('Nothing goes by that name.')).toBeVisible()
})

test('a plate can be typed with the keyboard alone', async ({ page, shop, request }) => {
  const made = await request.post(`/api/shops/${shop.id}/conversions`, {
    data: { name: 'By keys', machineKind: 'lathe' },
  })
  await page.goto(`/conversions/${((await made.json()) as { id: string }).id}/motor`)
  await page.getByRole('radio', { name: 'Three-phase', exact: true }).focus()
  await page.keyboard.press('Space')
  await page.keyboard.press('Tab')
  for (const text of ['1.5 kW', '230/400 V', '6.0/3.5 A', '50', '1420', '90L']) {
    await page.keyboard.type(text)
    await page.keyboard.press('Tab')
  }
  await expect(page.getByRole('button', { name: /^Rated torque: 10\.1 N m/ })).toBeVisible()
  await expect(page.getByLabel('cos phi', { exact: true })).toBeFocused()
})
