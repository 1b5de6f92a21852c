/**
 * What this browser keeps between visits. A browser may forbid it, have no room left, or have been told to forget:
 * nothing here throws, and what could not be kept is told.
 */
export const browserStorage = {
  read: (key: string): string | undefined => trying(() => localStorage.getItem(key) ?? undefined),
  /** Whether it is kept now. */
  write: (key: string, text: string): boolean =>
    trying(() => {
      localStorage.setItem(key, text)
      return true
    }) ?? false,
  remove: (key: string): void => trying(() => localStorage.removeItem(key)),
  keys: (): string[] => trying(() => Object.keys(localStorage)) ?? [],
}

function trying<T>(ask: () => T): T | undefined {
  try {
    return ask()
  } catch {
    return undefined
  }
}
