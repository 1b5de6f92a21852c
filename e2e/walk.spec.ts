import { someOf } from './effort'
import { expect, test } from './shopFixture'
import { fromLibrary, oneBelt, plate, spinning, Walker, type Known } from './walker'

const job =
  (text: string) =>
  async (w: Walker): Promise<void> =>
    w.fill('A job in one line', text)

/** What is the same in most small shops. */
const cable: Known = {
  'supply.isolatorInReach': 'Yes',
  'supply.cableM': '6 m',
  'supply.laying': 'On the surface',
  'supply.plugOrFixed': 'Wired in',
  'supply.earthLeakageDevice': 'Type F',
  'supply.earthing': 'Neutral earthed',
  'checks.earthProved': 'Yes',
  'checks.secondHand': 'No',
  'drive.laid': 'In use, or new',
  'drive.filterLink': 'It has none',
  'supply.secondEarth': 'Yes',
  'motor.cooling': 'Fan on the shaft',
}
const buttons: Known = {
  'controls.runBy': 'Start and stop buttons',
  'controls.stopBy': 'Stop button or switch',
  'controls.emergencyStop': 'Mushroom, stop input',
  'controls.reference': 'Speed knob',
}

/** Five people with five machines, and what they know of them. What is not here they do not know. */
const walks: { name: string; known: Known }[] = [
  {
    name: 'a bench lathe with a dual-voltage plate',
    known: {
      ...cable,
      ...buttons,
      'survey.machineKind': 'Lathe',
      'supply.voltageV': '230 V live and neutral, 50 Hz, 16 A',
      'supply.cableMm2': '2.5 mm2',
      'survey.positions': oneBelt('90 mm', '224 mm'),
      'motor.kind': plate('3~ MOTOR 1.5 kW 1420 r/min 50 Hz\n230/400 V D/Y 6.0/3.5 A\ncos phi 0.80 IP55 90L'),
      'motor.connection': 'Delta',
      'motor.leads': '6 leads',
      'drive.input': fromLibrary('Heron 15, wall-box drive'),
      'survey.spindleNose': 'Cam-lock',
      'survey.jobs': job('turn 25 mm steel 0.2 mm feed 1 mm deep'),
      'survey.holders': spinning('160 mm', '70 mm'),
    },
  },
  {
    name: 'a 120 V shed with a nine-lead motor',
    known: {
      ...cable,
      ...buttons,
      'survey.machineKind': 'Lathe',
      'supply.voltageV': '120 V, one hot, 60 Hz, 20 A',
      'supply.cableMm2': '12 AWG',
      'supply.cableM': '30 ft',
      'survey.positions': oneBelt('3"', '5 1/2 in'),
      'motor.kind': plate('1 HP 1725 RPM 60 CY 3 PH\n208-230/460 V 3.4-3.2/1.6 A\nFR 56C SF 1.15'),
      'motor.leads': '9 leads, star-wound',
      'motor.connection': 'Low voltage (parallel)',
      'drive.input': fromLibrary('Teal 1, doubling drive'),
      'survey.spindleNose': 'Threaded',
      'survey.noseSeat': 'On a register and face, clean',
      'survey.noseThreadMm': '1 1/2 in',
      'survey.jobs': job('turn 1 inch steel 0.008 inch feed 0.04 inch deep'),
      'survey.holders': spinning('6 in', '2 1/2 in'),
    },
  },
  {
    name: 'a mill with two positions on two lines',
    known: {
      ...cable,
      ...buttons,
      'survey.machineKind': 'Mill',
      'supply.voltageV': '400 V three-phase 50 Hz 16 A',
      'supply.cableMm2': '2.5 mm2',
      'survey.positions': async (w) => {
        await w.press('From a list of speeds')
        await w.fill(/^As it stands on the lever plate/, 'low 90\nhigh 1300\nmotor 1440 rpm')
        await w.press('Make 2 positions')
      },
      'survey.mainPositionId': 'high',
      'motor.kind': plate('3 PHASE 2.2 kW 1440 rpm 50 Hz\n400/690 V 4.7/2.7 A cos 0.81\nIP55 100L'),
      'motor.connection': 'Delta',
      'motor.leads': '6 leads',
      'drive.input': fromLibrary('Avocet 22, 400 V drive'),
      'survey.spindleNose': 'Collet',
      'survey.jobs': job('drill 16 mm mild steel'),
      'survey.holders': spinning('63 mm', '40 mm'),
    },
  },
  {
    name: 'a high-frequency spindle on a router',
    known: {
      ...cable,
      ...buttons,
      'survey.machineKind': 'CNC router',
      'supply.voltageV': '230 V live and neutral, 50 Hz, 16 A',
      'supply.cableMm2': '2.5 mm2',
      'survey.positions': async (w) => {
        await w.press('Add the first belt position')
        await w.choose('Stage 1', 'direct')
      },
      'motor.kind': plate('HF SPINDLE 2.2 kW 24000 rpm 400 Hz\n220 V 8 A 3~ water cooled'),
      'drive.input': fromLibrary('Heron 22, wall-box drive'),
      'survey.spindleNose': 'Collet',
      'survey.jobs': job('rout 6 mm plywood 18000 rpm'),
      'survey.holders': spinning('20 mm', '40 mm'),
      'motor.cooling': 'Liquid, or no fan',
    },
  },
  {
    name: 'a pillar drill with three steps',
    known: {
      ...cable,
      ...buttons,
      'survey.machineKind': 'Pillar drill',
      'supply.voltageV': '240 V two hots 60 Hz 20 A',
      'supply.cableMm2': '12 AWG',
      'supply.cableM': '30 ft',
      'survey.positions': async (w) => {
        await w.press('From step pulleys')
        await w.fill('Motor’s steps', '2 3/8, 3, 3 5/8"')
        await w.fill('Facing them', '3 5/8, 3, 2 3/8"')
        await w.press('Make 3 positions')
      },
      'survey.mainPositionId': '2',
      'motor.kind': plate('3/4 HP 1725 RPM 60 HZ PH 3\nVOLTS 230 AMPS 2.8\nFRAME 56'),
      'drive.input': fromLibrary('Heron 7, wall-box drive'),
      'survey.spindleNose': 'Plain taper',
      'survey.jobs': job('drill 1/2 in mild steel'),
      'survey.holders': spinning('2 1/2 in', '3 in'),
    },
  },
]

/** Three of them, each in one system of units, others each day; all and in both in a whole check. */
for (const { name, known } of someOf(walks, 3))
  for (const units of someOf(['metric', 'imperial'], 1))
    test(`${name}, ${units}`, async ({ page, request }) => {
      const shop = (await (await request.post('/api/shops', { data: { name, units } })).json()) as { id: string }
      await request.post(`/api/shops/${shop.id}/library/samples`)
      const made = await request.post(`/api/shops/${shop.id}/conversions`, { data: { name } })
      const { id } = (await made.json()) as { id: string }
      await page.goto(`/conversions/${id}/survey`)
      page.setDefaultTimeout(8000)
      const walker = new Walker(page, known)
      const first = await walker.toFirstVerdict()
      const all = await walker.toNothingAsked()
      console.log(`${name}, ${units}: first verdict after ${first} actions, nothing asked after ${all}`)
      expect(first, walker.log.join('\n')).toBeLessThanOrEqual(20)
      // One more than the rest: the drive's manual, which these people do not have yet.
      expect(all, walker.log.join('\n')).toBeLessThanOrEqual(46)
      // It never led to the same place twice.
      expect(walker.led).toEqual([...new Set(walker.led)])
      await request.delete(`/api/shops/${shop.id}`)
    })
