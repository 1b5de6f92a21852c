import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import { evaluate, fieldAt, messageText, set, type Plan } from '@zesty/core'
import { compareRoutes } from '@zesty/core/compare'
import { cleanup, fireEvent, screen, within } from '@testing-library/react'
import type { ReactNode } from 'react'
import { CostChart } from '../src/stages/route/CostChart'
import { DcSheet } from '../src/stages/route/DcSheet'
import RouteStage from '../src/stages/route/Stage'
import { EvaluationScope } from '../src/state/evaluationScope'
import { api } from '../src/state/api'
import { store } from '../src/state/store'
import { CONVERSION, keeps, lathe, open, server, SHOP, show, type } from './page'

beforeEach(() => void server(keeps))
afterEach(() => {
  cleanup()
  store.dispatch(api.util.resetApiState())
})

const plain = (text: string | null | undefined) => (text ?? '').replace(/\s/g, ' ')
const compared = (plan: Plan) => compareRoutes(plan, evaluate(plan))

/** A sheet that shows figures of a comparison, as the stage puts it. */
function showCompared(plan: Plan, part: (routes: ReturnType<typeof compared>) => ReactNode) {
  const routes = compared(plan)
  show(<EvaluationScope value={routes}>{part(routes)}</EvaluationScope>, plan)
}

const route = (name: string) => {
  const item = screen.getByRole('heading', { level: 3, name }).closest('li')
  if (!item) throw new Error(`no route ${name}`)
  return item
}

const KIT = 'A complete pre-wired kit'
const EACH = 'A drive on each machine'
const STARTERS = 'One converter, plain starters'

describe('the routes compared', () => {
  test('stand in order, those that are not for this machine apart with the reason', () => {
    show(<RouteStage />, lathe())
    const { lines } = compared(lathe())
    const shown = within(screen.getByRole('region', { name: 'Compared' }))
      .getAllByRole('heading', { level: 3 })
      .map((h) => h.textContent)
    expect(shown).toEqual(lines.filter((l) => l.applies).map((l) => l.name))
    const apart = lines.filter((l) => !l.applies)
    expect(apart.length).toBeGreaterThan(0)
    for (const { name, why } of apart) expect(screen.getByText(`${name}.`).parentElement?.textContent).toContain(why)
  })
  test('tell price, amps and torque with their units', () => {
    show(<RouteStage />, lathe())
    const numbers = [...route(EACH).querySelectorAll(':scope > dl > div')].map((d) => plain(d.textContent))
    expect(numbers[0]).toMatch(/^Costs, this machine430/)
    expect(numbers[1]).toMatch(/^Costs, all 41 ?720/)
    expect(numbers[2]).toMatch(/^Wall, this machine14\.4 A/)
    expect(numbers[3]).toMatch(/^Torque, slowest job\d+(\.\d)? N m/)
  })
  test('do not make up a price that was not typed', () => {
    show(<RouteStage />, lathe(set('route.drivePrice', undefined)))
    expect(plain(route(EACH).querySelector('dd')?.textContent)).not.toMatch(/\d/)
  })
  test('say which job the torque is at, or what is wanted to know it', () => {
    show(<RouteStage />, lathe())
    expect(screen.getByText(/Torque is at the slowest job: Thread 2 mm pitch, 60 rpm, on C, back gear/)).toBeTruthy()
    cleanup()
    show(<RouteStage />, lathe(set('survey.jobs', [])))
    expect(screen.getByText(/Torque appears once a job, the belts, the motor and the drive are known/)).toBeTruthy()
  })
  test('one is chosen by a press, and left by another', () => {
    show(<RouteStage />, lathe(set('route.chosen', undefined)))
    fireEvent.click(within(route(KIT)).getByRole('button', { name: `${KIT}: choose` }))
    expect(open().plan.route.chosen).toBe('kit')
    expect(open().undo.map((step) => step.label)).toEqual([`Route: ${KIT}`])
    const pressed = within(route(KIT)).getByRole('button', { name: `${KIT}: chosen`, pressed: true })
    fireEvent.click(pressed)
    expect(open().plan.route.chosen).toBeUndefined()
  })
  test('name the work each asks, in order', () => {
    show(<RouteStage />, lathe())
    const line = compared(lathe()).lines.find((l) => l.name === STARTERS)
    const steps = [...route(STARTERS).querySelectorAll('ol li')].map((li) => li.textContent)
    expect(steps).toEqual(line?.work)
    expect(steps.length).toBeGreaterThan(2)
    expect(plain(route(STARTERS).textContent)).toContain('Idler of the converter')
    expect(plain(route(EACH).textContent)).not.toContain('Idler of the converter')
  })
})

