import { card } from '../card/cardOf'
import { jumperPositions } from '../card/jumperPositions'
import { steps } from '../card/steps'
import { commandedOf } from '../commanded/commandedOf'
import { compareRoutes } from '../compare/compareRoutes'
import { judgedPart } from '../conversion/conversion'
import { part } from '../conversion/known'
import { mount } from '../conversion/mount'
import { runIn } from '../conversion/runIn'
import { dialChart } from '../dial/dialChart'
import { dial } from '../dial/dialOf'
import { dialPlate } from '../dial/dialPlate'
import type { Part } from '../graph/graph'
import { beltHumOf } from '../mount/mountFit'
import { sheets } from '../schematic/sheets'
import type { StageId } from '../stages/stages'

/** What stages show beside the evaluation, by name: each is plain data, so that it can be sent and shown where nothing is loaded that makes it. */
export const shownParts = {
  card,
  steps,
  sheets,
  runIn,
  mount,
  dial,
  jumpers: jumperPositions,
  wiring: part('wiring shown', ({ facts }) => facts.wiring.wiring),
  commanded: part('commanded', ({ facts }) => commandedOf(facts)),
  /** Nothing where section, distance or tension of the belt is not known. */
  hum: part('hum', ({ facts }) => beltHumOf(facts)),
  plate: part('plate', ({ facts }) => dialPlate(facts)),
  oldPlate: part('oldPlate', ({ facts }) => dialChart(facts)),
  routes: judgedPart('routes', ({ plan, evaluation }) => compareRoutes(plan, evaluation)),
}

export type ShownParts = {
  [N in keyof typeof shownParts]: (typeof shownParts)[N] extends Part<infer T> ? T : never
}
export type ShownPart = keyof ShownParts

/** What each stage shows at once. */
export const partsOfStage: Readonly<Partial<Record<StageId, readonly ShownPart[]>>> = {
  route: ['routes'],
  speeds: ['commanded'],
  wiring: ['wiring', 'sheets', 'steps'],
  settings: ['card', 'jumpers', 'commanded'],
  'run-in': ['runIn', 'mount', 'hum'],
  dial: ['dial', 'plate', 'oldPlate'],
  log: ['wiring', 'steps', 'runIn'],
}
