import { someOf } from './effort'
import { devices, expect, finding, kept, test, type } from './shopFixture'

for (const [device, viewport] of someOf(devices, 1))
  test.describe(`on ${device}`, () => {
    test.use({ viewport })
    test('an axis is typed: pulses, feed and resistor follow; a wrong first move is traced and mended', async ({
      page,
      shop,
    }) => {
      await shop.openDemo('1-saltpan-row/gantry-router', 'speeds')
      await page.getByRole('button', { name: 'Axes', exact: true }).click()
      const sheet = page.getByRole('region', { name: 'Axes' })
      const x = sheet.getByRole('listitem').first()
      await expect(x.getByLabel('What follows for X')).toContainText(/200, 0\.1 turns.*9\s000 mm\/min.*the motor’s rpm/)
      // Twice as far as was commanded: the driver's switches stand at half.
      await type(page, 'Tried: it moved', '20')
      const moved = finding(page, 'X moves otherwise than planned')
      await moved.getByRole('button', { name: 'Its driver counts 1000 pulses a turn' }).click()
      await expect(moved).toBeHidden()
      await expect(x.getByLabel('What follows for X')).toContainText(/100, 0\.1 turns/)
      // A second axis, by thumb: what it waits for is named, and what would burn its inputs is a stop.
      await sheet.getByRole('button', { name: 'Add an axis' }).click()
      const y = sheet.getByLabel('What follows for Y')
      await expect(y).toContainText('Not known yet')
      const second = sheet.locator('> ul > li').nth(1)
      for (const [label, text] of [
        ['The controller switches', '24 V'],
        ['Its input is for', '5 V'],
        ['Its input takes', '10 mA'],
        ['Resistor in series, ohm', '0'],
      ] as const) {
        await second.getByLabel(label).fill(text)
        await second.getByLabel(label).press('Enter')
      }
      const volts = finding(page, 'Y: too many volts for its inputs')
      await volts.getByRole('button', { name: 'Put in 2200 ohm, 0.5 W, in each line' }).click()
      await expect(volts).toBeHidden()
      await kept(page)
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(viewport.width)
    })
  })
