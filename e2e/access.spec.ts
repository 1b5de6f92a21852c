import { AxeBuilder } from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { stageIds as stages } from '@zesty/core'
import { someOf } from './effort'
import { chain, expect, test, toStage, type } from './shopFixture'

/** Faults that keep people out, as axe names them. */
async function faults(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'best-practice'])
    // What is right is not listed: making that list takes most of the time.
    .options({ resultTypes: ['violations'] })
    .analyze()
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .flatMap((v) => v.nodes.map((n) => `${v.id}: ${n.html.slice(0, 120)}`))
}

for (const theme of someOf(['light', 'dark'] as const, 1))
  test(`axe finds nothing serious on any view, ${theme}`, async ({ page, shop }) => {
    test.slow()
    await page.emulateMedia({ colorScheme: theme })
    await shop.addSamples()
    await shop.openDemo('1-saltpan-row/gap-bed-lathe')
    for (const stage of someOf(stages, 4)) {
      await toStage(page, stage)
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

/** Opens what a person opens to measure belts and to make positions of steps. */
async function openBelts(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Drawn to scale, and the belt' }).nth(1).click()
  await expect(page.getByRole('img', { name: /to scale/ })).toBeVisible()
  await page.getByRole('button', { name: 'From step pulleys' }).click()
  await page.getByLabel('Motor’s steps').fill('90, 125, 160')
  await page.getByLabel('Facing them').fill('190, 155, 200')
  await expect(page.getByRole('row', { name: /wants a belt/ })).toBeVisible()
}

/** What is too small for a thumb; a box to tick counts with its label. */
const smallTargets = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [...document.querySelectorAll('button, a[href], input:not([type=file]), select, summary')]
      .filter((e) => (e as HTMLElement).checkVisibility())
      .map((e) => ({
        what: (e.textContent || e.getAttribute('aria-label') || e.tagName).trim().slice(0, 40),
        box: ((e.getAttribute('type') === 'checkbox' && e.closest('label')) || e).getBoundingClientRect(),
      }))
      .filter(({ box }) => box.width > 0 && box.height < 43.5)
      .map(({ what, box }) => `${what} ${box.height}`),
  )

for (const theme of someOf(['light', 'dark'] as const, 1))
  test(`axe finds nothing serious on belts, steps and the train, ${theme}`, async ({ page, shop }) => {
    await page.emulateMedia({ colorScheme: theme })
    await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'survey')
    await openBelts(page)
    expect(await faults(page)).toEqual([])
    await page.getByRole('link', { name: /Speeds/ }).click()
    await page.getByRole('button', { name: 'Train', exact: true }).click()
    await page.getByText('Where B shakes').click()
    await expect(page.getByLabel('Shakes around')).toBeVisible()
    expect(await faults(page)).toEqual([])
  })

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })
  test('belts, steps and the train fit the width', async ({ page, shop }) => {
    await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'survey')
    await openBelts(page)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    expect(await smallTargets(page)).toEqual([])
    await page.getByRole('link', { name: /Speeds/ }).click()
    for (const part of ['Train', 'Speed map', 'Search', 'Cards']) {
      await page.getByRole('button', { name: part, exact: true }).first().click()
      await page.waitForLoadState('networkidle')
    }
    await expect(page.getByRole('heading', { name: 'Cards for the machine' })).toBeVisible()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    expect(await smallTargets(page)).toEqual([])
  })
  test('every view fits the width, and what is pressed is large enough', async ({ page, shop }) => {
    const fits = async (view: string) => {
      await page.waitForLoadState('networkidle')
      const width = await page.evaluate(() => document.documentElement.scrollWidth)
      expect({ view, tooWide: width > 390, small: await smallTargets(page) }).toEqual({
        view,
        tooWide: false,
        small: [],
      })
    }
    await shop.addSamples()
    await shop.openDemo('1-saltpan-row/gap-bed-lathe')
    for (const stage of stages) {
      await toStage(page, stage)
      await fits(stage)
    }
    await page.goto(`/shops/${shop.id}`)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await fits('shop')
    await page.goto(`/shops/${shop.id}/library/drives`)
    await expect(page.getByRole('table')).toBeVisible()
    await fits('library')
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
