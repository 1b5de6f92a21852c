// @ts-check
import { Buffer } from 'node:buffer'
import { performance } from 'node:perf_hooks'
import { longestWait } from './longestWait.mjs'

/** @typedef {{name: string, measured: string, budget: string, met: boolean, ms?: number}} Line */

const PHOTOS = 300
/** As many bytes as so many photos of one machine may have. */
const PHOTO_BYTES = 78_000
/** A JPEG of one grey point, as small as they come; what stands behind its end nobody reads. */
const POINT =
  '/9j/4AAQSkZJRgABAQEASABIAAD/2wBDAP//////////////////////////////////////////////////////////////////////////////////////wAALCAABAAEBAREA/8QAFAABAAAAAAAAAAAAAAAAAAAAA//EABQQAQAAAAAAAAAAAAAAAAAAAAD/2gAIAQEAAD8AN//Z'

/** @param {string} url @param {RequestInit} [init] */
async function fetched(url, init) {
  const answer = await fetch(url, init)
  const bytes = await answer.arrayBuffer()
  if (!answer.ok) throw new Error(`${url} was answered ${answer.status}`)
  return bytes.byteLength
}

/** As it is opened after a change: nothing that was said of it holds. @param {string} at @returns {Promise<Line>} */
async function firstOpened(at) {
  const times = []
  for (let n = 0; n < 5; n += 1) {
    const { revision } = /** @type {{revision: number}} */ (await (await fetch(at)).json())
    await fetched(at, {
      method: 'PATCH',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ baseRevision: revision, changes: [{ path: 'motor.powerW', value: 1400 + n }] }),
    })
    const began = performance.now()
    await fetched(`${at}/judged?stage=settings`)
    times.push(performance.now() - began)
  }
  const ms = times.sort((a, b) => a - b)[2] ?? NaN
  return { name: '', measured: `${ms.toFixed(0)} ms`, budget: 'under 120 ms', met: ms < 120, ms }
}

/**
 * A machine with thousands of readings and hundreds of photos, as its owner works with it: papers, the ZIP, lists.
 * @param {string} url @param {string} id a conversion that has its readings already @returns {Promise<Line[]>}
 */
export async function fullMachineLines(url, id) {
  const at = `${url}/api/conversions/${id}`
  const jpeg = Buffer.concat([Buffer.from(POINT, 'base64'), Buffer.alloc(PHOTO_BYTES - 250)]).toString('base64')
  for (let n = 0; n < PHOTOS; n += 1)
    await fetched(`${at}/photos`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        id: `5a7e4f0e-3a54-4d5b-9a3e-${String(n).padStart(12, '0')}`,
        ...{
          of: 'found',
          note: `photo ${n}`,
          widthPx: 1600,
          heightPx: 1200,
          takenAt: '2026-03-01T10:00:00.000Z',
          jpeg,
        },
      }),
    })
  /** @param {string} name @param {string} path @param {number} most ms @returns {Promise<Line>} */
  const timed = async (name, path, most) => {
    const times = []
    let bytes = 0
    for (let n = 0; n < 5; n += 1) {
      const began = performance.now()
      bytes = await fetched(`${at}/${path}`)
      times.push(performance.now() - began)
    }
    const ms = times.sort((a, b) => a - b)[2] ?? NaN
    return {
      name: `${name} (${Math.round(bytes / 1000)} kB)`,
      measured: `${ms.toFixed(0)} ms`,
      budget: `under ${most} ms`,
      met: ms < most,
      ms,
    }
  }
  const wait = await longestWait(url, () => fetched(`${at}/papers/bench/a4`))
  return [
    await timed(`list of ${PHOTOS} photos`, 'photos', 50),
    { ...(await firstOpened(at)), name: 'opened and judged, not kept' },
    await timed('opened and judged, kept', 'judged?stage=settings', 40),
    await timed('paper for the bench, PDF', 'papers/bench/a4', 3000),
    await timed('help sheet with photos, PDF', 'papers/help/a4', 3000),
    await timed('everything as one ZIP', 'whole', 3000),
    {
      name: 'longest wait of others while a paper is made',
      measured: `${wait.toFixed(0)} ms`,
      budget: 'under 50 ms',
      met: wait < 50,
      ms: wait,
    },
  ]
}
