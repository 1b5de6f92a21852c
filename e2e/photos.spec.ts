import type { Page } from '@playwright/test'
import { demoFile, expect, test } from './shopFixture'

/** A picture as a phone takes it, larger than what is kept, made by the browser itself. */
async function picture(page: Page, type: 'image/png' | 'image/webp') {
  const url = await page.evaluate((kind) => {
    const canvas = document.createElement('canvas')
    canvas.width = 3000
    canvas.height = 2000
    const context = canvas.getContext('2d')
    for (let i = 0; i < 4000; i += 1) {
      if (!context) break
      context.fillStyle = `hsl(${(i * 47) % 360} 60% 50%)`
      context.fillRect((i * 131) % 3000, (i * 197) % 2000, 90, 40)
    }
    return canvas.toDataURL(kind)
  }, type)
  const name = `strip.${type.slice(6)}`
  return { name, mimeType: type, buffer: Buffer.from(url.slice(url.indexOf(',') + 1), 'base64') }
}

test('a photo is shrunk, shown, said what is seen on it, and taken away', async ({ page, shop }) => {
  const id = await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'survey')
  await page
    .getByLabel('Photo, as found', { exact: true })
    .setInputFiles([await picture(page, 'image/png'), await picture(page, 'image/webp')])
  const photos = page.getByRole('list', { name: 'Photos, as found' }).getByRole('button')
  await expect(photos).toHaveCount(2)
  await expect(photos.first().locator('img')).toHaveAttribute('src', new RegExp(`^/api/conversions/${id}/photos/`))
  // Read by the browser that it was sent to, no larger than it need be.
  await photos.first().scrollIntoViewIfNeeded()
  await expect
    .poll(() =>
      photos
        .first()
        .locator('img')
        .evaluate((img: HTMLImageElement) => [img.naturalWidth, img.naturalHeight]),
    )
    .toEqual([1600, 1067])
  const src = (await photos.first().locator('img').getAttribute('src')) ?? ''
  const content = await (await page.request.get(src)).body()
  expect(content.length).toBeLessThanOrEqual(1_000_000)
  await photos.first().click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('What is seen').fill('Drum switch from the left')
  await dialog.getByLabel('What is seen').press('Enter')
  await page.keyboard.press('Escape')
  await expect(page.getByText('Drum switch from the left')).toBeVisible()
  // The same at the step that asks for it.
  await page.keyboard.press('6')
  await page.getByLabel('Step', { exact: true }).selectOption('as-found')
  const there = page.getByRole('article').getByRole('button', { name: /^Photo \d/ })
  await expect(there).toHaveCount(2)
  await there.first().click()
  await page.getByRole('dialog').getByRole('button', { name: 'Take it away' }).click()
  await expect(there).toHaveCount(1)
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(there).toHaveCount(2)
})

test('what is no picture is said, and nothing is kept', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'survey')
  await page.getByLabel('Photo, as found', { exact: true }).setInputFiles(demoFile('1-saltpan-row/gap-bed-lathe'))
  await expect(page.getByText(/cannot read it as a picture/)).toBeVisible()
  await expect(page.getByRole('list', { name: 'Photos, as found' })).toBeHidden()
})

test('without a network a photo is held through a reload, and sent when it is back', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'wiring')
  await page.getByLabel('Step', { exact: true }).selectOption('earth')
  const article = page.getByRole('article').filter({ hasText: 'bonded first' })
  const file = await picture(page, 'image/png')
  await page.waitForLoadState('networkidle')
  await page.route('**/photos', (route) => (route.request().method() === 'POST' ? route.abort() : route.continue()))
  await article.getByLabel(/^Photo, Frame/).setInputFiles(file)
  await expect(article.getByText('Not sent yet')).toBeVisible()
  await page.reload()
  await page.getByLabel('Step', { exact: true }).selectOption('earth')
  await expect(article.getByText('Not sent yet')).toBeVisible()
  await page.unroute('**/photos')
  await expect(article.getByText('Not sent yet')).toBeHidden({ timeout: 15_000 })
  await expect(article.getByRole('button', { name: /^Photo 1/ }).locator('img')).toHaveAttribute('src', /^\/api\//)
})

test('a page of the manual is seen at every machine of the shop, and in its library', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'wiring')
  await page
    .getByLabel('Photo, pages of Heron, wall-box drive', { exact: true })
    .setInputFiles(await picture(page, 'image/png'))
  await expect(page.getByRole('list', { name: 'Photos, pages of Heron, wall-box drive' })).toBeVisible()
  await page.getByRole('button', { name: /in the library$/ }).click()
  await expect(page.getByText('Heron, wall-box drive is in the library')).toBeVisible()
  await page.goto(`/shops/${shop.id}`)
  await page.getByRole('link', { name: 'Library' }).click()
  await page.getByRole('link', { name: 'Manuals' }).click()
  const pages = page.getByRole('list', { name: 'Photographed pages of Heron, wall-box drive' })
  await expect(pages.getByRole('img')).toHaveCount(1)
})
