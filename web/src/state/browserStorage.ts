/**
 * What this browser keeps between visits. A browser may forbid it, have no room left, or have been told to forget:
 * nothing here throws, and what could not be kept is told.
 */
export const browserStorage = safely(() => localStorage)

/** What it keeps for this tab alone, over reloads and until the tab is closed; under the same conditions. */
export const tabStorage = safely(() => sessionStorage)

/** The storage is asked for at every use: already to name it may be forbidden. */
function safely(storage: () => Storage) {
  return {
    read: (key: string): string | undefined => trying(() => storage().getItem(key) ?? undefined),
    /** Whether it is kept now. */
    write: (key: string, text: string): boolean =>
      trying(() => {
        storage().setItem(key, text)
        return true
      }) ?? false,
    remove: (key: string): void => trying(() => storage().removeItem(key)),
    keys: (): string[] => trying(() => Object.keys(storage())) ?? [],
  }
}

function trying<T>(ask: () => T): T | undefined {
  try {
    return ask()
  } catch {
    return undefined
  }
}
