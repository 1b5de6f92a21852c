/** Tells what waits to be seen that it is about to be printed. */
export const SHOW_ALL = 'zesty-show-all'

/** The longest that sections still on their way are waited for, ms. */
const PATIENCE_MS = 6000
const LOOK_MS = 60

/** Whether a part of the stage has not come yet. */
export const isWaiting = (): boolean => document.querySelector('[data-waiting]') !== null

/** Prints the open stage whole, also what nobody scrolled to; or, of a stage that has cards for the machine, those alone. */
export async function printStage({ cardsOnly = false } = {}): Promise<void> {
  window.dispatchEvent(new Event(SHOW_ALL))
  const until = performance.now() + PATIENCE_MS
  do await new Promise((resolve) => setTimeout(resolve, LOOK_MS))
  while (isWaiting() && performance.now() < until)
  document.body.classList.toggle('cards-only', cardsOnly)
  window.print()
  document.body.classList.remove('cards-only')
}
