import { readFileSync } from 'node:fs'
import { chain, expect, finding, kept, test, type } from './shopFixture'

test('from an empty shop to a first verdict, a remedy, undo, export, and the same evaluation in another shop', async ({
  page,
  request,
}) => {
  const foreign: string[] = []
  page.on(
    'request',
    (r) =>
      !r.url().startsWith(process.env['ZESTY_URL'] ?? '') &&
      !r.url().startsWith('blob:') &&
      !r.url().startsWith('data:') &&
      foreign.push(r.url()),
  )
  await page.goto('/')
  await page.getByRole('button', { name: 'Shop', exact: true }).click()
  await page.getByLabel('Name of the shop').fill('Back shed')
  await page.getByLabel('Name of the shop').press('Enter')

  // The empty shop says what it is for and offers the first step.
  await expect(page.getByRole('heading', { name: 'What machine is it?' })).toBeVisible()
  await page.getByLabel('What you call it').fill('Lathe by the window')
  await page.getByRole('button', { name: 'Lathe', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Survey', level: 1 })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Five minutes to a first verdict' })).toBeVisible()
  await expect(chain(page, 'Motor')).toContainText('Not known yet')

  await type(page, 'What the wall gives', '230 single phase')
  await expect(page.getByRole('radio', { name: 'One', exact: true })).toHaveAttribute('aria-checked', 'true')
  await page.getByRole('radio', { name: '50 Hz' }).click()
  await type(page, 'Breaker', '16')
  await expect(chain(page, 'Wall')).toContainText('230 V, 1-phase, 16 A')
  await page.getByRole('button', { name: 'Add the first belt position' }).click()
  await type(page, 'Driving', '90')
  await type(page, 'Driven', '224 mm')
  await expect(chain(page, 'Belts')).toContainText('2.49 : 1')

  await page.getByRole('link', { name: /Motor/ }).click()
  await page.getByRole('radio', { name: 'Three-phase', exact: true }).click()
  await type(page, 'Power', '2 hp')
  await type(page, 'Volts', '230/400')
  await type(page, 'Amps', '6,0/3,5')
  await type(page, 'Hertz', '50')
  await type(page, 'Speed', '1,420 rpm')
  await type(page, 'Frame', '90L')
  await page.getByLabel('Leads in the box').selectOption('6')
  await page.getByRole('radio', { name: 'Star' }).click()
  await expect(page.getByRole('button', { name: /^Rated torque: 10 N m/ })).toBeVisible()
  await expect(chain(page, 'Motor')).toContainText('Star, 4-pole, 3.5 A')

  await page.getByRole('link', { name: /Drive/ }).click()
  await page.getByRole('radio', { name: 'One phase', exact: true }).click()
  await type(page, 'Input volts', '230 V')
  await type(page, 'Output amps', '7')
  await expect(page.getByRole('heading', { name: 'Five minutes to a first verdict' })).toBeHidden()

  // The verdict: star on a delta drive, with its numbers and what mends it.
  const star = finding(page, /Links are in star/)
  await expect(star).toContainText(/Flux 57\.5\s%, pull-out 33\.1\s%/)
  // Nobody has moved anything yet: it is planned, and the verdict stays until somebody looked.
  await star.getByRole('button', { name: 'Plan it: Move links to delta' }).click()
  await expect(star).toContainText('Planned: Move links to delta')
  await star.getByRole('button', { name: 'I have checked it: Links as they are' }).click()
  await page.locator('[data-path="motor.connection"]').getByText('Delta', { exact: true }).click()
  await expect(star).toBeHidden()
  await expect(chain(page, 'Motor')).toContainText('Delta, 4-pole, 6 A')
  await page.getByRole('button', { name: /^Undo/ }).first().click()
  await expect(star).toBeVisible()
  await page.getByRole('button', { name: /^Redo/ }).click()
  await expect(star).toBeHidden()
  await kept(page)

  const id = /conversions\/([^/]+)/.exec(page.url())?.[1] ?? ''
  const download = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Export as a file' }).click()
  const file = await (await download).path()
  const plan = (JSON.parse(readFileSync(file, 'utf8')) as { plan: { motor: object } }).plan
  expect(plan.motor).toMatchObject({
    connection: 'delta',
    lowVoltageV: 230,
    highVoltageV: 400,
    lowVoltageA: 6,
    ratedSpeedRpm: 1420,
  })

  // Into an empty shop, as a file.
  await page.goto('/')
  await page.getByRole('button', { name: 'Shop', exact: true }).click()
  await page.getByLabel('Name of the shop').fill('Across the road')
  await page.getByLabel('Name of the shop').press('Enter')
  await expect(page.getByRole('heading', { name: 'Across the road', level: 1 })).toBeVisible()
  await page.getByLabel('Conversion file').setInputFiles(file)
  await expect(chain(page, 'Motor')).toContainText('Delta, 4-pole, 6 A')
  const taken = /conversions\/([^/]+)/.exec(page.url())?.[1] ?? ''
  expect(taken).not.toBe(id)
  const evaluation = async (of: string): Promise<unknown> =>
    (await request.get(`/api/conversions/${of}/evaluation`)).json()
  expect(await evaluation(taken)).toEqual(await evaluation(id))
  expect(foreign).toEqual([])
})
