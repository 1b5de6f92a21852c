import type { Page } from '@playwright/test'
import { someOf } from './effort'
import { expect, finding, kept, test } from './shopFixture'

const card = (page: Page) => page.getByRole('region', { name: 'Settings card' })
const state = (page: Page) => page.getByRole('region', { name: 'What the drive holds now' })

const line = (page: Page, code: string) =>
  card(page)
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: `Enter ${code}`, exact: true }) })

/** The drive was reset, as somebody says who did it. */
async function reset(page: Page): Promise<void> {
  const held = state(page)
  const button = held.getByRole('button', { name: 'It was reset' })
  if (!(await button.isVisible())) await held.getByText('Put it back to what it came with').click()
  await button.click()
  await expect(page.getByLabel('The drive now holds', { exact: true })).toHaveValue('reset')
}

/** How many lines the card says are to be entered. */
const toEnter = async (page: Page): Promise<number> =>
  Number(/, (\d+) to enter/.exec(await card(page).innerText())?.[1] ?? 0)

/** Enters whatever line stands first, until none is left that can be. */
async function enterAll(page: Page): Promise<string[]> {
  const entered: string[] = []
  for (let left = await toEnter(page); left > 0; left = await toEnter(page)) {
    const next = card(page)
      .getByRole('button', { name: /^Enter / })
      .first()
    entered.push((await next.getAttribute('aria-label'))?.replace('Enter ', '') ?? '')
    if ((await next.getAttribute('aria-expanded')) === 'false') await next.click()
    await card(page).getByRole('button', { name: 'Entered' }).first().click()
    await expect.poll(() => toEnter(page)).toBeLessThan(left)
  }
  return entered
}

/** Drives of each kind, with a code that their card enters and one that it leaves. Two a day; all in a whole check. */
const CARDS = [
  ['1-saltpan-row/turret-mill', 'h04', 'h35'],
  ['1-saltpan-row/surface-grinder', '4.15', '4.20'],
  ['1-saltpan-row/gantry-router', 'm2', 'w8'],
  ['2-juniper-wash/tool-grinder', 'again', 'clear'],
  ['2-juniper-wash/long-bed-lathe', 'set 3/2', 'set 5/8'],
] as const

for (const [path, code, standing] of someOf(CARDS, 2))
  test(`${path}: its card is entered line by line after a reset, until nothing is left`, async ({ page, shop }) => {
    await shop.openDemo(path, 'settings')
    await reset(page)
    await expect(card(page).getByText('Before a first spin')).toBeVisible()
    const entered = await enterAll(page)
    expect(entered).toContain(code)
    expect(entered).not.toContain(standing)
    await expect(card(page)).toContainText('Nothing to enter.')
    await kept(page)
    // What was entered is still held after the page was opened again.
    await page.reload()
    await expect(card(page)).toContainText('Nothing to enter.')
    const row = page
      .getByRole('region', { name: 'As found, planned, read back' })
      .getByRole('row')
      .filter({ has: page.getByLabel(`${code}, read back`) })
    await expect(row).toContainText('as planned')
  })

test('a refused line says why, a wrong read-back is told, and a reset in the middle is a stop', async ({
  page,
  shop,
}) => {
  await shop.openDemo('1-saltpan-row/turret-mill', 'settings')
  await reset(page)
  await card(page).getByRole('button', { name: 'Enter h08' }).click()
  await card(page).getByLabel('The drive said').fill('no')
  await card(page).getByRole('button', { name: 'Refused' }).click()
  await expect(card(page)).toContainText('By its manual another must be entered first')
  await expect(card(page)).toContainText('Stop it, wait until it stands')
  await card(page).getByRole('button', { name: 'Take back' }).click()
  await expect(card(page).getByText('It was refused')).toBeHidden()

  await card(page).getByRole('button', { name: 'Enter h03' }).click()
  await line(page, 'h03').getByRole('button', { name: 'Entered' }).click()
  await expect(finding(page, 'The card is half entered')).toContainText('Highest hertz')

  const table = page.getByRole('region', { name: 'As found, planned, read back' })
  await table.getByLabel('h30, read back').fill('7')
  await table.getByLabel('h30, read back').press('Enter')
  await expect(table.getByRole('alert')).toContainText('Not one of its values')
  await table.getByLabel('h12, read back').fill('120,0')
  await table.getByLabel('h12, read back').press('Enter')
  await expect(table.getByRole('row').filter({ has: page.getByLabel('h12, read back') })).toContainText('differs')
  await kept(page)
  await page.getByText('Every change, and when').click()
  await expect(page.getByRole('row', { name: /h03, on the card entered, 3\.9/ })).toBeVisible()
  await page.getByText('The card of a past day').click()
  await page.getByLabel('As it stood at the end of').fill(new Date().toLocaleDateString('sv-SE'))
  await expect(page.getByText(/Turret mill: settings card/)).toBeVisible()
})

