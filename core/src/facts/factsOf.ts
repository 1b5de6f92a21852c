import { beltFacts } from './belts/beltFacts'
import { resonanceFacts } from './belts/resonanceFacts'
import { heartOf, mainPosition } from '../plan'
import { trainFacts } from './belts/trainFacts'
import type { Context } from './context'
import { driveFacts } from './drive/driveFacts'
import { installationFacts } from './drive/installationFacts'
import { stopFacts } from './drive/stopFacts'
import type { Facts } from './facts'
import { checkFacts } from './motor/checkFacts'
import { delta87HzFacts } from './motor/delta87HzFacts'
import { motorCableFacts } from './motor/motorCableFacts'
import { motorFacts } from './motor/motorFacts'
import { motorPhysics } from './motor/motorPhysics'
import type { CircuitMemory } from './motor/plateCircuit'
import { dcFacts } from './hearts/dcFacts'
import { driverFacts } from './hearts/driverFacts'
import { torqueCurve } from './motor/torqueCurve'
import { torqueInputs } from './motor/torqueInputs'
import { everySetting } from './settings/everySetting'
import { settingsFacts } from './settings/settingsFacts'
import { jobVerdicts } from './spindle/jobVerdicts'
import { speedFacts } from './spindle/speedFacts'
import { branchCircuitFacts } from './supply/branchCircuitFacts'
import { plugAndLeadFacts } from './supply/plugAndLeadFacts'
import { supplyFacts } from './supply/supplyFacts'
import { supplyUnitFacts } from './supply/supplyUnitFacts'
import { wiringFacts, type WiringMemory } from './wiring/wiringFacts'

/** Everything that is known, each part from those before it. */
export function factsOf(context: Context, memory?: CircuitMemory, wired?: WiringMemory): Facts {
  const { plan, tables, measured } = context
  const supply = supplyFacts(context)
  const motor = motorFacts(context)
  const installation = installationFacts({ ...context, motor })
  const drive = driveFacts({ ...context, supply, motor, installation })
  const trains = trainFacts({ ...context, motor })
  const main = trains.find((t) => t.position.id === mainPosition(plan)?.id)
  const heart = heartOf(plan)
  const dc = heart === 'dc' ? dcFacts({ ...context, motor, supply }) : undefined
  const driver = heart === 'driver' ? driverFacts({ ...context, motor, supply }) : undefined
  const settings = settingsFacts({ ...context, motor, drive, main, dc, driver })
  const speeds = speedFacts({ ...context, motor, drive, settings, trains, dc })
  const physics = motorPhysics({ ...context, motor, drive, settings }, memory)
  const stop = stopFacts({ ...context, supply, motor, drive, settings, speeds, installation, physics })
  const torque = torqueInputs({ ...context, motor, drive, settings, speeds, physics, dc, driver })
  const curve = torque && torqueCurve(torque)
  const supplyUnit = supplyUnitFacts({ ...context, supply, drive })
  const known = {
    plan,
    tables,
    measured,
    supply,
    motor,
    drive,
    settings,
    physics,
    dc,
    driver,
    stop,
    installation,
    speeds,
    branchCircuit: branchCircuitFacts({ ...context, supply, drive }),
    supplyUnit,
    plugAndLead: plugAndLeadFacts({ ...context, supply, drive, supplyUnit }),
    motorCable: motorCableFacts({ ...context, supply, motor, drive }),
    checks: checkFacts({ ...context, motor }),
    delta87Hz: delta87HzFacts({ ...context, motor, drive }),
    torque: torque && curve && { inputs: torque, curve },
    jobs: jobVerdicts({ ...context, speeds, curve }),
    resonances: resonanceFacts({ ...context, motor, stop, speeds }),
    belts: beltFacts({ ...context, motor }),
  }
  return {
    ...known,
    settings: { ...settings, lines: everySetting(known) },
    wiring: wiringFacts(context, wired),
  }
}
