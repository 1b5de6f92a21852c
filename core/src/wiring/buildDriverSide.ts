import type { LeadOrder, Plan } from '../plan'
import { motorShield, shieldTerminal } from './buildMotor'
import { colourFor, type ConductorTask } from './conductors'
import { net, type Control } from './control'
import { BOX_M, device, earthScrew, terminal } from './deviceKinds'
import type { Draft } from './draft'
import type { DriveTerminals } from './driveTerminals'
import { endOf, type End, type Potential } from './model'
import { motorEarth } from './motorEarth'

const letters = ['u', 'v', 'w'] as const

/** Which of the driver's screws each motor lead goes to, by the order that was found. */
const placesOf = (order: LeadOrder | undefined): readonly string[] => (order ?? 'uvw').split('')

/** A motor with magnets: three leads in the order that was found to run well, and its earth. */
export function driverMotorSide(draft: Draft, plan: Plan, drive: DriveTerminals): void {
  const { installation, driver, wiring } = plan
  const lead = { areaMm2: installation.motorCableMm2, lengthM: installation.motorCableM }
  const shielded = wiring.motorShield !== 'none'
  draft.add(
    device(
      {
        id: 'motor',
        role: 'motor',
        place: 'machine',
        name: 'Motor with magnets',
        short: 'Motor',
        line2: driver.chosenOrder === undefined ? 'order of leads not tried' : 'leads in the order found',
      },
      [
        ...letters.map((l) => terminal(l.toUpperCase(), l.toUpperCase(), 'power', 'in', { needed: true })),
        earthScrew(),
        ...shieldTerminal(plan),
        ...halls.map(([, id, prints]) =>
          terminal(id, prints, 'control', 'any', { needed: drive.find('hall-a') !== undefined }),
        ),
      ],
      [{ kind: 'winding', between: ['U', 'V', 'W'] }],
    ),
    { text: shielded ? 'motor cable, shielded' : 'motor cable, no shield', shielded },
  )
  placesOf(driver.chosenOrder).forEach((letter, i) => {
    const from = drive.find(`motor-${letters[i] ?? 'u'}`)
    if (from === undefined) return
    draft.join({
      key: `motor-${letters[i] ?? 'u'}`,
      purpose: `motor lead ${i + 1}`,
      group: 'motor',
      sheet: 'power',
      class: 'power',
      ends: [from, endOf('motor', letter.toUpperCase())],
      colour: colourFor(draft.region, (letters[i] ?? 'u').toUpperCase() as ConductorTask),
      ...lead,
      dead: 'between any two leads alike within 5 %; to earth 1 megohm or more, the driver taken off; the shaft must stand still',
      live: 'amps of the three leads alike within 10 %, by a clamp put on dead that reads true behind a driver',
    })
  })
  motorEarth(draft, plan, drive)
  motorShield(draft, plan)
}

/** The sensors that tell the driver where the rotor stands. */
const halls = [
  ['hall-supply', 'h-plus', 'H+'],
  ['hall-a', 'h-a', 'Ha'],
  ['hall-b', 'h-b', 'Hb'],
  ['hall-c', 'h-c', 'Hc'],
  ['hall-common', 'h-zero', 'H-'],
] as const

/** Sensor leads, one to one: their order stays, and only the motor's leads are tried. */
export function sensors(control: Control): void {
  const { drive } = control
  for (const [does, id, prints] of halls) {
    const to = drive.find(does)
    if (to === undefined) continue
    net(control, {
      key: does,
      purpose: `sensor ${prints}`,
      group: 'run',
      ends: [to, endOf('motor', id)],
      dead: 'under 1 ohm end to end; open to the motor’s leads and to earth',
      live:
        does === 'hall-supply'
          ? '5 V to the sensors’ common, or as the driver’s manual says'
          : 'changes between 0 V and its supply as the shaft is turned by hand',
    })
  }
}

/** A power supply, a battery, or transformer, rectifier and capacitors between the mains and the driver. */
export function directSupply(
  draft: Draft,
  plan: Plan,
  drive: DriveTerminals,
  from: ReadonlyMap<Potential, End>,
  lines: readonly Potential[],
): void {
  const { supply, secondaryV, supplyV, fuseA } = plan.driver
  const given = supply === 'transformer' ? secondaryV : supplyV
  const volts =
    given === undefined ? 'volts not known' : supply === 'transformer' ? `${given} V alternating` : `${given} V direct`
  draft.add(
    device(
      {
        id: 'direct',
        role: 'rectifier',
        place: 'box',
        name: supply === 'transformer' ? 'Transformer, rectifier' : supply === 'battery' ? 'Battery' : 'Power supply',
        short: 'Supply',
        line2: volts,
      },
      [
        ...lines.map((line) => terminal(`${line}-in`, line, 'power', 'in', { needed: true })),
        terminal('plus', '+', 'power', 'out', { needed: true, potential: 'direct+' }),
        terminal('minus', '-', 'power', 'out', { needed: true, potential: 'direct-' }),
        earthScrew(),
      ],
      [{ kind: 'winding', between: lines.map((line) => `${line}-in`) }],
    ),
  )
  for (const line of lines) {
    const end = from.get(line)
    if (end === undefined) continue
    draft.join({
      key: `direct-${line}`,
      purpose: line === 'N' ? 'neutral' : `line ${line.slice(1)}`,
      group: 'supply',
      sheet: 'power',
      class: 'power',
      ends: [end, endOf('direct', `${line}-in`)],
      colour: colourFor(draft.region, line as ConductorTask),
      areaMm2: plan.supply.cableMm2,
      lengthM: BOX_M,
      dead: 'under 1 ohm end to end; open to every other conductor and to earth',
      live: 'by a lamp that was clipped on dead',
    })
  }
  for (const [pole, does] of [
    ['plus', 'direct-plus'],
    ['minus', 'direct-minus'],
  ] as const) {
    const to = drive.find(does)
    if (to === undefined) continue
    draft.join({
      key: does,
      purpose:
        pole === 'plus'
          ? `direct volts, plus${fuseA === undefined ? '' : `, fuse of ${fuseA} A in it`}`
          : 'direct volts, minus',
      group: 'supply',
      sheet: 'power',
      class: 'power',
      ends: [endOf('direct', pole), to],
      colour: pole === 'plus' ? 'RD' : 'BK',
      areaMm2: plan.installation.motorCableMm2,
      lengthM: BOX_M,
      dead: 'under 1 ohm end to end; plus and minus the right way round, looked at twice',
      live: 'direct volts by clips that went on dead: the right way round before the driver is joined',
    })
  }
}
