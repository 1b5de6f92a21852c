// @ts-check
// The runner sets these before it loads a test.
const { describe, expect, it, test, beforeAll, beforeEach, afterAll, afterEach, jest } = /** @type {any} */ (globalThis)
export { describe, expect, it, test, beforeAll, beforeEach, afterAll, afterEach, jest }
