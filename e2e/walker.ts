import type { Page } from '@playwright/test'
import { expect } from './shopFixture'

/** What a person knows of a machine: by field, what is typed or pressed; where several presses are needed, what is done. */
export type Known = Record<string, string | ((walker: Walker) => Promise<void>)>

/** Longer than any walk should be. */
const PATIENCE = 120

/** Goes through a conversion by Next alone, as somebody who knows the machine and not the product. Every press and every field counts. */
export class Walker {
  actions = 0
  readonly log: string[] = []
  /** Where each press on Next put the caret. */
  readonly led: string[] = []
  private readonly told = new Set<string>()

  constructor(
    readonly page: Page,
    private readonly known: Known,
  ) {}

  private get next() {
    // On the route card, or beside the folded chain.
    return this.page.locator('button[data-kind]').filter({ visible: true })
  }

  async press(what: string): Promise<void> {
    this.count(`press ${what}`)
    await this.page.getByRole('button', { name: what }).first().click()
  }

  async fill(label: string | RegExp, text: string): Promise<void> {
    this.count(`type ${text}`)
    const field = this.page.getByLabel(label).first()
    await field.fill(text)
    await field.press('Enter')
  }

  async choose(label: string, option: string): Promise<void> {
    this.count(`choose ${option}`)
    await this.page.getByLabel(label, { exact: true }).first().selectOption(option)
  }

  count(what: string): void {
    this.actions += 1
    this.log.push(`${this.actions}. ${what}`)
  }

  /** Types, presses or chooses in a field of the plan. */
  private async answer(path: string, value: string): Promise<void> {
    this.count(`${path}: ${value}`)
    const place = this.page.locator(`[data-path~="${path}"]`).first()
    await expect(place, path).toBeVisible()
    const tag = await place.evaluate((el) => el.tagName)
    if (tag === 'SELECT') await place.selectOption(value)
    else if (tag === 'INPUT') {
      await place.fill(value)
      await place.press('Enter')
    } else await place.getByText(value, { exact: true }).click()
  }

  /** Something typed before may have told it already. */
  private async isHeld(path: string): Promise<boolean> {
    const place = this.page.locator(`[data-path~="${path}"]`).first()
    await expect(place, path).toBeVisible()
    return place.evaluate((el) =>
      el instanceof HTMLInputElement || el instanceof HTMLSelectElement
        ? el.value !== ''
        : el.querySelector('[data-state=on]') !== null,
    )
  }

  private async kind(): Promise<string | null> {
    return this.next.getAttribute('data-kind')
  }

  /** Until there is a first verdict: the five-minute path is gone. */
  async toFirstVerdict(): Promise<number> {
    const path = this.page.getByRole('heading', { name: 'Five minutes to a first verdict' })
    await expect(path).toBeVisible()
    for (let turn = 0; turn < PATIENCE && (await path.isVisible()); turn += 1) await this.turn()
    await expect(path, this.log.join('\n')).toHaveCount(0)
    return this.actions
  }

  /** Until nothing that is due is asked; what then stands first is something to watch or work to be done. */
  async toNothingAsked(): Promise<number> {
    for (let turn = 0; turn < PATIENCE && /ask|stop/.test((await this.kind()) ?? ''); turn += 1) await this.turn()
    expect(await this.kind(), this.log.join('\n')).toMatch(/watch|do/)
    return this.actions
  }

  /** One press on Next, and what it asks, as far as it is known. */
  private async turn(): Promise<void> {
    const asks = ((await this.next.getAttribute('data-asks')) ?? '').split(' ')
    this.count(`Next: ${(await this.next.textContent()) ?? ''}`)
    const isStop = (await this.kind()) === 'stop'
    await this.next.click()
    // It is looked at, and passed by: what it wants is asked anyway, or somebody must do it.
    if (isStop) return
    // The caret stands in a field that was asked for.
    const at = () =>
      this.page.evaluate(() => document.activeElement?.closest<HTMLElement>('[data-path]')?.dataset['path'] ?? '')
    await expect
      .poll(async () => (await at()).split(' ').some((path) => asks.includes(path)), asks.join(' '))
      .toBe(true)
    this.led.push(await at())
    for (const path of asks) {
      const known = this.known[path]
      if (known === undefined || this.told.has(path)) continue
      this.told.add(path)
      if (typeof known !== 'string') await known(this)
      else if (!(await this.isHeld(path))) await this.answer(path, known)
      await this.page.waitForTimeout(60)
    }
  }
}

/** The whole plate at once, as it is stamped. */
export const plate =
  (text: string) =>
  async (w: Walker): Promise<void> => {
    await w.fill(/^The plate, line by line/, text)
    await w.press('Put this on the plate')
  }
/** A drive of the shop's library. */
export const fromLibrary =
  (name: string) =>
  async (w: Walker): Promise<void> => {
    await w.press('Pick a drive')
    await w.press(`Take ${name}`)
  }
/** The pulleys of one belt. */
export const oneBelt =
  (driving: string, driven: string) =>
  async (w: Walker): Promise<void> => {
    await w.press('Add the first belt position')
    await w.fill('Driving', driving)
    await w.fill('Driven', driven)
  }
/** Something that spins, by its size. */
export const spinning =
  (diameter: string, width: string) =>
  async (w: Walker): Promise<void> => {
    await w.press('Add a chuck, wheel or cutter')
    await w.fill('Diameter', diameter)
    await w.fill('Width', width)
  }
