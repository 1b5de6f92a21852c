import { expect, finding, test, type } from './shopFixture'

test('routes are compared in the shop’s numbers, priced, and one is chosen', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'route')
  const line = (name: string) =>
    page.getByRole('listitem').filter({ has: page.getByRole('heading', { name, exact: true }) })
  const each = line('A drive on each machine')
  const choice = (state: string) => page.getByRole('button', { name: `A drive on each machine: ${state}` })
  await expect(choice('chosen')).toHaveAttribute('aria-pressed', 'true')
  await expect(each).toContainText('430')
  await type(page, 'Drive all in, each', '500')
  await expect(each).toContainText('500')
  await page.getByRole('button', { name: 'One converter, plain starters: choose' }).click()
  await expect(choice('choose')).toHaveAttribute('aria-pressed', 'false')
  await page.keyboard.press('Control+z')
  await expect(choice('chosen')).toBeVisible()
})

test('a motor thought of is held against the old one, taken, and given back', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'motor')
  const beside = page.getByRole('region', { name: 'Every motor side by side' })
  await page.getByRole('button', { name: 'Side by side' }).click()
  await expect(beside.getByRole('columnheader', { name: /Teasel 100L, six-pole/ })).toBeVisible()
  await beside.getByRole('button', { name: 'Take Teasel 100L, six-pole into the plan' }).click()
  await expect(page.getByLabel('Speed', { exact: true }).first()).toHaveValue('945 rpm')
  await page.keyboard.press('Control+z')
  await expect(page.getByLabel('Speed', { exact: true }).first()).toHaveValue(/1.420 rpm/)
})

test('a second-hand motor with a wet winding is a stop, and drying it clears that', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/turret-mill', 'motor')
  await type(page, 'Insulation, winding to frame', '0.4 meg')
  await type(page, 'Winding was at', '20 °C')
  await expect(finding(page, 'The insulation has failed')).toBeVisible()
  await type(page, 'Insulation, winding to frame', '200')
  await expect(finding(page, 'The insulation has failed')).toBeHidden()
})

test('a converter between wall and drive is sized, and the wall behind it told apart', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'survey')
  await page.getByLabel('Comes from').selectOption('A transformer')
  await expect(page.getByRole('row', { name: /It should be rated for/ })).toContainText('kVA')
  await type(page, 'Rating', '2 kVA')
  await expect(finding(page, 'The transformer is too small')).toBeVisible()
  await type(page, 'Rating', '6 kVA')
  await type(page, 'Volts at the wall behind it', '120')
  await expect(page.getByRole('row', { name: /Taken from the wall behind it/ })).toContainText(/29\.5\sA/)
})
