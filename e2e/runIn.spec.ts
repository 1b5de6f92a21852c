import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { someOf } from './effort'
import { devices, expect, kept, test } from './shopFixture'

const LATHE = '1-saltpan-row/gap-bed-lathe'
const PT = 72 / 25.4

async function type(page: Page, label: string | RegExp, text: string): Promise<void> {
  const field = page.getByLabel(label).first()
  await field.fill(text)
  await field.press('Enter')
}

for (const [device, viewport] of someOf(devices, 1))
  test.describe(`on ${device}`, () => {
    test.use({ viewport })

    test('a reading that is off is judged as it is typed, traced to its cause, and stands among the findings', async ({
      page,
      shop,
    }) => {
      await shop.openDemo(LATHE, 'run-in')
      const sheet = page.getByRole('region', { name: 'Run-in sheet' })
      await expect(sheet).toContainText('0 of 9 hold points passed; next: Bare motor, slow')
      // What is expected opens to how it was had.
      await sheet.getByRole('button', { name: /^Expected: 1\.1\sA, amps, first lead/ }).click()
      await expect(page.getByRole('dialog')).toContainText('as fitted to the plate')
      await page.keyboard.press('Escape')
      const first = sheet.getByLabel(/^Amps, first lead/)
      await first.fill('1.1 A')
      await expect(sheet.getByText('Good', { exact: true })).toBeVisible()
      // Three times the amps are those of the other links.
      await first.fill('3.3 A')
      await first.press('Enter')
      await expect(sheet.getByText('The links stand in delta where star is planned')).toBeVisible()
      await expect(sheet.getByText('That is what was read.')).toBeVisible()
      await expect(
        sheet
          .getByRole('button', { name: 'Not with what is off' })
          .or(sheet.getByRole('button', { name: /still to read or see/ })),
      ).toBeDisabled()
      // Read again, rightly, and the rest with it: the hold point opens.
      await type(page, /^Amps, first lead/, '1.1 A')
      await expect(sheet.getByText('The links stand in delta')).toHaveCount(0)
      await type(page, /^Amps, second lead/, '1.12 A')
      await type(page, /^Amps, third lead/, '1.08 A')
      await type(page, /^Volts between two motor leads/, '78 V')
      for (const group of await sheet.getByRole('group').all()) await group.getByRole('button', { name: 'Yes' }).click()
      await sheet.getByRole('button', { name: 'Passed: go on' }).click()
      await expect(sheet).toContainText('1 of 9 hold points passed; next: Bare motor at base')
      await kept(page)
      await page.reload()
      await expect(page.getByRole('region', { name: 'Run-in sheet' })).toContainText('1 of 9 hold points passed')
    })

    test('ten readings of the dial with two wrong give a plate whose PDF is true to a tenth of a millimetre', async ({
      page,
      shop,
    }) => {
      await shop.openDemo(LATHE, 'dial')
      for (let mark = 0; mark <= 9; mark += 1)
        await type(page, new RegExp(`^Mark ${mark}, rpm`), String(mark === 3 ? 500 : mark === 7 ? 150 : 70 + 59 * mark))
      await expect(page.getByText('Left out: read again')).toHaveCount(2)
      await expect(page.getByText(/^A straight line, every reading that belongs within/)).toBeVisible()
      const plate = page.getByRole('region', { name: 'Dial plate' })
      await plate.getByLabel('Outside of the plate').fill('100 mm')
      await plate.getByLabel('Outside of the plate').press('Enter')
      await expect(plate.getByText('By the readings.')).toBeVisible()
      const download = page.waitForEvent('download')
      await plate.getByRole('button', { name: 'PDF' }).click()
      const path = await (await download).path()
      const pdf = await getDocument({ data: new Uint8Array(readFileSync(path)), useSystemFonts: false }).promise
      const sheet = await pdf.getPage(1)
      const { bar, widest } = await measured(sheet)
      // The bar of 100 mm and the plate's edge of 100 mm, as another program reads them off the paper.
      expect(Math.abs(bar - 100)).toBeLessThan(0.1)
      expect(Math.abs(widest - 100)).toBeLessThan(0.1)
      const { items } = await sheet.getTextContent()
      expect(items.map((i) => ('str' in i ? i.str : '')).join(' ')).toContain('Check bar: 100 mm')
      for (const [button, begins] of [
        ['SVG', '<svg '],
        ['DXF', '  0'],
      ] as const) {
        const file = page.waitForEvent('download')
        await plate.getByRole('button', { name: button }).click()
        const text = readFileSync(await (await file).path(), 'utf8')
        expect(text.trimStart().slice(0, 8)).toContain(begins.trim())
      }
    })
  })

