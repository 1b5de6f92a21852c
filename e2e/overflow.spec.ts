import type { Page } from '@playwright/test'
import { stageIds as stages } from '@zesty/core'
import { expect, test } from './shopFixture'

const WIDTHS = [360, 390, 700, 820, 1024, 1280, 1600]

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

/** A machine of each shop, and so of each system of units; between them they have every kind of sheet. */
const machines = ['1-saltpan-row/gap-bed-lathe', '2-juniper-wash/long-bed-lathe', '1-saltpan-row/gantry-router']

for (const width of WIDTHS)
  test(`no text is cut off at ${width} px`, async ({ page, shop }) => {
    test.setTimeout(90_000)
    await page.setViewportSize({ width, height: 900 })
    const cut: Record<string, string[]> = {}
    const look = async (name: string) => {
      const found = await overflowing(page)
      if (found.length > 0) cut[name] = found
    }
    for (const machine of machines) {
      const id = await shop.openDemo(machine)
      if (machine.startsWith('2')) await page.keyboard.press('u')
      for (const stage of stages) {
        await page.goto(`/conversions/${id}/${stage}`)
        await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
        // What comes when it is seen comes now.
        await page.evaluate(() => window.dispatchEvent(new Event('zesty-show-all')))
        await page.waitForTimeout(300)
        await look(`${machine} ${stage}`)
      }
    }
    await page.goto(`/shops/${shop.id}`)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await page.waitForTimeout(300)
    await look('shop')
    expect(cut).toEqual({})
  })
