import { expect, kept, test, type Page } from './heartWalk'
import { toStage } from './shopFixture'
import { fromLibrary, oneBelt, plate, spinning, Walker, type Known } from './walker'

const direct = async (w: Walker): Promise<void> => {
  await w.press('Add the first belt position')
  await w.choose('Stage 1', 'direct')
}
const shed: Known = {
  'supply.isolatorInReach': 'Yes',
  'supply.voltageV': '230 V live and neutral, 50 Hz, 16 A',
  'supply.cableMm2': '2.5 mm2',
  'supply.cableM': '6 m',
  'supply.laying': 'On the surface',
  'supply.plugOrFixed': 'Wired in',
  'supply.earthLeakageDevice': 'Type F',
  'supply.earthing': 'Neutral earthed',
  'supply.secondEarth': 'Yes',
  'checks.earthProved': 'Yes',
  'checks.secondHand': 'No',
  'drive.laid': 'In use, or new',
  'drive.filterLink': 'It has none',
  'controls.runBy': 'Start and stop buttons',
  'controls.stopBy': 'Stop button or switch',
  'controls.emergencyStop': 'Supply contactor',
  'controls.reference': 'Speed knob',
  'controls.reverseWanted': 'No',
  'survey.jobs': async (w) => w.fill('A job in one line', 'turn 25 mm steel 0.1 mm feed 0.5 mm deep'),
}
const router: Known = {
  ...shed,
  'survey.machineKind': 'CNC router',
  'survey.positions': direct,
  'survey.spindleNose': 'Collet',
  'survey.jobs': async (w) => w.fill('A job in one line', 'rout 6 mm plywood 18000 rpm'),
  'survey.holders': spinning('20 mm', '40 mm'),
  'motor.kind': plate('HF SPINDLE 2.2 kW 24000 rpm 400 Hz\n220 V 8 A 3~ water cooled'),
  'motor.cooling': 'Liquid, or no fan',
  'drive.input': fromLibrary('Heron 22, wall-box drive'),
  'highFrequency.earthBy': 'A pin of the connector, measured',
  'highFrequency.earthOhm': '0.1 ohm',
  'highFrequency.waterLPerMin': '3',
  'highFrequency.waterInC': '22 C',
  'highFrequency.waterMostC': '35 C',
  'highFrequency.pumpFirst': 'Yes',
  'highFrequency.leastRpm': '8000 rpm',
}

/** Walks by Next alone from an empty shop until nothing is asked, and takes the drive's manual from the library. */
async function walk(page: Page, shop: string, name: string, known: Known, manual?: string): Promise<void> {
  const made = await page.request.post(`/api/shops/${shop}/conversions`, { data: { name } })
  const { id } = (await made.json()) as { id: string }
  await page.goto(`/conversions/${id}/survey`)
  page.setDefaultTimeout(10_000)
  const walker = new Walker(page, known)
  await walker.toFirstVerdict()
  await walker.toNothingAsked()
  if (manual !== undefined) {
    await toStage(page, 'wiring')
    await page.getByLabel(/^From the library/).selectOption({ label: manual })
    await kept(page)
  }
}

/** The page as it goes to paper: its text, and that a browser makes a file of it. */
async function printed(page: Page, id: string): Promise<string> {
  await page.emulateMedia({ media: 'print' })
  const sheet = page.locator(`section[aria-labelledby=${id}]`)
  await expect(sheet).toBeVisible()
  for (const format of ['A4', 'Letter'] as const)
    expect((await page.pdf({ format })).subarray(0, 5).toString()).toBe('%PDF-')
  return (await sheet.textContent()) ?? ''
}