/** Longest straight line across the paper, and the widest round thing, mm: read from the page's own drawing orders. */
async function measured(page: { getOperatorList: () => Promise<{ fnArray: number[]; argsArray: unknown[] }> }) {
  const { fnArray, argsArray } = await page.getOperatorList()
  let matrix = [1, 0, 0, 1, 0, 0]
  const kept: number[][] = []
  const at = (x: number, y: number): [number, number] => {
    const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0] = matrix
    return [a * x + c * y + e, b * x + d * y + f]
  }
  let [bar, widest] = [0, 0]
  fnArray.forEach((fn, i) => {
    const args = argsArray[i] as number[]
    if (fn === OPS.save) kept.push(matrix)
    else if (fn === OPS.restore) matrix = kept.pop() ?? matrix
    else if (fn === OPS.transform) {
      const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0] = matrix
      const [g = 1, h = 0, j = 0, k = 1, l = 0, m = 0] = args
      matrix = [a * g + c * h, b * g + d * h, a * j + c * k, b * j + d * k, a * l + c * m + e, b * l + d * m + f]
    } else if (fn === OPS.constructPath) {
      const [ops, coordinates] = argsArray[i] as [number[], number[]]
      const points: [number, number][] = []
      let p = 0
      let curved = false
      for (const op of ops) {
        const count = op === OPS.curveTo ? 6 : op === OPS.closePath ? 0 : op === OPS.rectangle ? 4 : 2
        if (op === OPS.curveTo) curved = true
        for (let k = count - 2; k >= 0 && k < count; k += 2)
          points.push(at(coordinates[p + k] ?? 0, coordinates[p + k + 1] ?? 0))
        p += count
      }
      const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
      const [w, h] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)].map((n) => n / PT) as [
        number,
        number,
      ]
      if (curved && Math.abs(w - h) < 0.2) widest = Math.max(widest, w)
      if (!curved && points.length === 2 && h < 0.05) bar = Math.max(bar, w)
    }
  })
  return { bar, widest }
}

// The other one than above.
for (const [device, viewport] of someOf(devices.toReversed(), 1))
  test.describe(`kept on ${device}`, () => {
    test.use({ viewport })

    test('without a network the log is held, merged with what others wrote meanwhile, and told', async ({
      page,
      shop,
      context,
    }) => {
      const id = await shop.openDemo(LATHE, 'log')
      await expect(page.getByRole('heading', { name: 'Log', exact: true }).first()).toBeVisible()
      await page.getByRole('button', { name: 'Something is wrong' }).click()
      await page.getByLabel('What is wrong').selectOption('slows')
      await expect(page.getByText('A loose joint in the knob’s or enable’s leads.')).toBeVisible()
      await context.setOffline(true)
      await page.getByRole('button', { name: 'Keep it in the log' }).click()
      await expect(page.getByText('not sent yet').first()).toBeVisible()
      await page.reload({ waitUntil: 'commit' }).catch(() => undefined)
      // Somebody else writes meanwhile.
      await page.request.post(`/api/conversions/${id}/log`, {
        data: {
          entries: [
            {
              id: randomUUID(),
              kind: 'note',
              text: 'written elsewhere',
              at: '2026-03-01T10:00:00.000Z',
            },
          ],
        },
      })
      await context.setOffline(false)
      await page.goto(`/conversions/${id}/log`)
      await expect(page.getByText('written elsewhere')).toBeVisible()
      await expect(page.getByText('It slows by itself').last()).toBeVisible()
      await expect(page.getByText('not sent yet')).toHaveCount(0)
      const log = (await (await page.request.get(`/api/conversions/${id}/log`)).json()) as { kind: string }[]
      expect(log.map((e) => e.kind)).toEqual(['note', 'symptom'])
    })

    test('a paper is printed, and can be stopped; everything goes out as one ZIP and comes back', async ({
      page,
      shop,
    }) => {
      const id = await shop.openDemo(LATHE, 'log')
      const papers = page.getByRole('region', { name: 'Papers' })
      const download = page.waitForEvent('download')
      await papers.getByRole('button', { name: 'At the machine as PDF' }).click()
      const file = await download
      expect(file.suggestedFilename()).toMatch(/at the machine\.pdf$/)
      expect(
        readFileSync(await file.path())
          .subarray(0, 5)
          .toString(),
      ).toBe('%PDF-')
      // One that takes long is stopped, and the others can be made again.
      const ended = page.waitForEvent('requestfailed', (r) => r.url().includes('/papers/bench/'))
      await papers.getByRole('button', { name: 'At the bench as PDF' }).click()
      await expect(papers.getByRole('progressbar')).toBeVisible()
      await papers.getByRole('button', { name: 'Stop' }).click()
      await ended
      await expect(papers.getByRole('button', { name: 'At the bench as PDF' })).toBeEnabled()
      const zipped = page.waitForEvent('download')
      await papers.getByRole('link', { name: 'Everything as one ZIP' }).click()
      const zip = await zipped
      expect(zip.suggestedFilename()).toMatch(/\.zip$/)
      const before = (await (await page.request.get(`/api/conversions/${id}/measurements`)).json()) as object[]
      const { shopId } = (await (await page.request.get(`/api/conversions/${id}`)).json()) as { shopId: string }
      await page.goto(`/shops/${shopId}`)
      await page.getByLabel('Conversion file').setInputFiles({
        name: 'whole.zip',
        mimeType: 'application/zip',
        buffer: readFileSync(await zip.path()),
      })
      await page.waitForURL(/\/conversions\/(?!.*whole)/)
      const back = /conversions\/([^/]+)/.exec(page.url())?.[1] ?? ''
      expect(back).not.toBe(id)
      const after = (await (await page.request.get(`/api/conversions/${back}/measurements`)).json()) as object[]
      const bare = (all: object[]) => all.map((one) => ({ ...one, id: '' }))
      expect(bare(after)).toEqual(bare(before))
    })

    test('done is refused while a stop is open, and in use names what is open', async ({ page, shop }) => {
      await shop.openDemo(LATHE, 'run-in')
      const state = page.getByRole('region', { name: 'How far it is' })
      await state.scrollIntoViewIfNeeded()
      await expect(state.getByRole('button', { name: 'Done', exact: true })).toBeDisabled()
      await expect(state.getByRole('button', { name: 'In use, with loose ends' })).toBeDisabled()
      await expect(state).toContainText('Overload left at the amps of the other links')
    })
  })
