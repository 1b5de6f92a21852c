import { expect, kept, test as base } from './shopFixture'

export type { Page } from '@playwright/test'
export { expect, kept }

/** A shop with the motors, drives and manuals that ship, and no machine in it. */
export const test = base.extend({
  shop: async ({ shop }, use) => {
    await shop.addSamples()
    await use(shop)
  },
})
