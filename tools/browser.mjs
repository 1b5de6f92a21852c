// @ts-check

/** How Debian's Chromium is started here: headless, and without reaching out to anyone. */
export const chromiumArguments = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--font-render-hinting=none',
]

export const chromiumPath = '/usr/bin/chromium'