describe('prices', () => {
  test('are taken as typed, and the comparison follows at once', () => {
    show(<RouteStage />, lathe())
    type('Drive all in, each', '500')
    expect(open().plan.route.drivePrice).toBe(500)
    expect(plain(route(EACH).querySelector('dd')?.textContent)).toMatch(/^500/)
  })
  test('that are none are refused at the field', () => {
    show(<RouteStage />, lathe())
    type('Drive all in, each', 'about four hundred')
    expect(open().plan.route.drivePrice).toBe(430)
    expect(screen.getByRole('alert').textContent).toBe('"about four hundred" is not a price.')
  })
})

describe('the other machines', () => {
  const others = () => within(screen.getByRole('region', { name: 'Other machines of the shop' }))
  const names = () => open().plan.route.machines.map((m) => m.name)
  test('are added, named, and taken away', () => {
    show(<RouteStage />, lathe(set('route.machines', [])))
    fireEvent.click(others().getByRole('button', { name: 'Add a machine' }))
    type(fieldAt('route.machines.0.name').label, ' Band saw ')
    type(fieldAt('route.machines.0.powerW').label, '1 hp')
    expect(names()).toEqual(['Band saw'])
    expect(open().plan.route.machines[0]?.powerW).toBeCloseTo(745.7, 1)
    fireEvent.click(others().getByRole('button', { name: 'Take Band saw away' }))
    expect(names()).toEqual([])
    expect(open().undo.map((step) => step.label)).toContain('Take Band saw away')
  })
  test('change what all of them cost', () => {
    show(<RouteStage />, lathe())
    const all = () => plain(route(EACH).querySelectorAll('dd')[1]?.textContent)
    const before = all()
    fireEvent.click(others().getByRole('button', { name: 'Take Gantry router away' }))
    expect([before, all()]).toEqual([expect.stringMatching(/^1 ?720/), expect.stringMatching(/^1 ?290/)])
  })
  test('are at most twenty', () => {
    const many = Array.from({ length: 20 }, (_, i) => ({ id: `m${i}`, name: `Machine ${i}` }))
    show(<RouteStage />, lathe(set('route.machines', many)))
    expect(others().getByRole('button', { name: 'Add a machine' })).toHaveProperty('disabled', true)
  })
  test('of the shop are offered, without this one and those already there', async () => {
    const stored = { revision: 1, savedAt: '2026-01-01T10:00:00Z' }
    const readable = (id: string, name: string, powerW?: number) => ({
      id,
      ...stored,
      name,
      ...(powerW === undefined ? {} : { powerW }),
      chain: [],
      stages: [],
      next: { kind: 'do', stage: 'settings', text: 'Print the card' },
      stops: 0,
      watches: 0,
    })
    const machines = [
      readable(CONVERSION, 'Gap-bed lathe', 1500),
      readable('00000000-0000-4000-8000-0000000000a1', 'Pillar drill', 750),
      { id: '00000000-0000-4000-8000-0000000000a2', ...stored, name: 'Old shaper', unreadable: 'motor.kind is steam' },
      readable('00000000-0000-4000-8000-0000000000a3', 'Turret mill', 1500),
    ]
    globalThis.fetch = jest.fn((request: { url: string }) => {
      const body = request.url.endsWith('/conversions')
        ? machines
        : { id: SHOP, name: 'Shed', units: 'metric', demo: false, createdAt: '2026-01-01T10:00:00Z' }
      return Promise.resolve(new Response(JSON.stringify(body), { headers: { 'content-type': 'application/json' } }))
    }) as unknown as typeof fetch
    show(<RouteStage />, lathe(set('route.machines', [{ id: 'mill', name: 'Turret mill' }])))
    fireEvent.click(await screen.findByRole('button', { name: /Take the shop’s other 2/ }))
    expect(open().plan.route.machines.map(({ name, powerW }) => [name, powerW])).toEqual([
      ['Turret mill', undefined],
      ['Pillar drill', 750],
      ['Old shaper', undefined],
    ])
    expect(screen.queryByRole('button', { name: /Take the shop’s other/ })).toBeNull()
  })
})

