import { AxeBuilder } from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { chain, expect, test, type } from './shopFixture'

const stages = ['survey', 'route', 'motor', 'drive', 'speeds', 'settings']

/** Faults that keep people out, as axe names them. */
async function faults(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'best-practice'])
    .analyze()
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .flatMap((v) => v.nodes.map((n) => `${v.id}: ${n.html.slice(0, 120)}`))
}

for (const theme of ['light', 'dark'] as const)
  test(`axe finds nothing serious on any view, ${theme}`, async ({ page, shop }) => {
    test.slow()
    await page.emulateMedia({ colorScheme: theme })
    await shop.addSamples()
    const id = await shop.openDemo('1-saltpan-row/gap-bed-lathe')
    for (const stage of stages) {
      await page.goto(`/conversions/${id}/${stage}`)
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      expect([stage, await faults(page)]).toEqual([stage, []])
    }
    await page.keyboard.press('/')
    await expect(page.getByPlaceholder(/Type what you want/)).toBeVisible()
    expect(['palette', await faults(page)]).toEqual(['palette', []])
    await page.goto(`/shops/${shop.id}`)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    expect(['shop', await faults(page)]).toEqual(['shop', []])
    for (const kind of ['motors', 'drives']) {
      await page.goto(`/shops/${shop.id}/library/${kind}`)
      await expect(page.getByRole('table')).toBeVisible()
      expect([kind, await faults(page)]).toEqual([kind, []])
    }
    await page.goto(`/shops/${shop.id}`)
    await page.getByRole('button', { name: 'Another machine' }).click()
    await expect(page.getByRole('dialog')).toBeVisible()
    expect(['new machine', await faults(page)]).toEqual(['new machine', []])
  })

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })
  for (const view of [...stages, 'shop', 'library'])
    test(`${view} fits the width, and what is pressed is large enough`, async ({ page, shop }) => {
      if (view === 'library') await shop.addSamples()
      await shop.openDemo('1-saltpan-row/gap-bed-lathe', stages.includes(view) ? view : 'survey')
      if (view === 'shop') await page.goto(`/shops/${shop.id}`)
      if (view === 'library') await page.goto(`/shops/${shop.id}/library/drives`)
      await page.waitForLoadState('networkidle')
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
      const small = await page.evaluate(() =>
        [...document.querySelectorAll('button, a[href], input:not([type=file]), select, summary')]
          .filter((e) => (e as HTMLElement).checkVisibility())
          .map((e) => ({
            what: (e.textContent || e.getAttribute('aria-label') || e.tagName).trim().slice(0, 40),
            box: e.getBoundingClientRect(),
          }))
          .filter(({ box }) => box.width > 0 && box.height < 43.5)
          .map(({ what, box }) => `${what} ${box.height}`),
      )
      expect(small).toEqual([])
    })

  test('a plate is typed and judged', async ({ page, shop }) => {
    await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'motor')
    await type(page, 'Speed', '3100')
    await expect(page.getByRole('heading', { name: /speed and hertz contradict/ })).toBeVisible()
    await expect(chain(page, 'Motor')).toContainText('Star')
    await page.getByRole('link', { name: /findings? below/ }).click()
    await expect(page.getByRole('heading', { name: 'Findings' })).toBeInViewport()
  })
})
