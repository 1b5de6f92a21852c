import type { Page } from '@playwright/test'
import { stageIds as stages } from '@zesty/core'
import { someOf } from './effort'
import { expect, test, toStage } from './shopFixture'

/** The usual window and the usual phone, and of the others one, another each day; all in a whole check. */
const WIDTHS = [...new Set([1280, 390, ...someOf([1600, 1024, 820, 700, 360], 1)])].sort((a, b) => b - a)

/** How long charts may take to be drawn anew for another width, ms. */
const DRAWN_MS = 2000

/** Texts that do not fit their own box, and a page that is wider than the window. */
const overflowing = (page: Page) =>
  page.evaluate(() => {
    const canvas = document.createElement('canvas').getContext('2d')
    const widthOf = (text: string, style: CSSStyleDeclaration): number => {
      if (!canvas) throw new Error('no canvas')
      // The shorthand is empty where figures are set in columns.
      canvas.font = `${style.fontWeight} ${style.fontSize} ${style.fontFamily}`
      return canvas.measureText(text).width
    }
    const inner = (el: Element, style: CSSStyleDeclaration) =>
      el.clientWidth - parseFloat(style.paddingLeft) - parseFloat(style.paddingRight)
    const named = (el: Element) =>
      `${el.tagName.toLowerCase()} ${el.getAttribute('data-path') ?? el.getAttribute('aria-label') ?? el.className.slice(0, 40)}`
    const found: string[] = []
    const root = document.documentElement
    if (root.scrollWidth > root.clientWidth + 1)
      found.push(`the page is ${root.scrollWidth} wide in ${root.clientWidth}`)
    for (const el of document.querySelectorAll<HTMLElement>('body *')) {
      const style = getComputedStyle(el)
      if (el.offsetParent === null || el.clientWidth <= 1 || el.closest('svg, [aria-hidden=true]')) continue
      if (el instanceof HTMLSelectElement) {
        const text = el.selectedOptions[0]?.textContent ?? ''
        // The arrow takes its part.
        if (widthOf(text, style) > inner(el, style) - 16) found.push(`${named(el)}: "${text}" in ${inner(el, style)}`)
      } else if (
        el instanceof HTMLInputElement &&
        el.type !== 'checkbox' &&
        el.type !== 'file' &&
        el.type !== 'radio'
      ) {
        const text = el.value === '' ? el.placeholder : el.value
        if (widthOf(text, style) > inner(el, style) + 1) found.push(`${named(el)}: "${text}" in ${inner(el, style)}`)
      } else if (style.overflowX === 'hidden' || style.overflowX === 'clip') {
        if (el.scrollWidth > el.clientWidth + 1) found.push(`${named(el)}: ${el.innerText.slice(0, 40)}`)
      }
    }
    return [...new Set(found)]
  })

/** At every width, narrowest last as a window is drawn smaller; what is cut off, by width. */
async function cutOff(page: Page, name: string): Promise<string[]> {
  const cut: string[] = []
  for (const width of WIDTHS) {
    await page.setViewportSize({ width, height: 900 })
    // Charts are drawn anew for their place: what is cut off until then is none.
    let found = await overflowing(page)
    for (const until = Date.now() + DRAWN_MS; found.length > 0 && Date.now() < until;) found = await overflowing(page)
    cut.push(...found.map((one) => `${name} at ${width} px: ${one}`))
  }
  return cut
}

/** A machine of each shop, and so of each system of units; between them they have every kind of sheet. One a day; all in a whole check. */
const MACHINES = ['1-saltpan-row/gap-bed-lathe', '2-juniper-wash/long-bed-lathe', '1-saltpan-row/gantry-router']

for (const machine of someOf(MACHINES, 1))
  test(`no text of ${machine} is cut off from 360 to 1600 px`, async ({ page, shop }) => {
    test.setTimeout(120_000)
    await shop.openDemo(machine)
    if (machine.startsWith('2')) await page.keyboard.press('u')
    const cut: string[] = []
    for (const stage of stages) {
      await page.setViewportSize({ width: 1280, height: 900 })
      await toStage(page, stage)
      // What comes when it is seen comes now.
      await page.evaluate(() => window.dispatchEvent(new Event('zesty-show-all')))
      await expect(page.locator('[data-waiting]')).toHaveCount(0)
      cut.push(...(await cutOff(page, stage)))
    }
    await page.goto(`/shops/${shop.id}`)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    cut.push(...(await cutOff(page, 'shop')))
    expect(cut).toEqual([])
  })
