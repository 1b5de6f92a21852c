// @ts-check
import lighthouse from 'lighthouse'
import { chromiumArguments } from './browser.mjs'
import { freePort } from './ports.mjs'
import { demoServer } from './demoServer.mjs'
import { ensureChromium } from './setUp.mjs'

/** What each category must reach, of 100. @type {Record<string, number>} */
const least = { performance: 98, accessibility: 100, 'best-practices': 100 }

/**
 * Lighthouse on the built application, as a desk computer sees it: the shop, and a conversion.
 * @returns {Promise<{passed: number, failed: number}>}
 */
export async function audits() {
  const server = await demoServer()
  const { chromium } = await import('@playwright/test')
  const port = await freePort()
  const browser = await chromium.launch({
    executablePath: ensureChromium(),
    args: [...chromiumArguments, `--remote-debugging-port=${port}`],
  })
  let [passed, failed] = [0, 0]
  try {
    /** @param {string} path @returns {Promise<any>} */
    const get = async (path) => (await fetch(`${server.url}${path}`)).json()
    const [shop] = await get('/api/shops')
    const [machine] = await get(`/api/shops/${shop.id}/conversions`)
    for (const path of [`/shops/${shop.id}`, `/conversions/${machine.id}/motor`]) {
      const result = await lighthouse(
        `${server.url}${path}`,
        { port, logLevel: 'error', output: 'json', onlyCategories: Object.keys(least) },
        { extends: 'lighthouse:default', settings: desk },
      )
      if (!result) throw new Error('Lighthouse gave no result')
      const { categories, audits: all } = result.lhr
      for (const [id, atLeast] of Object.entries(least)) {
        const score = Math.round(100 * (categories[id]?.score ?? 0))
        if (score >= atLeast) passed += 1
        else failed += 1
        console.log(`${path.split('/')[1]?.padEnd(14)} ${id.padEnd(16)} ${score} of at least ${atLeast}`)
        if (score < atLeast)
          for (const { id: audit, weight } of categories[id]?.auditRefs ?? [])
            if (weight > 0 && (all[audit]?.score ?? 1) < 1)
              console.log(`  ${audit}: ${all[audit]?.displayValue ?? all[audit]?.title ?? ''}`)
      }
    }
  } finally {
    await browser.close()
    await server.close()
  }
  return { passed, failed }
}

/** A desk computer on a wired network, as Lighthouse's own desktop preset has it. */
const desk = {
  formFactor: /** @type {const} */ ('desktop'),
  screenEmulation: { mobile: false, width: 1350, height: 940, deviceScaleFactor: 1, disabled: false },
  throttling: {
    rttMs: 40,
    throughputKbps: 10 * 1024,
    cpuSlowdownMultiplier: 1,
    requestLatencyMs: 0,
    downloadThroughputKbps: 0,
    uploadThroughputKbps: 0,
  },
}