test('a drive with no manual is tried, and its card is made from a few codes and pasted lines', async ({
  page,
  shop,
}) => {
  const id = await shop.openDemo('1-saltpan-row/turret-mill', 'settings')
  // No manual at all.
  const before = (await (await page.request.get(`/api/conversions/${id}`)).json()) as {
    revision: number
    plan: Record<string, unknown>
  }
  const plan = Object.fromEntries(Object.entries(before.plan).filter(([key]) => key !== 'manual'))
  await page.request.put(`/api/conversions/${id}`, { data: { baseRevision: before.revision, plan } })
  await page.reload()
  await expect(card(page)).toContainText('no manual')
  await expect(card(page)).toContainText('RUN comes from')

  const probe = page.getByRole('region', { name: /^Try it/ })
  await probe.getByLabel('By the switch').selectOption('nothing')
  await probe.getByLabel('By the key').selectOption('runs')
  await probe.getByLabel('By the switch then').selectOption('no-key')
  await expect(probe).toContainText('It listens to its keypad.')
  await probe.getByRole('button', { name: 'The knob' }).click()
  await probe.getByLabel('The hertz that are set').selectOption('follows')
  for (const [label, value] of [
    ['Lower end, Hz', '0'],
    ['Middle, Hz', '30'],
    ['Upper end, Hz', '60'],
  ] as const) {
    await probe.getByLabel(label).fill(value)
    await probe.getByLabel(label).press('Enter')
  }
  await expect(probe).toContainText('other half of the world')
  await probe.getByRole('button', { name: 'Note it as what the drive holds' }).click()
  await expect(finding(page, 'The drive listens to something else')).toBeVisible()
  await expect(finding(page, 'The drive is set for the other half of the world')).toBeVisible()

  // What was jotted on the back of its box, as one would type it.
  await page.getByText('Take a list in: pasted lines, or CSV').click()
  await page
    .getByLabel(/Lines such as/)
    .fill('P01 = 60 base hertz\nP02: 60 max hz\np03 10 s accel time\nP10 0 run from\nred wire is loose')
  await expect(page.getByText('red wire is loose', { exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Put 4 unknown codes into the manual' }).click()
  await page.getByRole('button', { name: /^Take \d as read in the drive$/ }).click()
  await expect(card(page).getByRole('button', { name: 'Enter P01' })).toBeVisible()
  await expect(card(page)).toContainText('Now 60, read')
  await card(page).getByRole('button', { name: 'Enter P10' }).click()
  await line(page, 'P10').getByRole('button', { name: 'Entered' }).click()
  await expect(finding(page, 'The drive listens to something else')).toBeHidden()
})

test('it does nothing on RUN: the questions end at one thing', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/surface-grinder', 'settings')
  const search = page.getByRole('region', { name: 'It does nothing on RUN' })
  await search.getByRole('button', { name: /^That its enable is open/ }).click()
  await expect(search).toContainText('It is this')
  await expect(search).toContainText('Mushroom out, guard shut')
})

test('trims are drawn by the clock, each with its steps behind a barrier', async ({ page, shop }) => {
  await shop.openDemo('2-juniper-wash/bench-shaper', 'settings')
  const trims = page.getByRole('region', { name: 'Trims, by the clock' })
  await expect(trims.getByRole('img', { name: /^hi: slot to 5/ })).toBeVisible()
  await trims.getByLabel('It points to').first().selectOption('8')
  await trims.getByText('With the meter').first().click()
  await expect(trims).toContainText('Behind a barrier')
  await kept(page)
})

test('on paper, A4 and Letter, every line of the card stands whole', async ({ page, shop }) => {
  await shop.openDemo('2-juniper-wash/long-bed-lathe', 'settings')
  await page.emulateMedia({ media: 'print' })
  const lines = page.locator('[aria-labelledby=card] ol > li')
  const wide = await lines.evaluateAll((all) => all.filter((li) => li.scrollWidth > li.clientWidth + 1).length)
  expect(wide).toBe(0)
  for (const format of ['A4', 'Letter'] as const)
    expect((await page.pdf({ format })).subarray(0, 5).toString()).toBe('%PDF-')
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } })
  test('one line a screen, entered with a thumb, and the next comes by itself', async ({ page, shop }) => {
    await shop.openDemo('1-saltpan-row/surface-grinder', 'settings')
    await reset(page)
    await expect(card(page)).toContainText('line 1 of')
    const before = await toEnter(page)
    const entered = card(page).getByRole('button', { name: 'Entered' })
    await expect(entered).toHaveCount(1)
    const box = await entered.boundingBox()
    expect(box?.height).toBeGreaterThanOrEqual(44)
    await entered.click()
    await expect.poll(() => toEnter(page)).toBe(before - 1)
    await card(page).getByRole('button', { name: 'Next' }).click()
    await expect(card(page)).toContainText('line 2 of')
    await card(page).getByRole('button', { name: 'Refused' }).click()
    await expect(card(page)).toContainText('What it may be')
    await card(page).getByRole('button', { name: 'Before' }).click()
    await expect(card(page)).toContainText('line 1 of')
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    // To the end, a line a screen; then a value is read back.
    for (let left = await toEnter(page); left > 0; left = await toEnter(page)) {
      await entered.click()
      await expect.poll(() => toEnter(page)).toBeLessThan(left)
    }
    await expect(card(page)).toContainText('Nothing to enter.')
    const read = page.getByLabel('2.05, read back')
    await read.fill('33')
    await read.press('Enter')
    await expect(card(page)).toContainText('Now 33, read')
  })
})
