import { writeFileSync } from 'node:fs'
import { pathToFileURL } from 'node:url'
import { join } from 'node:path'
import { chain, demoFile, expect, kept, test, type } from './shopFixture'
import { TEST_PATIENCE } from '../tools/demoServer.mjs'
import { freePort } from '../tools/ports.mjs'

test('what cannot be read stays in the field with the reason, also after going elsewhere and reloading', async ({
  page,
  shop,
}) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'motor')
  const power = page.getByLabel('Power', { exact: true })
  await type(page, 'Power', '230 V')
  await expect(page.getByText('"V" is a voltage; this takes a power in W, kW, hp, PS.')).toBeVisible()
  await expect(power).toHaveAttribute('aria-invalid', 'true')
  await page.keyboard.press('Tab')
  await page.getByRole('link', { name: /Drive/ }).click()
  await page.getByRole('link', { name: /Motor/ }).click()
  await expect(power).toHaveValue('230 V')
  await page.reload()
  await expect(power).toHaveValue('230 V')
  await expect(page.getByText('"V" is a voltage; this takes a power in W, kW, hp, PS.')).toBeVisible()
  // The plan kept its last good value all the while.
  await expect(page.getByRole('button', { name: /^Rated torque: 10\.1 N m/ })).toBeVisible()
  await type(page, 'Power', '2 kW')
  await expect(power).toHaveValue('2 kW')
  await expect(power).toHaveAttribute('aria-invalid', 'false')
})

test('a power that is none is refused at the field', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'motor')
  for (const text of ['garbage', '-5 kW', '0', '99999999999', 'NaN', '1e9 kW', '<img src=x onerror=alert(1)>', '🙂']) {
    await type(page, 'Power', text)
    await expect(page.getByRole('alert'), text).toBeVisible()
    await expect(page.getByLabel('Power', { exact: true })).toHaveValue(text)
    await expect(chain(page, 'Drive')).toContainText('1.5 kW')
    // A good one again, so that the next is refused for itself.
    await type(page, 'Power', '1.5 kW')
    await expect(page.getByRole('alert')).toHaveCount(0)
  }
})

test('an emptied field becomes unknown, and everything that rests on it says so', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'motor')
  await type(page, 'Speed', '')
  await expect(page.getByRole('row', { name: /Rated torque/ })).toContainText('not known')
  await expect(chain(page, 'Spindle')).toContainText('Not known yet')
})

test('files that are no conversion are refused with the reason, and nothing changes', async ({
  page,
  shop,
}, testInfo) => {
  await page.goto(`/shops/${shop.id}`)
  const take = async (name: string, text: string) => {
    const file = testInfo.outputPath(name)
    writeFileSync(file, text)
    await page.getByLabel('Conversion file').setInputFiles(file)
    const dialog = page.getByRole('dialog', { name: 'Not taken in' })
    await expect(dialog).toBeVisible()
    const says = await dialog.getByRole('alert').innerText()
    await page.keyboard.press('Escape')
    await expect(dialog).toBeHidden()
    return says
  }
  expect(await take('huge.json', 'x'.repeat(80_000_000))).toContain('80.0 MB')
  expect(await take('broken.json', '{"format":')).toContain('nothing was changed')
  expect(
    await take('future.json', JSON.stringify({ format: 'zesty-lathe/conversion', plan: { schemaVersion: 7 } })),
  ).toContain('made by a newer release')
  expect(await take('extra.json', JSON.stringify({ format: 'zesty-lathe/conversion', colour: 1, plan: {} }))).toContain(
    'colour is not a key known here',
  )
  await expect(page.getByRole('heading', { name: 'What machine is it?' })).toBeVisible()
  await page.getByLabel('Conversion file').setInputFiles(demoFile('1-saltpan-row/turret-mill'))
  await expect(page.getByText('Turret mill').first()).toBeVisible()
})