describe('a DC drive', () => {
  const plate = [set('route.dcPowerW', 2200), set('route.dcBaseRpm', 1150), set('route.dcTopRpm', 2300)] as const
  test('is compared once its plate is typed, not before', () => {
    showCompared(lathe(), (routes) => <DcSheet compared={routes} />)
    expect(screen.queryByRole('img', { name: /Torque over spindle speed/ })).toBeNull()
    cleanup()
    showCompared(lathe(...plate), (routes) => <DcSheet compared={routes} />)
    expect(screen.getByRole('img', { name: /Torque over spindle speed; the table below says the same/ })).toBeTruthy()
    expect(screen.getByText(/A lost field lets a DC motor run away: a field-loss trip is a must\./)).toBeTruthy()
  })
  test('has its torque told at four speeds for each way, and says where one does not reach', () => {
    showCompared(lathe(...plate), (routes) => <DcSheet compared={routes} />)
    const { dc } = compared(lathe(...plate))
    const rows = within(screen.getByRole('table', { name: '' }))
      .getAllByRole('row')
      .slice(1)
    expect(rows.map((r) => within(r).getByRole('rowheader').textContent)).toEqual(dc?.curves.map((w) => w.name))
    for (const row of rows)
      for (const cell of within(row).getAllByRole('cell'))
        expect(plain(cell.textContent)).toMatch(/^(out of reach|[\d.]+ N m)$/)
  })
  test('has each way’s worth told, alike in the list of routes and beside the others', () => {
    const plan = lathe(...plate)
    show(<RouteStage />, plan)
    const fixed = compared(plan).dcWays.find((w) => w.id === 'fixed-dc')
    const says = plain(messageText(fixed?.verdict.says ?? []))
    expect(says).toMatch(/\w/)
    expect(plain(route('A modern DC drive, field fixed').textContent)).toContain(says)
    cleanup()
    showCompared(plan, (routes) => <DcSheet compared={routes} />)
    const ways = within(screen.getByRole('list', { name: 'The ways, held against each other' }))
    expect(ways.getAllByRole('listitem').map((li) => within(li).getByRole('heading').textContent)).toEqual(
      compared(plan).dcWays.map((w) => w.name),
    )
    expect(plain(route('Modern DC drive, field fixed').textContent)).toContain(says)
  })
  test('has the energy of a reversal told for each way', () => {
    showCompared(lathe(...plate), (routes) => <DcSheet compared={routes} />)
    const { reversals } = compared(lathe(...plate))
    expect(reversals.length).toBeGreaterThan(0)
    for (const { says } of reversals) expect(screen.getByText(says)).toBeTruthy()
  })
})

describe('where one way becomes the cheaper', () => {
  test('is drawn once the prices are typed, and asks for them before', () => {
    showCompared(lathe(set('route.converterPrice', undefined)), (routes) => <CostChart compared={routes} />)
    expect(screen.queryByRole('img')).toBeNull()
    cleanup()
    showCompared(lathe(), (routes) => <CostChart compared={routes} />)
    expect(screen.getByRole('img')).toBeTruthy()
  })
})
