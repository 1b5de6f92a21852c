import { jest } from '@jest/globals'
import { applyPatch, emptyPlan, evaluate, readConversionFile, set, type Patch, type Plan } from '@zesty/core'
import { nothingMeasured } from '@zesty/core/measurements'
import { type KeptConversion, type Shop } from '@zesty/core/http'
import { describeRule, rules, type Rule } from '@zesty/core/rules'
import { fireEvent, render, screen } from '@testing-library/react'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { ReactNode } from 'react'
import { Provider } from 'react-redux'
import { MemoryRouter, Route, Routes } from 'react-router'
import { fetchJudge } from '../src/state/judging'
import { store } from '../src/state/store'
import { UnitsOfShop } from '../src/state/UnitsOfShop'
import { closed, opened, type OpenPlan } from '../src/state/planSlice'

/** Ids as the server gives them. */
export const CONVERSION = '00000000-0000-4000-8000-00000000000c'
export const SHOP = '00000000-0000-4000-8000-000000000005'

/** An error as the server answers it. */
export const problem = (status: number, detail: string, more = {}) => ({
  status,
  body: { type: 'about:blank', title: 'Refused', status, detail, ...more },
})

/** A save as the page sent it. */
export interface Sent {
  baseRevision: number
  plan: Plan
}

interface Reply {
  status: number
  body: unknown
  headers?: Record<string, string>
}

const shop: Shop = { id: SHOP, name: 'Shed', units: 'metric', demo: false, createdAt: '2026-01-01T10:00:00Z' }

export type Answer = (sent: Sent) => Reply | Error | Promise<Reply | Error>

const sent: Sent[] = []

/** Answers every save as `answer` says, rules unless told not to, and the shop as a metric one. Returns what is sent, as it comes. */
export function server(answer: Answer, tellsRules = true): Sent[] {
  sent.length = 0
  const reply = (status: number, body: unknown, headers = {}) =>
    new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json', ...headers } })
  globalThis.fetch = jest.fn(async (request: string | { url: string }, init?: { method?: string; body?: string }) => {
    const url = typeof request === 'string' ? request : request.url
    const asked = /\/rules\/(.+)$/.exec(url)?.[1]
    if (asked !== undefined) return tellsRules ? reply(200, describeRule(ruleOf(asked))) : reply(503, { status: 503 })
    if (init?.method !== 'PUT' && init?.method !== 'PATCH') return reply(200, shop)
    const body = JSON.parse(init.body ?? '') as Sent & { changes?: Patch }
    // What a server makes of changes: the plan that it kept, with them.
    const { baseRevision, changes, plan } = body
    const save = { baseRevision, plan: changes ? applyPatch(open().keptPlan, changes) : plan }
    sent.push(save)
    const result = await answer(save)
    if (result instanceof Error) throw result
    return reply(result.status, result.body, result.headers)
  }) as unknown as typeof fetch
  return sent
}

function ruleOf(id: string): Rule {
  const rule = rules.get(id)
  if (!rule) throw new Error(`no rule ${id}`)
  return rule
}

export const conversion = (plan: Plan, revision = 1): KeptConversion => ({
  id: CONVERSION,
  shopId: SHOP,
  revision,
  plan,
  savedAt: '2026-01-01T10:00:00Z',
})

/** The judge is at hand, as after a first touch. */
await store.dispatch(fetchJudge())

/** A server that keeps everything. */
export const keeps: Answer = ({ baseRevision, plan }) => ({ status: 200, body: conversion(plan, baseRevision + 1) })

export const open = (): OpenPlan => {
  const { open: now } = store.getState().plan
  if (!now) throw new Error('nothing is open')
  return now
}

/** A plan as the server gives it to be opened. */
export const judged = (plan: Plan) => ({
  conversion: conversion(plan),
  measured: nothingMeasured,
  evaluation: evaluate(plan),
})

export const openWith = (plan: Plan) => void store.dispatch(opened(judged(plan)))

/** Opens a plan and shows a part of the page on it. */
export function show(part: ReactNode, plan: Plan = emptyPlan('Lathe')) {
  localStorage.clear()
  sessionStorage.clear()
  store.dispatch(closed())
  openWith(plan)
  return render(
    <Provider store={store}>
      <MemoryRouter initialEntries={['/conversions/c/motor']}>
        <Routes>
          <Route path="/conversions/:id/:stage" element={<UnitsOfShop shopId={SHOP}>{part}</UnitsOfShop>} />
        </Routes>
      </MemoryRouter>
    </Provider>,
  )
}

/** A conversion of the first demo shop, changed. */
export function demoPlan(name: string, ...patch: Patch): Plan {
  const file = join(import.meta.dirname, '../../demo/1-saltpan-row', `${name}.json`)
  const read = readConversionFile(JSON.parse(readFileSync(file, 'utf8')))
  if (!read.ok) throw new Error(read.faults.map(({ field, message }) => `${field} ${message}`).join('; '))
  return applyPatch(read.value.plan, patch)
}

/** The lathe linked for its wall, nothing read in its drive yet. */
export const lathe = (...patch: Patch): Plan =>
  demoPlan('gap-bed-lathe', set('motor.connection', 'delta'), set('settings.inDrive', {}), ...patch)

/** Types into a field and leaves it. */
export function type(label: string, text: string): HTMLElement {
  const field = screen.getByLabelText(label)
  fireEvent.focus(field)
  fireEvent.change(field, { target: { value: text } })
  fireEvent.blur(field)
  return field
}

/** Chooses from a list by the words shown. */
export function pick(label: string, words: string): void {
  const list = screen.getByLabelText<HTMLSelectElement>(label)
  const option = [...list.options].find((o) => o.text === words)
  if (!option) throw new Error(`${label} has no ${words}, only ${[...list.options].map((o) => o.text).join(', ')}`)
  fireEvent.change(list, { target: { value: option.value } })
}
