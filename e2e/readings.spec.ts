import { readFileSync } from 'node:fs'
import { expect, finding, test } from './shopFixture'

test('a reading is typed, judged at once beside the plan, kept over a reload, and taken away and put back', async ({
  page,
  shop,
}) => {
  await shop.openDemo('2-juniper-wash/tool-grinder')
  const part = page.getByRole('region', { name: 'Readings' })
  await page.locator('#readings').scrollIntoViewIfNeeded()
  const form = part.getByRole('form', { name: 'A reading' })
  const value = form.getByLabel('Spindle speed', { exact: true })
  await form.getByLabel('Drive at').fill('60')
  await value.fill('1190')
  await value.press('Enter')
  // It goes on where it stood: the setting stays, the value is asked again.
  await expect(value).toBeFocused()
  await expect(value).toHaveValue('')
  await expect(form.getByLabel('Drive at')).toHaveValue('60')
  await expect(finding(page, 'The speed of Direct is not what its pulleys make')).toContainText('as measured')

  await value.fill('3590 rpm')
  await value.press('Enter')
  await expect(finding(page, 'Two readings of the speed on Direct do not agree')).toBeVisible()
  await expect(part.getByText('Does not agree')).toHaveCount(2)
  await page.reload()
  await page.locator('#readings').scrollIntoViewIfNeeded()
  await part.getByRole('button', { name: /^Take Spindle speed 1\s?190 rpm away/ }).click()
  await expect(finding(page, 'Two readings of the speed on Direct do not agree')).toHaveCount(0)
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(finding(page, 'Two readings of the speed on Direct do not agree')).toBeVisible()
})

test('notes are pasted and shown as understood; the list goes out as CSV and into another machine', async ({
  page,
  shop,
}) => {
  await shop.openDemo('2-juniper-wash/tool-grinder')
  const part = page.getByRole('region', { name: 'Readings' })
  await page.locator('#readings').scrollIntoViewIfNeeded()
  await part.getByRole('button', { name: 'Paste or CSV in' }).click()
  await part.getByLabel(/^As they were noted/).fill('3585 rpm at 60 Hz\nU 0.9 A\n14 s\ncoast 40 s from 3585 rpm')
  await expect(part.getByText('Not read: 14 s. 14 s of what? Say coast, up or down')).toBeVisible()
  await part.getByRole('button', { name: 'Keep 3 readings' }).click()
  await expect(part.getByRole('button', { name: /^Take .* away$/ })).toHaveCount(3)

  const download = page.waitForEvent('download')
  await part.getByRole('button', { name: 'CSV out' }).click()
  const csv = readFileSync(await (await download).path(), 'utf8')
  expect(csv.split('\r\n')).toHaveLength(4)

  await shop.openDemo('2-juniper-wash/tool-grinder')
  await page.locator('#readings').scrollIntoViewIfNeeded()
  await part.getByRole('button', { name: 'Paste or CSV in' }).click()
  await part
    .getByLabel('CSV file of readings')
    .setInputFiles({ name: 'r.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
  await part.getByRole('button', { name: 'Keep 3 readings' }).click()
  await expect(part.getByRole('button', { name: 'Take Coast 40 s away' })).toBeVisible()
})
