import { decided, leave } from './derived'
import type { FurtherInputs } from './furtherInputs'
import type { Derived } from './settingLine'

/** What starts it when nobody pressed RUN, or while it still turns. */
export const againSettings = {
  fixedStartHz: ({ plan }: FurtherInputs): Derived =>
    plan.settings.chosen.startSpeed === 'fixed'
      ? leave('Type the hertz that the slowest job can have.')
      : leave('It does not start at a fixed speed.'),
  tripReset: () => decided('waits', 'A trip has a cause; running on by itself finds a hand in the machine.'),
  turningStart: () =>
    decided('lockout', 'RUN into a spindle that still turns would brake it as hard as the motor can.'),
  rideThrough: () => decided('off', 'A dip must not become a stop that nobody asked for.'),
  runTimer: () => decided('off', 'Nothing starts a machine tool but a hand.'),
  sleepWake: () => decided('off', 'What sleeps looks stopped, and wakes by itself.'),
  jogMemory: () => decided('off', 'A jog ends with the button.'),
}
