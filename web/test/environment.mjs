// @ts-check
import { TestEnvironment } from 'jest-environment-jsdom'

/** Enough of a request for what the page asks of it; jsdom brings none. */
class PlainRequest {
  /** @param {string} url @param {object} init */
  constructor(url, init) {
    this.url = url
    this.method = 'GET'
    Object.assign(this, init)
  }
  clone() {
    return this
  }
}

/** An observer that never reports: nothing is laid out here. */
class SilentObserver {
  observe() {}
  unobserve() {}
  disconnect() {}
}

/** jsdom with the few browser parts that it lacks and the page uses. */
export default class PageEnvironment extends TestEnvironment {
  async setup() {
    await super.setup()
    Object.assign(this.global, {
      fetch: () => Promise.reject(new TypeError('no server in this test')),
      Request: PlainRequest,
      Response,
      Headers,
      TextEncoder,
      TextDecoder,
      structuredClone,
      ResizeObserver: SilentObserver,
      IntersectionObserver: SilentObserver,
      // React looks for it as it is loaded; who counts what is rendered listens by it.
      __REACT_DEVTOOLS_GLOBAL_HOOK__: {
        supportsFiber: true,
        inject: () => 1,
        onCommitFiberRoot() {},
        onCommitFiberUnmount() {},
      },
    })
    Object.assign(this.global.Element.prototype, { scrollIntoView() {}, hasPointerCapture: () => false })
  }
}
