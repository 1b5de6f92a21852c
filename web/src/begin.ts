// The first that runs, and the smallest: it reads from the address what will be shown, and has its answers and its script
// come at once, beside the rest of the page. One after the other they would take twice as long.
import { fetchStage } from './stages/fetchStage'
import { askAhead } from './state/ahead'

/** By address: what is asked of the server, and what shows it. Anything else is asked for when it is wanted. */
const openings: [RegExp, (id: string, stage: string) => { asks: string[]; brings: Promise<unknown>[] }][] = [
  [/^\/$/, () => ({ asks: ['/api/shops'], brings: [import('./shop/Home')] })],
  [
    /^\/shops\/([^/]+)$/,
    (id) => ({
      asks: [`/api/shops/${id}`, `/api/shops/${id}/conversions`],
      brings: [import('./shop/ShopScreen')],
    }),
  ],
  [
    /^\/conversions\/([^/]+)(?:\/([^/]+))?$/,
    (id, stage) => ({
      asks: [`/api/conversions/${id}/judged?stage=${stage}`],
      brings: [import('./conversion/ConversionScreen'), fetchStage(stage)],
    }),
  ],
]

for (const [address, open] of openings) {
  const [found, id = '', stage = 'survey'] = address.exec(location.pathname) ?? []
  if (found === undefined) continue
  const { asks, brings } = open(id, stage)
  asks.forEach(askAhead)
  // An address that leads nowhere is told by who shows it.
  void Promise.allSettled(brings)
}
void import('./main')
