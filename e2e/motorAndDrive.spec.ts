import { chain, expect, finding, test, type } from './shopFixture'

test('a whole plate is pasted, understood line by line, and put on the plate in one undoable press', async ({
  page,
  shop,
  request,
}) => {
  const made = await request.post(`/api/shops/${shop.id}/conversions`, {
    data: { name: 'Pasted', machineKind: 'lathe' },
  })
  await page.goto(`/conversions/${((await made.json()) as { id: string }).id}/motor`)
  await page
    .getByLabel('The plate, line by line, in any order')
    .fill('3~ Mot. 90L-4 IP55\n1,5 kW 1420 min-1 50 Hz\n230/400 V 6,0/3,5 A cos φ 0,80\nMade on a Tuesday')
  await expect(page.getByText('Kind of motor Three-phase, Frame 90L')).toBeVisible()
  await expect(page.getByText('Not read: Made on a Tuesday')).toBeVisible()
  await page.getByRole('button', { name: 'Put this on the plate' }).click()
  await expect(page.getByLabel('Volts', { exact: true })).toHaveValue('230 / 400 V')
  await expect(page.getByRole('button', { name: /^Rated torque: 10\.1\sN m/ })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Undo: Read the plate' }).click()
  await expect(page.getByLabel('Volts', { exact: true })).toHaveValue('')
})

test('a single-phase plate is recognised and told what to do', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'motor')
  await page.getByText('Type or paste the whole plate at once').click()
  await page.getByLabel('The plate, line by line, in any order').fill('1 PH 230 V 50 Hz 1.1 kW 1420 rpm 40 µF')
  await page.getByRole('button', { name: 'Put this on the plate' }).click()
  await expect(finding(page, 'This motor cannot go on the drive as it is')).toContainText(
    'replaced by a three-phase motor',
  )
})

test('the terminal box shows the links as found and as they should be', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'motor')
  const box = page.getByRole('region', { name: 'Links in the terminal box' })
  await expect(box).toContainText('W2 to U2 to V2. Lines on U1, V1, W1.')
  await expect(box).toContainText('U1 to W2; V1 to U2; W1 to V2.')
  await box.getByRole('button', { name: 'They are moved: delta' }).click()
  await expect(box.getByText('To be, for this drive')).toBeHidden()
  await expect(chain(page, 'Motor')).toContainText('Delta, 4-pole, 6 A')
})

test('torque curves at the motor and at the spindle, and in numbers', async ({ page, shop }) => {
  await shop.openDemo('2-juniper-wash/long-bed-lathe', 'motor')
  await page.getByText('Library of the shop').scrollIntoViewIfNeeded()
  await page.getByText('The curves in numbers').click()
  await expect(page.getByRole('row', { name: /Hz, base/ })).toContainText(/12\.2\sN m/)
  await page.getByRole('button', { name: 'Show power' }).click()
  await expect(page.getByRole('row', { name: /Hz, base/ })).toContainText(/1\.92\skW/)
  await page.getByRole('button', { name: 'Show torque' }).click()
  await page.getByRole('button', { name: 'Show at the spindle' }).click()
  await expect(
    page.getByRole('heading', { name: /Torque at the spindle against its speed, on Open belt/ }),
  ).toBeVisible()
})

test('the circuit: breaker, conductor and loss; a light cable is a stop', async ({ page, shop }) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'drive')
  await type(page, 'Cable, panel to drive', '12 m')
  await page.getByLabel('How it is laid').selectOption('surface')
  await expect(page.getByRole('row', { name: /Smallest conductor/ })).toContainText(/4\smm²/)
  await type(page, 'Cable that is there', '14 AWG')
  await expect(finding(page, 'The cable is too light')).toContainText(/there is 2\.08\smm²/)
  await type(page, 'Cable that is there', '6 mm2')
  await expect(finding(page, 'The cable is too light')).toBeHidden()
})

test('stopping: too short a ramp trips; a longer one goes on the card, and the drive holds the old one until it is read', async ({
  page,
  shop,
}) => {
  await shop.openDemo('1-saltpan-row/gap-bed-lathe', 'drive')
  const trips = finding(page, /would trip the drive/)
  await expect(trips).toContainText('250 mm four-jaw chuck')
  await trips.getByRole('button', { name: /^Plan it: Set deceleration/ }).click()
  // The card has the longer ramp now; that the drive holds it is still to be looked at.
  await expect(trips).toBeHidden()
  await page.getByRole('link', { name: /Settings/ }).click()
  const planned = page.getByRole('region', { name: 'Planned, to be done and looked at' })
  await expect(planned).toContainText(/Set deceleration to \d+/)
  await planned.getByRole('button', { name: 'I have checked it' }).first().click()
  const read = page.locator('[data-path="settings.inDrive.decelerationS"]')
  await expect(read).toBeFocused()
  await read.fill('60 s')
  await read.press('Enter')
  await expect(planned).toBeHidden()
})