test('a DC toolroom lathe, from an empty shop to its card', async ({ page, shop }) => {
  await walk(
    page,
    shop.id,
    'Toolroom lathe',
    {
      ...shed,
      'survey.machineKind': 'Lathe',
      'survey.positions': oneBelt('112 mm', '250 mm'),
      'survey.spindleNose': 'Cam-lock',
      'survey.holders': spinning('200 mm', '80 mm'),
      'motor.kind': plate('DC MOTOR 1.5 kW 1150/2300 rpm\nARM 180 V 10.5 A\nSHUNT FIELD 200 V 0.6 A\nIP23'),
      'motor.cooling': 'Blower of its own',
      'motor.fieldKind': 'Shunt, or fed apart',
      'drive.kind': 'DC drive',
      'drive.input': 'One phase',
      'drive.inputVoltageV': '230 V',
      'drive.ratedOutputA': '12 A',
      'drive.ratedInputA': '14 A',
      'dcDrive.rectifier': 'One phase, controlled',
      'dcDrive.outputV': '180 V',
      'dcDrive.fieldControl': 'Fixed, full',
      'dcDrive.fieldLossTrip': 'Yes',
      'dcDrive.contactorOrder': 'Field first, armature last',
      'dcDrive.suppression': 'A varistor',
    },
    'Grebe, DC board with trims',
  )
  // Nothing asks a DC motor for hertz, or for star and delta.
  await toStage(page, 'motor')
  await expect(page.getByText('Star and delta are no question here')).toBeVisible()
  await expect(page.locator('[data-path="motor.ratedFrequencyHz"]')).toHaveCount(0)
  await toStage(page, 'speeds')
  await expect(page.getByLabel('Most speed')).toBeVisible()
  await expect(page.getByLabel('Highest hertz')).toHaveCount(0)
  await toStage(page, 'settings')
  const card = await printed(page, 'card')
  expect(card).toMatch(/Field amps.*0\.6\sA/s)
  expect(card).not.toMatch(/hertz/i)
  await page.emulateMedia({ media: 'screen' })
  await expect(page.getByRole('region', { name: 'Trims, by the clock' })).toContainText('180 V at the armature')
  await toStage(page, 'run-in')
  await expect(page.getByText('Field lost, on purpose')).toBeVisible()
})

test('a bench lathe with a brushless set, from an empty shop to its card', async ({ page, shop }) => {
  await walk(
    page,
    shop.id,
    'Bench lathe',
    {
      ...shed,
      'survey.machineKind': 'Lathe',
      'survey.positions': oneBelt('40 mm', '120 mm'),
      'survey.spindleNose': 'Threaded',
      'survey.noseThreadMm': '25 mm',
      'survey.noseSeat': 'On a register and face, clean',
      'survey.holders': spinning('80 mm', '45 mm'),
      'motor.kind': plate('BLDC MOTOR 48 V 400 W 10.5 A 3000 rpm 8 poles'),
      'motor.platePoles': '8',
      'motor.cooling': 'Liquid, or no fan',
      'motor.rpmPerVolt': '75',
      'drive.kind': 'Brushless set',
      'drive.input': 'One phase',
      'drive.inputVoltageV': '230 V',
      'drive.ratedOutputA': '20 A',
      'drive.ratedInputA': '3 A',
      'driver.supply': 'Transformer, rectifier, capacitors',
      'driver.secondaryV': '36 V',
      'driver.leastV': '20 V',
      'driver.mostV': '60 V',
      'driver.limitA': '15 A',
      'driver.fuseA': '20 A',
      'driver.bleeds': 'Yes',
      'driver.topHz': '800 Hz',
    },
    'Wagtail, driver with switches',
  )
  await toStage(page, 'wiring')
  const leads = page.getByRole('region', { name: 'Its leads and its sensors' })
  for (const [order, ran] of [
    ['U V W', 'Stands or only twitches'],
    ['V U W', 'Evenly, few amps'],
    ['V W U', 'Evenly, few amps'],
  ] as const)
    await leads
      .locator('[data-path]')
      .filter({ hasText: `${order} to its three screws` })
      .getByText(ran, { exact: true })
      .click()
  await leads.getByLabel('Leads joined as').selectOption({ label: 'U V W' })
  await expect(page.getByRole('button', { name: /Join them as V W U/ })).toHaveCount(0)
  await leads.getByLabel('Leads joined as').selectOption({ label: 'V W U' })
  await kept(page)
  await toStage(page, 'settings')
  const card = await printed(page, 'card')
  expect(card).toMatch(/Least speed.*300\srpm/s)
  expect(card).not.toMatch(/hertz/i)
  await page.emulateMedia({ media: 'screen' })
  // The switches of the current limit, drawn in their position.
  await expect(page.getByText('The largest that is not over 15.8 A')).toBeVisible()
})

