import { hasFedField, type Plan } from '../plan'
import { BOX_M, device, earthScrew, poles, terminal, twoEnds } from './deviceKinds'
import type { Draft } from './draft'
import type { DriveTerminals } from './driveTerminals'
import { motorEarth } from './motorEarth'
import { endOf, type Device, type End, type Inside } from './model'

const power = { group: 'motor', sheet: 'power', class: 'power' } as const

/** Armature and field of a DC motor: what stands between, what watches the field, and what takes its energy. */
export function dcMotorSide(draft: Draft, plan: Plan, drive: DriveTerminals): void {
  const { installation, dcDrive, controls } = plan
  const field = hasFedField(plan)
  const lead = { areaMm2: installation.motorCableMm2, lengthM: installation.motorCableM }
  draft.add(motorBox(plan, field), { text: 'motor cable' })
  // A drive that turns its own armature over does it once: a switch beside it would turn it back.
  const ownWay = drive.find('direction') ?? drive.find('run-reverse')
  const reverses = controls.reverseWanted === true && dcDrive.reversedBy === 'armature' && ownWay === undefined
  let armature: (End | undefined)[] = [drive.find('armature-1'), drive.find('armature-2')]
  // Outside of whatever turns the armature over, so that its current goes one way always.
  if (usesSeries(plan)) armature = throughSeries(draft, armature, lead)
  if (reverses) {
    draft.add(reverser())
    armature = through(draft, 'reverser', armature, lead)
  }
  ;(['A1', 'A2'] as const).forEach((prints, i) => {
    const from = armature[i]
    if (from === undefined) return
    draft.join({
      ...power,
      key: `armature-${i + 1}`,
      purpose: `armature lead ${i + 1}`,
      ends: [from, endOf('motor', prints)],
      colour: i === 0 ? 'BN' : 'BK',
      ...lead,
      dead: 'the armature’s ohms between both, brush to brush; to earth 1 megohm or more, the drive taken off',
      live: 'armature volts by the drive’s display, or by clips that went on dead',
    })
  })
  if (field) fieldLeads(draft, plan, drive)
  motorEarth(draft, plan, drive)
}

/** Whether a compound motor's series winding carries the armature's current; one that is not told of is not wired. */
const usesSeries = ({ motor, dcDrive }: Plan): boolean =>
  motor.fieldKind === 'compound' && dcDrive.seriesWinding === 'used'

/** The second armature lead by way of the series winding, in at S2 and out at S1. */
function throughSeries(
  draft: Draft,
  [first, second]: readonly (End | undefined)[],
  lead: { areaMm2?: number | undefined; lengthM?: number | undefined },
): (End | undefined)[] {
  if (second === undefined) return [first, second]
  draft.join({
    ...power,
    key: 'series-2',
    purpose: 'armature lead 2, through the series winding first',
    ends: [second, endOf('motor', 'S2')],
    colour: 'BK',
    ...lead,
    dead: 'the series winding’s ohms, well under the armature’s',
    live: 'nothing is measured here live',
  })
  return [first, endOf('motor', 'S1')]
}

function motorBox(plan: Plan, field: boolean): Device {
  const { motor } = plan
  const series = usesSeries(plan)
  const ends = (names: readonly string[]) => names.map((name) => terminal(name, name, 'power', 'in', { needed: true }))
  const insides: Inside[] = [
    { kind: 'winding', between: ['A1', 'A2'], name: 'armature' },
    ...(field ? [{ kind: 'winding' as const, between: ['F1', 'F2'], name: 'field' }] : []),
    ...(series ? [{ kind: 'winding' as const, between: ['S1', 'S2'], name: 'series winding' }] : []),
  ]
  return device(
    {
      id: 'motor',
      role: 'motor',
      place: 'machine',
      name: 'DC motor',
      short: 'DC motor',
      line2:
        motor.fieldKind === 'compound'
          ? `compound: series winding ${series ? 'with the armature' : 'left out'}`
          : 'armature and field',
    },
    [...ends(['A1', 'A2', ...(series ? ['S1', 'S2'] : []), ...(field ? ['F1', 'F2'] : [])]), earthScrew()],
    insides,
  )
}

