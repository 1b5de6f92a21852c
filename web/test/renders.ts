/** What React tells a developer's tool after each commit, of which only the tree is looked at. */
interface Fiber {
  tag: number
  flags: number
  child: Fiber | null
  sibling: Fiber | null
  alternate: Fiber | null
}
interface Hook {
  onCommitFiberRoot: (id: number, root: { current: Fiber }) => void
}

/** Function components, plain, passed on by reference, and remembered: React's own numbers for them. */
const components = new Set([0, 11, 14, 15])
/** Set by React where a component's function was called. */
const CALLED = 1

/** Components that were rendered from now on until it is stopped. The hook stands in `environment.mjs`, before React does. */
export function countRenders(): { stop: () => number } {
  const hook = Reflect.get(globalThis, '__REACT_DEVTOOLS_GLOBAL_HOOK__') as Hook
  let count = 0
  const walk = (fiber: Fiber): void => {
    const before = fiber.alternate
    if (components.has(fiber.tag) && (fiber.flags & CALLED) !== 0) count += 1
    // What is below was not gone into where it is what it was.
    if (before && before.child === fiber.child) return
    for (let child = fiber.child; child; child = child.sibling) walk(child)
  }
  hook.onCommitFiberRoot = (_id, { current }) => walk(current)
  return {
    stop: () => {
      hook.onCommitFiberRoot = () => undefined
      return count
    },
  }
}
