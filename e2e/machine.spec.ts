import { chain, expect, finding, test } from './shopFixture'

test('positions are made of a list of speeds, and a pulley typed beside a speed is compared with it', async ({
  page,
  shop,
}) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe')
  await page.getByRole('button', { name: 'From a list of speeds' }).click()
  await page.getByLabel(/As it stands on the lever plate/).fill('slow 210\nfast 710 rpm\nand so on\nmotor 1420 rpm')
  await expect(page.getByRole('row', { name: /slow.*210 rpm.*motor at 1\s?420 rpm/ })).toBeVisible()
  await expect(page.getByText('Not read: and so on')).toBeVisible()
  await page.getByRole('button', { name: 'Put 2 positions in place of the 3 there are' }).click()
  await expect(chain(page, 'Belts')).toContainText('6.76 : 1 on slow')

  const fast = page.getByRole('listitem').filter({ has: page.getByRole('button', { name: 'Take position fast away' }) })
  await expect(fast).toContainText('0.5')
  await fast.getByLabel('Driving', { exact: true }).fill('100')
  await fast.getByLabel('Driven', { exact: true }).fill('120')
  await fast.getByLabel('Driven', { exact: true }).press('Enter')
  await expect(finding(page, 'The speed of fast is not what its pulleys make')).toContainText(
    '0.5 for one of the motor',
  )
})

test('a motor on the bench is asked nothing of belts, spindle and jobs', async ({ page, request, shop }) => {
  const made = await request.post(`/api/shops/${shop.id}/conversions`, {
    data: { name: 'Bench', machineKind: 'bare-motor' },
  })
  const { id } = (await made.json()) as { id: string }
  await page.goto(`/conversions/${id}/survey`)
  await expect(page.getByRole('heading', { name: 'Five minutes to a first verdict' })).toBeVisible()
  await expect(chain(page, 'Belts')).toContainText('None')
  for (const part of ['Belt positions', 'What spins', 'Jobs'])
    await expect(page.getByRole('heading', { name: part })).toHaveCount(0)
  await expect(page.getByLabel('Spindle nose')).toHaveCount(0)
  await expect(page.getByRole('radio', { name: 'Clockwise', exact: true })).toBeVisible()
  await page.getByRole('link', { name: /Speeds/ }).click()
  await expect(page.getByRole('rowheader', { name: 'Motor shaft' })).toBeVisible()
})