/** Two poles of the armature, turned over by hand and only at standstill. */
const reverser = (): Device =>
  poles(
    {
      id: 'reverser',
      role: 'reverser',
      place: 'box',
      name: 'Reversing switch',
      short: 'Reverser',
      line2: 'armature alone; only at standstill',
    },
    ['A1', 'A2'],
    'closes',
  )

function through(
  draft: Draft,
  id: string,
  from: readonly (End | undefined)[],
  lead: { areaMm2?: number | undefined },
): (End | undefined)[] {
  return from.map((end, i) => {
    const name = i === 0 ? 'A1' : 'A2'
    if (end === undefined) return undefined
    draft.join({
      ...power,
      key: `armature-${i + 1}-${id}`,
      purpose: `armature lead ${i + 1}`,
      ends: [end, endOf(id, `${name}-in`)],
      colour: i === 0 ? 'BN' : 'BK',
      areaMm2: lead.areaMm2,
      lengthM: BOX_M,
      dead: 'under 1 ohm end to end',
      live: 'nothing is measured here live',
    })
    return endOf(id, `${name}-out`)
  })
}

/** The field's two leads, through the relay that proves it, with what takes its energy across it at the motor's side of every contact. */
function fieldLeads(draft: Draft, plan: Plan, drive: DriveTerminals): void {
  const { installation, dcDrive } = plan
  const lead = { areaMm2: 1.5, lengthM: installation.motorCableM }
  const outs: (End | undefined)[] = [drive.find('field-1'), drive.find('field-2')]
  const wire = {
    ...power,
    colour: 'OG',
    dead: 'the field’s ohms between both: its volts over its amps',
    live: 'field amps by a clamp put on dead, or the drive’s display',
  } as const
  const [first] = outs
  // Its contact stands in the enable chain, whether or not this drive has a field to feed.
  if (dcDrive.fieldLossTrip === true) draft.add(fieldRelay())
  if (dcDrive.fieldLossTrip === true && first !== undefined) {
    draft.join({
      ...wire,
      key: 'field-1-relay',
      purpose: 'field lead 1, to the relay that proves it',
      ends: [first, endOf('field-relay', 'in')],
      areaMm2: lead.areaMm2,
      lengthM: BOX_M,
    })
    outs[0] = endOf('field-relay', 'out')
  }
  outs.forEach((from, i) => {
    if (from === undefined) return
    draft.join({
      ...wire,
      key: `field-${i + 1}`,
      purpose: `field lead ${i + 1}`,
      ends: [from, endOf('motor', `F${i + 1}`)],
      ...lead,
    })
  })
  const { suppression, suppressorOhm } = dcDrive
  if (suppression === undefined || suppression === 'none') return
  const words =
    suppression === 'resistor'
      ? `resistor, ${suppressorOhm === undefined ? 'ohms not known' : `${suppressorOhm} ohm`}`
      : suppression
  draft.add(
    twoEnds(
      {
        id: 'suppressor',
        role: 'suppressor',
        place: 'box',
        name: 'Across the field',
        short: 'Suppressor',
        line2: words,
      },
      'resistance',
      'power',
      ['1', '2'],
    ),
  )
  ;(['F1', 'F2'] as const).forEach((name, i) =>
    draft.join({
      ...wire,
      key: `suppressor-${i + 1}`,
      purpose: 'across the field, on its side of every contact',
      ends: [endOf('motor', name), endOf('suppressor', i === 0 ? 'a' : 'b')],
      areaMm2: lead.areaMm2,
      lengthM: installation.motorCableM,
    }),
  )
}

/** A current relay whose coil carries the field's amps: its contact opens when they fall. */
const fieldRelay = (): Device =>
  device(
    {
      id: 'field-relay',
      role: 'field-relay',
      place: 'box',
      name: 'Field relay',
      short: 'Field relay',
      line2: 'opens when the field is lost',
    },
    [
      terminal('in', 'I1', 'power', 'in', { needed: true }),
      terminal('out', 'I2', 'power', 'out', { needed: true }),
      terminal('a', '13', 'control', 'any', { needed: true }),
      terminal('b', '14', 'control', 'any', { needed: true }),
    ],
    [
      { kind: 'through', between: ['in', 'out'], name: 'coil' },
      { kind: 'closes', between: ['a', 'b'], name: 'field' },
    ],
  )
