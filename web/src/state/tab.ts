/** What tells this tab from every other of this browser, for as long as its page stands. */
export const tab = `${Date.now().toString(36)}-${Math.random().toString(36).slice(2)}`

const PREFIX = 'zesty.tab.'

/** Browsers give locks only to pages that came safely, or from the machine itself. */
const locks = (): LockManager | undefined => ('locks' in navigator ? navigator.locks : undefined)

/** Lets other tabs see that this one is open: a lock that the browser takes back when the page goes, however it goes. */
export function showOpen(): void {
  void locks()?.request(`${PREFIX}${tab}`, () => new Promise<never>(() => undefined))
}

/** Tabs of this browser that are open, this one left out; none are known where the browser gives no locks. */
export async function otherOpenTabs(): Promise<Set<string>> {
  const { held = [] } = (await locks()?.query()) ?? {}
  const open = held.flatMap(({ name }) => (name?.startsWith(PREFIX) ? [name.slice(PREFIX.length)] : []))
  return new Set(open.filter((name) => name !== tab))
}
