import type { Page } from '@playwright/test'
import { newData, removed, started, stopped } from '../tools/campaign/running.mjs'
import { expect, kept, test, type } from './shopFixture'
import { throughProxy } from './throughProxy'

/** Chromium takes such a name for this machine, and a page under it for one that came safely. */
const NAME = 'shed.localhost'

let data: string
let server: Awaited<ReturnType<typeof started>>
test.beforeAll(async () => {
  data = newData()
  server = await started(data, undefined, ['--host', '0.0.0.0', '--name', NAME, '--insecure'])
})
test.afterAll(async () => {
  await stopped(server)
  await removed(data)
})

/** Six words, as the computer shows them to whoever is to be let in. */
async function wordsFrom(computer: Page): Promise<string> {
  await computer.goto(`${server.url}/devices`)
  await computer.getByRole('radio', { name: /^Everything/ }).click()
  await computer.getByRole('button', { name: 'Let a device in' }).click()
  return (await computer.getByTestId('words').textContent()) ?? ''
}

test('a new version of the page is offered and taken when the person says so, not before', async ({ browser }) => {
  const computer = await browser.newPage()
  const words = await wordsFrom(computer)
  const proxy = await throughProxy(server.port + 1)
  const pocket = await browser.newContext({ viewport: { width: 390, height: 844 } })
  const phone = await pocket.newPage()
  await phone.goto(`http://${NAME}:${proxy.port}/`)
  await phone.getByLabel('Six words').fill(words)
  await phone.getByLabel('What to call this device').fill('Phone with the old page')
  await phone.getByRole('button', { name: 'Let it in' }).click()
  await phone
    .getByRole('link', { name: /^Gap-bed lathe/ })
    .first()
    .click()
  await phone.waitForURL('**/conversions/**')
  const id = /conversions\/([^/]+)/.exec(phone.url())?.[1] ?? ''
  await phone.goto(`http://${NAME}:${proxy.port}/conversions/${id}/motor`)
  await phone.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await phone.reload()
  const offer = phone.getByRole('button', { name: 'Take it' })
  await expect(phone.getByLabel('Frame')).toBeVisible()
  await expect(offer).toHaveCount(0)

  proxy.release()
  await phone.evaluate(() => navigator.serviceWorker.ready.then((registration) => registration.update()))
  await expect(offer).toBeVisible()
  // In the middle of typing: the page stays as it is, and goes on keeping.
  const loaded = await phone.evaluate(() => performance.timeOrigin)
  await type(phone, 'Frame', '100L')
  await kept(phone)
  expect(await phone.evaluate(() => performance.timeOrigin)).toBe(loaded)

  await Promise.all([phone.waitForEvent('load'), offer.click()])
  await expect(phone.getByLabel('Frame', { exact: true })).toHaveValue('100L')
  await expect(offer).toHaveCount(0)
  await pocket.close()
  await computer.close()
  proxy.close()
})

test('a phone is let in once, works without a network, and is a stranger when it is withdrawn', async ({ browser }) => {
  const computer = await browser.newPage()
  const words = await wordsFrom(computer)
  await expect(computer.getByAltText(/for the camera/)).toBeVisible()
  await expect(computer.getByText('Not encrypted')).toBeVisible()
  expect(words.split(' ')).toHaveLength(6)

  const pocket = await browser.newContext({ viewport: { width: 390, height: 844 } })
  const phone = await pocket.newPage()
  const there = `http://${NAME}:${server.port + 1}`
  await phone.goto(`${there}/shops/whatever`)
  await expect(phone.getByRole('heading', { name: 'Let this device in' })).toBeVisible()
  await phone.getByLabel('Six words').fill('some other words than those shown here')
  await phone.getByRole('button', { name: 'Let it in' }).click()
  await expect(phone.getByRole('alert')).toContainText('let nobody in')
  await phone.getByLabel('Six words').fill(words.toUpperCase())
  await phone.getByLabel('What to call this device').fill('Phone of the test')
  await phone.getByRole('button', { name: 'Let it in' }).click()
  await phone
    .getByRole('link', { name: /^Gap-bed lathe/ })
    .first()
    .click()
  await phone.waitForURL('**/conversions/**')
  const id = /conversions\/([^/]+)/.exec(phone.url())?.[1] ?? ''
  await phone.goto(`${there}/conversions/${id}/motor`)
  await kept(phone)
  await phone.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  // Once under the eye of what keeps the page, so that it has seen what is open.
  await phone.reload()
  await kept(phone)

  await pocket.setOffline(true)
  await phone.reload()
  await type(phone, 'Power', '2.2 kW')
  await expect(phone.getByRole('status')).toContainText('Waiting for the server')

  const api = `${server.url}/api/conversions/${id}`
  const readings = async () =>
    (await (await computer.request.get(`${api}/measurements`)).json()) as { kind: string; value: number }[]
  const before = await readings()
  await phone.getByRole('link', { name: /Survey/ }).click()
  await phone.getByRole('button', { name: 'Readings', exact: true }).click()
  const form = phone.getByRole('form', { name: 'A reading' })
  await form.getByLabel('Spindle speed').fill('598 rpm')
  await form.getByLabel('Drive at').fill('50 Hz')
  await form.getByRole('button', { name: 'Keep the reading' }).click()
  await expect(phone.getByText('not sent yet')).toBeVisible()
  expect(await readings()).toHaveLength(before.length)

  // Somebody at the computer changes another thing meanwhile.
  const now = (await (await computer.request.get(api)).json()) as { revision: number; plan: { motor: object } }
  const plan = { ...now.plan, motor: { ...now.plan.motor, frame: '112M' } }
  expect((await computer.request.put(api, { data: { baseRevision: now.revision, plan } })).status()).toBe(200)

  await pocket.setOffline(false)
  await kept(phone)
  await expect(phone.getByText('not sent yet')).toHaveCount(0)
  await expect.poll(async () => (await readings()).filter(({ value }) => value === 598)).toHaveLength(1)
  const after = (await (await computer.request.get(api)).json()) as {
    plan: { motor: { powerW: number; frame: string } }
  }
  expect([after.plan.motor.powerW, after.plan.motor.frame]).toEqual([2200, '112M'])
  const [latest] = (await (await computer.request.get(`${api}/revisions`)).json()) as { by: string }[]
  expect(latest?.by).toBe('Phone of the test')

  await computer.getByRole('button', { name: 'Withdraw Phone of the test' }).click()
  await expect(computer.getByText('None yet.')).toBeVisible()
  await phone.reload()
  await expect(phone.getByRole('heading', { name: 'Let this device in' })).toBeVisible()
  await pocket.close()
  await computer.close()
})
