// @ts-check
const globals = new URL('./globals.mjs', import.meta.url).href

/** @type {import('node:module').ResolveHook} */
export const resolve = (specifier, context, next) =>
  specifier === '@jest/globals' ? { url: globals, shortCircuit: true } : next(specifier, context)
