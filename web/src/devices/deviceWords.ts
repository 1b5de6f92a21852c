import type { DeviceRights } from '@zesty/core/http'

/** What a device may do, as it is chosen and shown. */
export const rightsWords: Readonly<Record<DeviceRights, { title: string; says: string }>> = {
  measure: { title: 'Look, measure, tick', says: 'Readings and ticks at the machine; decisions stay as they are.' },
  all: { title: 'Everything', says: 'All that this computer does, but letting others in.' },
  look: { title: 'Look only', says: 'Nothing that is changed on it is kept.' },
}