test('a spindle for hundreds of hertz, from an empty shop to its card', async ({ page, shop }) => {
  await walk(page, shop.id, 'Spindle', router, 'Heron, wall-box drive')
  await toStage(page, 'motor')
  await page.getByRole('button', { name: 'Spindle', exact: true }).click()
  const spindle = page.getByRole('region', { name: 'A spindle for hundreds of hertz' })
  await expect(spindle).toContainText('10 min at 6000 rpm')
  await spindle.getByLabel('Slowest it may turn').fill('8000 rpm')
  await spindle.getByLabel('Slowest it may turn').press('Enter')
  await kept(page)
  await toStage(page, 'settings')
  expect(await printed(page, 'card')).toMatch(/133/)
})

test('a commanded spindle, from an empty shop to its card', async ({ page, shop }) => {
  await walk(
    page,
    shop.id,
    'Commanded',
    {
      ...router,
      'controls.runBy': 'CNC controller',
      'controls.reference': '0-10 V from a controller',
      'commanded.stopChain': 'One mushroom drops drive and controller',
    },
    'Heron, wall-box drive',
  )
  await toStage(page, 'speeds')
  await page.getByRole('button', { name: 'Commanded', exact: true }).click()
  const sheet = page.getByRole('region', { name: 'Commanded speed' })
  for (const [i, [commanded, read]] of (
    [
      ['10000 rpm', '10500 rpm'],
      ['16000 rpm', '16800 rpm'],
      ['22000 rpm', '23100 rpm'],
    ] as const
  ).entries()) {
    await sheet.getByRole('button', { name: 'Add a command and its reading' }).click()
    const row = sheet.getByRole('listitem').nth(i)
    await row.getByLabel('Commanded').fill(commanded)
    await row.getByLabel('Commanded').press('Enter')
    await row.getByLabel('It turned').fill(read)
    await row.getByLabel('It turned').press('Enter')
  }
  await sheet.getByLabel('Speed of the program').fill('18000 rpm')
  await sheet.getByLabel('Speed of the program').press('Enter')
  await expect(sheet.getByRole('table')).toContainText('× 1.050')
  await expect(sheet.getByRole('table')).toContainText(/17\s143 rpm/)
  await kept(page)
  await toStage(page, 'settings')
  expect(await printed(page, 'card')).toMatch(/Speed comes from|Knob or 0-10 V input/)
})

test('an axis, from an empty shop to its card', async ({ page, shop }) => {
  await walk(page, shop.id, 'Axis', router)
  await toStage(page, 'speeds')
  await page.getByRole('button', { name: 'Axes', exact: true }).click()
  const sheet = page.getByRole('region', { name: 'Axes' })
  await sheet.getByRole('button', { name: 'Add an axis' }).click()
  await sheet.getByLabel('Its motor').selectOption({ label: 'Stepper, closed loop' })
  await sheet.getByLabel('It moves by').selectOption({ label: 'A ball screw' })
  await sheet.getByLabel('The controller counts').selectOption({ label: 'Millimetres' })
  await sheet.getByLabel('Pulses come').selectOption({ label: 'Differential' })
  for (const [label, text] of [
    ['Pulses a turn', '2000'],
    ['Its switches, as they stand', '0110 10'],
    ['Travel of one turn', '5 mm'],
    ['Pulses a second', '100 kHz'],
    ['Has its torque to', '1000 rpm'],
    ['Rapid wanted', '4000'],
  ] as const) {
    await sheet.getByLabel(label).fill(text)
    await sheet.getByLabel(label).press('Enter')
  }
  await expect(sheet.getByRole('img', { name: 'Switches 0110 10' })).toBeVisible()
  await kept(page)
  expect(await printed(page, 'axes')).toMatch(/Pulses for one mm\s*400/)
})
