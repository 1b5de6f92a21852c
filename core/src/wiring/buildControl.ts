import { heartOf, type Plan } from '../plan'
import { sensors } from './buildDriverSide'
import { switched } from './buildLoads'
import { run } from './buildRun'
import { speed } from './buildSpeed'
import { stop, thermistor } from './buildStop'
import { net, tie, type Control } from './control'
import type { Draft } from './draft'
import type { DriveTerminals } from './driveTerminals'

/** Run, speed, stop, and what the drive switches: everything that carries signals. */
export function buildControl(draft: Draft, plan: Plan, drive: DriveTerminals, logic: 'sink' | 'source'): void {
  const common = drive.find('digital-common') ?? drive.find('reference-common')
  const supply = drive.find('supply-24')
  const source = logic === 'source' && supply !== undefined
  const gives = drive.manual('supply-24')?.gives?.volts
  const control: Control = {
    draft,
    plan,
    drive,
    feed: source ? supply : common,
    zero: common,
    fed: [],
    hubs: new Map(),
    behindChain: [],
    volts: gives === undefined ? 'the drive’s signal volts' : `${gives} V`,
  }
  if (heartOf(plan) === 'driver') sensors(control)
  run(control)
  speed(control)
  thermistor(control)
  stop(control)
  switched(control)
  const { feed, fed, hubs } = control
  for (const end of fed)
    tie(
      control,
      feed,
      end,
      'run',
      source ? 'volts to the switches' : 'common of the switches',
      source ? `${control.volts} to the common, whatever is pressed` : '0 V to the common',
    )
  for (const [hub, { purpose, live, group, ends }] of hubs)
    net(control, { key: `hub-${hub}`, purpose, group, ends: [hub, ...ends], dead: 'under 1 ohm end to end', live })
}
