import { isAtComputer } from './atComputer'
import { notice } from './notice'

/**
 * Whether this browser keeps the page for when the network is gone: it does so only for a page that came encrypted, under
 * a certificate that it trusts.
 */
export type PageKeeping = 'kept' | 'withheld' | 'not needed'

/** Where the service worker keeps what was open. */
const OPENED = 'opened'

/** A device that is withdrawn has nothing to keep. */
export const forgetOpened = (): void => {
  if ('caches' in window) void caches.delete(OPENED)
}

/**
 * On a phone or tablet, has the browser keep the page and what was open. A new version waits until somebody takes it. At
 * the computer itself there is nothing to keep: page and server stand on the same machine.
 */
async function keepPage(): Promise<PageKeeping> {
  if (isAtComputer()) return 'not needed'
  if (!('serviceWorker' in navigator)) return 'withheld'
  try {
    const { Workbox } = await import('workbox-window')
    const workbox = new Workbox('/sw.js')
    workbox.addEventListener('waiting', () =>
      notice('There is a new version of this page.', {
        label: 'Take it',
        stays: true,
        onClick: () => {
          workbox.addEventListener('controlling', () => window.location.reload())
          workbox.messageSkipWaiting()
        },
      }),
    )
    await workbox.register()
    return 'kept'
  } catch {
    return 'withheld'
  }
}

/** Asked once, when the page begins. */
export const pageKeeping: Promise<PageKeeping> = keepPage()
