import { chain, expect, kept, test, type } from './shopFixture'

const JUDGE = '**/assets/judge-*.js'

test('a conversion opens with its verdicts before what judges it is fetched', async ({ page, shop }) => {
  const fetched: string[] = []
  page.on('request', (request) => void fetched.push(new URL(request.url()).pathname))
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'settings')
  await expect(chain(page, 'Spindle')).toContainText('of 6 jobs')
  await page.waitForLoadState('networkidle')
  expect(fetched.filter((path) => path.includes('/judge-'))).toEqual([])
  await page.mouse.move(300, 300)
  await expect.poll(() => fetched.filter((path) => path.includes('/judge-')).length).toBe(1)
})

test('without what judges it, the page says that its verdicts are old, and loses nothing', async ({ page, shop }) => {
  await page.route(JUDGE, (route) => route.abort())
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'drive')
  const drive = chain(page, 'Drive')
  await expect(drive).toContainText('1.5')
  await type(page, 'Power', '2.2 kW')
  const alert = page.getByRole('alert')
  await expect(alert).toContainText('What is said here is from before your change')
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('2.2 kW')
  await kept(page)
  await page.unroute(JUDGE)
  await alert.getByRole('button', { name: 'Load the page again' }).click()
  await expect(drive).toContainText('2.2')
  await expect(alert).toBeHidden()
})

test('a draft that was not sent is judged as it stands, not as the server last had it', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'drive')
  await page.route('**/api/conversions/*', (route) =>
    route.request().method() === 'PATCH' ? route.abort() : route.continue(),
  )
  await type(page, 'Power', '3 kW')
  await expect(chain(page, 'Drive')).toContainText('3')
  await page.reload()
  await expect(page.getByLabel('Power', { exact: true })).toHaveValue('3 kW')
  await expect(chain(page, 'Drive')).toContainText('3 kW')
})
