import { defineConfig } from '@playwright/test'
import { chromiumArguments } from '../tools/browser.mjs'
// Before any worker is begun: the day of this run is theirs too.
import './effort'

const env = (name: string): string => {
  const value = process.env[name]
  if (value === undefined) throw new Error(`${name} is not set: run these through ./zesty check e2e`)
  return value
}

export default defineConfig({
  testDir: '.',
  outputDir: '../.local/e2e',
  workers: 2,
  fullyParallel: true,
  timeout: 180_000,
  // Two browsers and the server share two cores; a slow answer is not a wrong one.
  expect: { timeout: 30_000 },
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: env('ZESTY_E2E_REPORT') }]],
  use: {
    baseURL: env('ZESTY_URL'),
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
    launchOptions: { executablePath: env('ZESTY_CHROMIUM'), args: chromiumArguments },
  },
})