test('two tabs on one plan: different fields come together, of the same one the second is shown both sides', async ({
  page,
  shop,
  context,
}) => {
  const id = await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'motor')
  const other = await context.newPage()
  await other.goto(`/conversions/${id}/motor`)
  await expect(other.getByLabel('Power', { exact: true })).toHaveValue('1.5 kW')
  await type(page, 'Power', '1.1 kW')
  await kept(page)
  await type(other, 'Frame', '100L')
  await expect(other.getByText('It was changed elsewhere too, in other places. Both are kept.')).toBeVisible()
  await kept(other)
  await expect(other.getByLabel('Power', { exact: true })).toHaveValue('1.1 kW')
  await page.reload()
  await expect(page.getByLabel('Frame', { exact: true })).toHaveValue('100L')

  const dialog = other.getByRole('dialog', { name: 'Changed in two places' })
  await type(page, 'Frame', '90S')
  await type(page, 'Power', '2.2 kW')
  await kept(page)
  await type(other, 'Frame', '132M')
  await expect(dialog.getByRole('row', { name: /Motor, Frame/ })).toContainText(/90S\s*132M/)
  await expect(dialog.getByRole('row', { name: /Motor, Power/ })).toContainText(/2\.2\skW\s*1\.1\skW/)
  await dialog.getByRole('button', { name: 'Keep what is here' }).click()
  await kept(other)
  await page.reload()
  await expect(page.getByLabel('Frame', { exact: true })).toHaveValue('132M')

  await type(page, 'Frame', '112M')
  await kept(page)
  await type(other, 'Frame', '80')
  await dialog.getByRole('button', { name: 'Take what was kept there' }).click()
  await expect(other.getByLabel('Frame', { exact: true })).toHaveValue('112M')
})

test('a slow server: typing on while a save is under way is no conflict', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'motor')
  await page.route('**/api/conversions/*', async (route) => {
    if (route.request().method() === 'PATCH') await new Promise((done) => setTimeout(done, 1200))
    await route.continue()
  })
  const underWay = page.waitForRequest((request) => request.method() === 'PATCH')
  await type(page, 'Power', '1.1 kW')
  await underWay
  await type(page, 'Power', '1.5 kW')
  await type(page, 'Power', '2.2 kW')
  await page.getByRole('radio', { name: 'Star', exact: true }).click()
  await kept(page)
  await page.reload()
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('2.2 kW')
})

test('the server dies in mid-edit: typing goes on, survives a reload, and is kept when it is back', async ({
  browser,
  request,
  shop,
}) => {
  test.slow()
  const build = join(import.meta.dirname, '..', '.local', 'build')
  const { serve } = (await import(pathToFileURL(join(build, 'server', 'main.mjs')).href)) as {
    serve: (o: object) => Promise<{ url: string; close: () => Promise<void> }>
  }
  const port = await freePort()
  const start = () =>
    serve({
      host: '127.0.0.1',
      port,
      databaseUrl: process.env['ZESTY_DATABASE_URL'],
      webRoot: join(build, 'web'),
      migrations: join(import.meta.dirname, '..', 'server', 'migrations'),
      demoFolder: join(import.meta.dirname, '..', 'demo'),
      samplesFolder: join(import.meta.dirname, '..', 'samples'),
      demo: 'as-before',
      patience: TEST_PATIENCE,
    })
  let own = await start()
  try {
    const made = await request.post(`/api/shops/${shop.id}/conversions`, { data: { name: 'Survivor' } })
    const { id } = (await made.json()) as { id: string }
    const page = await browser.newPage()
    await page.goto(`${own.url}/conversions/${id}/motor`)
    await type(page, 'Power', '1.5 kW')
    await kept(page)
    await own.close()
    await type(page, 'Frame', '90L')
    await expect(page.getByRole('status')).toHaveText(/Waiting for the server/)
    await type(page, 'Speed', '1420')
    own = await start()
    await expect(page.getByRole('status')).toHaveText(/^Kept/, { timeout: 15_000 })

    // And once more, with the page loaded anew before the edit was sent.
    await page.route('**/api/conversions/*', (route) =>
      route.request().method() === 'PATCH' ? route.abort() : route.continue(),
    )
    await type(page, 'Hertz', '50')
    await expect(page.getByRole('status')).toHaveText(/Waiting for the server/)
    await page.unroute('**/api/conversions/*')
    await page.reload()
    await expect(page.getByLabel('Hertz', { exact: true })).toHaveValue('50 Hz')
    await kept(page)
    const plan = ((await (await request.get(`/api/conversions/${id}`)).json()) as { plan: { motor: object } }).plan
    expect(plan.motor).toEqual({ powerW: 1500, frame: '90L', ratedSpeedRpm: 1420, ratedFrequencyHz: 50 })
    await page.close()
  } finally {
    await own.close()
  }
})

test('a conversion opened while the server has no database opens by itself once it has', async ({ page, shop }) => {
  const id = await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'motor')
  let refused = 0
  await page.route(/\/api\/conversions\/[^/]+\/judged/, (route) => {
    refused += 1
    if (refused > 2) return route.continue()
    const detail = 'The database does not answer.'
    return route.fulfill({ status: 503, json: { type: 'about:blank', title: 'Unavailable', status: 503, detail } })
  })
  await page.goto(`/conversions/${id}/motor`)
  await expect(page.getByText('The database does not answer.')).toBeVisible()
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('1.5 kW')
  expect(refused).toBe(3)
})
