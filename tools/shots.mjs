// @ts-check
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { chromiumArguments } from './browser.mjs'
import { demoServer } from './demoServer.mjs'
import { root } from './paths.mjs'
import { ensureChromium } from './setUp.mjs'
import { Trouble } from './trouble.mjs'

const tablet = { width: 1280, height: 800 }
const phone = { width: 390, height: 844 }

/**
 * One picture of each main view, from the demo data.
 * @type {readonly {name: string, machine?: string, stage?: string, night?: boolean, size?: {width: number, height: number}, shop?: string, then?: (page: import('@playwright/test').Page) => Promise<unknown>}[]}
 */
const views = [
  { name: 'shop', shop: 'Saltpan Row' },
  { name: 'library', shop: 'Saltpan Row', stage: 'library/motors' },
  { name: 'survey', machine: 'Gap-bed lathe, east bay', stage: 'survey' },
  { name: 'route', machine: 'Gap-bed lathe, east bay', stage: 'route' },
  { name: 'motor', machine: 'Gap-bed lathe, east bay', stage: 'motor' },
  {
    name: 'dc-drive',
    machine: 'Long-bed lathe, DC',
    shop: 'Juniper Wash',
    stage: 'drive',
    then: (page) => goTo(page, 'Armature and field'),
  },
  { name: 'wiring', machine: 'Gap-bed lathe, east bay', stage: 'wiring', then: aSheet },
  { name: 'drive', machine: 'Gap-bed lathe, east bay', stage: 'drive' },
  { name: 'speeds', machine: 'Gap-bed lathe, east bay', stage: 'speeds' },
  { name: 'speed-map', machine: 'Gap-bed lathe, east bay', stage: 'speeds', then: (page) => goTo(page, 'Speed map') },
  { name: 'speeds-night', machine: 'Gap-bed lathe, east bay', stage: 'speeds', night: true },
  { name: 'settings', machine: 'Gap-bed lathe, east bay', stage: 'settings' },
  {
    name: 'run-in',
    machine: 'Bench shaper',
    shop: 'Juniper Wash',
    stage: 'run-in',
    then: (page) => goTo(page, 'Run-in sheet'),
  },
  { name: 'dial', machine: 'Plain-bed lathe, west wall', stage: 'dial', then: (page) => goTo(page, 'Dial plate') },
  { name: 'log', machine: 'Plain-bed lathe, west wall', stage: 'log' },
  { name: 'phone-speeds', machine: 'Gap-bed lathe, east bay', stage: 'speeds', size: phone },
  { name: 'phone-build', machine: 'Gap-bed lathe, east bay', stage: 'wiring', size: phone, then: aStep },
]

/** Views of servers of their own. @type {Record<string, (browser: import('@playwright/test').Browser, folder: string) => Promise<void>>} */
const apart = { 'first-run': firstRun, devices }

/** A sheet on its stage, what stands round it folded, with a wire pressed. @param {import('@playwright/test').Page} page */
async function aSheet(page) {
  await goTo(page, 'Drawings')
  await page.getByRole('tab', { name: 'Control' }).click()
  await page.locator('#surface svg g.cursor-pointer').nth(2).click({ force: true })
  await page.waitForTimeout(400)
}

/** A step of the build with wires to tick. @param {import('@playwright/test').Page} page */
async function aStep(page) {
  await goTo(page, 'Build and prove')
  await page.getByLabel('Step', { exact: true }).selectOption('motor')
  await page.getByRole('article', { name: 'Motor box and motor cable' }).scrollIntoViewIfNeeded()
  await page.waitForTimeout(400)
}

/** A part of a stage, once what stands above it is loaded. @param {import('@playwright/test').Page} page @param {string} part */
async function goTo(page, part) {
  await page.getByRole('button', { name: part, exact: true }).first().click()
  await page.waitForTimeout(1200)
}

/**
 * Makes docs/screenshots anew; with names, only those. `--into DIR` puts them elsewhere.
 * @param {string[]} args
 */
export async function shots(args) {
  const into = args.indexOf('--into')
  const folder = into >= 0 ? (args[into + 1] ?? '') : join(root, 'docs', 'screenshots')
  const wanted = args.filter((_, i) => !(into >= 0 && (i === into || i === into + 1)))
  const unknown = wanted.find((w) => !views.some((v) => v.name === w) && !(w in apart))
  if (unknown)
    throw new Trouble(
      `There is no view "${unknown}"; there are ${Object.keys(apart).join(', ')}, ${views.map((v) => v.name).join(', ')}.`,
      2,
    )
  mkdirSync(folder, { recursive: true })
  const executablePath = ensureChromium()
  const server = await demoServer()
  const { chromium } = await import('@playwright/test')
  const browser = await chromium.launch({ executablePath, args: chromiumArguments })
  try {
    for (const view of views) {
      if (wanted.length > 0 && !wanted.includes(view.name)) continue
      const page = await browser.newPage({
        viewport: view.size ?? tablet,
        colorScheme: view.night ? 'dark' : 'light',
        reducedMotion: 'reduce',
      })
      await page.goto(await addressOf(server.url, view))
      await page.getByRole('heading', { level: 1 }).waitFor()
      await page.waitForLoadState('networkidle')
      await page.evaluate('document.fonts.ready')
      if (view.then) {
        await view.then(page)
        await page.waitForTimeout(400)
      }
      await page.screenshot({ path: join(folder, `${view.name}.png`) })
      await page.close()
      console.log(join(folder, `${view.name}.png`))
    }
    for (const [name, take] of Object.entries(apart))
      if (wanted.length === 0 || wanted.includes(name)) await take(browser, folder)
  } finally {
    await browser.close()
    await server.close()
  }
}

/** @param {string} url @param {{machine?: string, stage?: string, shop?: string}} view */
async function addressOf(url, { machine, stage, shop = 'Saltpan Row' }) {
  /** @param {string} path */
  const get = async (path) =>
    /** @type {{id: string, name: string}[]} */ (await (await fetch(`${url}/api/${path}`)).json())
  const shopId = (await get('shops')).find((s) => s.name === shop)?.id
  if (machine === undefined) return `${url}/shops/${shopId}${stage === undefined ? '' : `/${stage}`}`
  const id = (await get(`shops/${shopId}/conversions`)).find((m) => m.name === machine)?.id
  return `${url}/conversions/${id}/${stage}`
}

/** The way in for someone new, on a database without demo data. @param {import('@playwright/test').Browser} browser @param {string} folder */
async function firstRun(browser, folder) {
  const server = await demoServer({ demo: false })
  try {
    const page = await browser.newPage({ viewport: tablet, colorScheme: 'light' })
    await page.goto(server.url)
    await page.getByLabel('Name of the shop').fill('Back shed')
    await page.screenshot({ path: join(folder, 'first-run.png') })
    console.log(join(folder, 'first-run.png'))
  } finally {
    await server.close()
  }
}

/** Letting a phone in, on a server that other machines may reach. @param {import('@playwright/test').Browser} browser @param {string} folder */
async function devices(browser, folder) {
  const server = await demoServer({ network: true })
  try {
    const page = await browser.newPage({ viewport: tablet, colorScheme: 'light' })
    await page.goto(`${server.url}/devices`)
    await page.getByRole('button', { name: 'Let a device in' }).click()
    await page.getByAltText(/for the camera/).waitFor()
    await page.evaluate('document.fonts.ready')
    await page.screenshot({ path: join(folder, 'devices.png') })
    console.log(join(folder, 'devices.png'))
  } finally {
    await server.close()
  }
}
