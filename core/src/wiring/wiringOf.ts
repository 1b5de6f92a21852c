import { regionOf, type Plan } from '../plan'
import { applyChanges } from './applyChanges'
import { assumedManual } from './assumedManual'
import { buildControl } from './buildControl'
import { bonding, buildPower } from './buildPower'
import { Draft } from './draft'
import { driveTerminals } from './driveTerminals'
import { factoryLinks, jumpersFor } from './factoryLinks'
import type { Lack, Wiring } from './model'
import { neededEnds } from './motorEnds'
import { numbered } from './numbers'
import { lampWanted, wishesOf } from './wishes'

/**
 * The wiring that a plan's choices make on this drive: devices, wires with their numbers, sizes and colours, what the drive
 * lacks for it, and the lines to enter. Pure: the same choices give the same wires under the same keys, whatever was chosen
 * in between.
 *
 * @example wiringOf(emptyPlan('Lathe')).assumed // true
 */
export function wiringOf(plan: Plan): Wiring {
  const manual = plan.manual ?? assumedManual(plan)
  const region = regionOf(plan) ?? 'iec'
  const drive = driveTerminals(
    manual,
    wishesOf(plan),
    plan.drive.name ?? manual.name,
    plan.wiring.codesHeld,
    neededEnds(plan),
  )
  const draft = new Draft(region)
  draft.add(drive.device)
  const logic =
    plan.wiring.logic ?? (manual.logic === 'sink' || drive.find('supply-24') === undefined ? 'sink' : 'source')
  buildPower(draft, plan, drive)
  buildControl(draft, plan, drive, logic)
  bonding(draft, plan)
  const devices = [...draft.devices.values()]
  const built: Wiring = {
    devices,
    wires: numbered(draft.wires, devices, plan.wiring.numbers ?? {}),
    cables: [...draft.cables.values()],
    lacks: [...drive.lacks, ...footLacks(plan), ...lampLacks(plan)],
    lines: drive.lines,
    ...factoryLinks(manual, plan),
    jumpers: jumpersFor(manual, logic),
    places: plan.wiring.places ?? {},
    refused: [],
    region,
    logic,
    assumed: plan.manual === undefined || manual.terminals.some(({ basis }) => basis === 'assumed'),
  }
  return applyChanges(built, plan.wiring.changes ?? [])
}

/** The run lamp, where the relay has something else to do. */
const lampLacks = (plan: Plan): Lack[] =>
  plan.controls.runLamp === true && !lampWanted(plan)
    ? [{ does: 'relay-open', why: 'the run lamp: the relay switches something else' }]
    : []

/** Reverse, where only a foot switch sends RUN. */
const footLacks = ({ controls, wiring }: Plan): Lack[] =>
  wiring.runWith === 'foot' && controls.runBy === 'maintained' && controls.reverseWanted === true
    ? [{ does: 'run-reverse', why: 'reverse, which a foot switch does not send' }]
    : []
