import type { WorkDrawing } from '../drawing/primitives'
import type { Facts } from '../facts/facts'
import { numberOf, type Figure } from '../facts/figure'
import type { FigureId } from '../facts/figureId'
import { guards, keepers, motorSeats, pulleyFits, type Plan, type PlanPath } from '../plan'
import { amount, message, type Message } from '../quantities'
import { beltTravel } from './beltTravel'
import { feetOf } from './feet'
import { pulleyFit, type PulleyFit } from './mountFit'
import { bracketHeight, webHeight } from './bracket'
import { mountDrawing } from './mountDrawing'

/** One thing to be made, moved or looked at, with its sizes. */
export interface MountTask {
  id: string
  says: Message
  /** Shown where the work is done. */
  caution?: string
  missing?: PlanPath
}

export interface Mount {
  tasks: MountTask[]
  fit: PulleyFit
  /** Press the middle of the span in by so much, with such a force. */
  press: { byMm: number; forceN: number } | undefined
  /** What is made between motor and machine, with its name. */
  made: { name: string; drawing: WorkDrawing } | undefined
}

/** What comes between motor and machine: the list, the fit of the pulley, the belt's tension, and the plate drawn. */
export function mountOf(facts: Facts, figures: Readonly<Partial<Record<FigureId, Figure>>>): Mount {
  const belt = facts.belts.find((b) => b.capacity !== undefined)
  const [byMm, forceN] = belt
    ? ([`${belt.id}.deflectionMm`, `${belt.id}.deflectionForceN`] as const).map((id) => figures[id]?.value)
    : []
  const fit = pulleyFit(facts)
  return {
    tasks: tasksOf(facts, fit),
    fit,
    press: byMm === undefined || forceN === undefined ? undefined : { byMm, forceN },
    made: mountDrawing(facts.plan),
  }
}

const length = (mm: number) => amount('length', mm)

function tasksOf(facts: Facts, fit: PulleyFit): MountTask[] {
  const { plan } = facts
  const { mount } = plan
  const { old, next } = feetOf(plan)
  const tasks: MountTask[] = []
  const add = (id: string, says: Message, more: Pick<MountTask, 'caution' | 'missing'> = {}) =>
    tasks.push({ id, says, ...more })
  if (mount.seat === undefined)
    add('seat', message`How the motor sits on the machine is not said yet.`, { missing: 'mount.seat' })
  else add('seat', message`${motorSeats[mount.seat]}.`)
  if (
    old.acrossMm !== undefined &&
    next.acrossMm !== undefined &&
    old.alongMm !== undefined &&
    next.alongMm !== undefined
  )
    add(
      'holes',
      Math.abs(old.acrossMm - next.acrossMm) < 0.5 && Math.abs(old.alongMm - next.alongMm) < 0.5
        ? message`The feet fit the old holes: ${length(next.acrossMm)} across, ${length(next.alongMm)} along.`
        : message`The feet want ${length(next.acrossMm)} across and ${length(next.alongMm)} along; the machine has ${length(old.acrossMm)} and ${length(old.alongMm)}: new slots, or a plate.`,
    )
  else
    add('holes', message`Whether its feet fit the old holes is not known.`, {
      missing: old.acrossMm === undefined ? 'mount.oldAcrossMm' : 'mount.acrossMm',
    })
  if (old.heightMm !== undefined && next.heightMm !== undefined) {
    const raise = old.heightMm - next.heightMm
    add(
      'height',
      Math.abs(raise) < 0.5
        ? message`Its shaft stands as high as the old one.`
        : raise > 0
          ? message`A riser of ${length(raise)} under its feet brings its shaft to the old height.`
          : message`Its shaft stands ${length(-raise)} higher than the old one: the plate lower by that, or another belt.`,
    )
  }
  if (mount.seat === 'bracket') bracketTask(plan, add)
  beltTasks(facts, add)
  travelTask(facts, add)
  fitTask(plan, fit, add)
  if (mount.rotorTurned === true)
    add(
      'rotor',
      mount.innerFan === true
        ? message`The rotor may not go in end for end: a fan inside or fins of one hand would blow the wrong way.`
        : message`The rotor goes in end for end: bearings stay on their ends, its fan on the side of the cowl.`,
      mount.innerFan === undefined ? { missing: 'mount.innerFan' } : {},
    )
  add(
    'bearings',
    message`Bearings: the outer ring slides into its housing by hand and does not turn in it; free by hand, silent; warm and no more after an hour.`,
  )
  add(
    'align',
    message`A straight edge over both pulleys touches at four places; within half a millimetre for each 100 mm of distance, and never over 2 mm.`,
  )
  add(
    'guard',
    mount.guard === undefined
      ? message`Whether a guard stands over belt and pulleys is not said.`
      : message`Guard over belt and pulleys: ${guards[mount.guard].toLowerCase()}.`,
    {
      ...(mount.guard === undefined ? { missing: 'mount.guard' as const } : {}),
      caution: 'A belt takes a sleeve and the hand with it: no run without its guard.',
    },
  )
  if (mount.keeper !== undefined) add('keeper', message`Belt keeper: ${keepers[mount.keeper].toLowerCase()}.`)
  return tasks
}

type Add = (id: string, says: Message, more?: Pick<MountTask, 'caution' | 'missing'>) => void

/** Its height and pieces, or what they wait for. */
function bracketTask(plan: Plan, add: Add): void {
  const [heightMm, webMm] = [bracketHeight(plan), webHeight(plan)]
  if (heightMm === undefined)
    add('bracket', message`How high the bracket stands is not known.`, { missing: 'mount.bracketMm' })
  else if (webMm === undefined)
    add('bracket', message`A bracket ${length(heightMm)} high; its pieces wait for how thick they are.`, {
      missing: 'mount.plateMm',
    })
  else if (webMm === 0)
    add('bracket', message`${length(heightMm)} is no higher than its two plates: a riser instead of a bracket.`)
  else
    add(
      'bracket',
      message`A bracket ${length(heightMm)} high: top, base and two webs of ${length(webMm)}; welded all round, or screwed and pinned.`,
      {
        caution:
          'A motor that shakes on its bracket throws the belt: no flat bar on edge, no single post without a web.',
      },
    )
}

/** The belt from motor to machine on each position: longer or shorter than what is there, and where it puts the shafts. */
function beltTasks(facts: Facts, add: Add): void {
  for (const { id, name, stage, geometry } of facts.belts) {
    if (!geometry) continue
    const [lengthMm, stockMm, stockCentreMm] = [geometry.lengthMm, geometry.stockMm, geometry.stockCentreMm].map(
      numberOf,
    )
    const has = stage.beltMm !== undefined || stage.outsideMm !== undefined
    if (geometry.impossible === 'short')
      add(`belt-${id}`, message`${name}: the belt that is there is too short for these pulleys: a longer one.`)
    else if (geometry.impossible === 'overlap')
      add(
        `belt-${id}`,
        message`${name}: the pulleys overlap at this distance: the motor farther off, and a longer belt.`,
      )
    else if (!has && lengthMm !== undefined)
      add(
        `belt-${id}`,
        stockMm === undefined || stockCentreMm === undefined
          ? message`${name}: a belt of ${length(lengthMm)} pitch length.`
          : message`${name}: a belt of ${length(lengthMm)} pitch length; from stock ${length(stockMm)}, with ${length(stockCentreMm)} between the shafts.`,
      )
  }
}

/** The way that the motor must be able to go for the belt, and what the terminal box takes of it. */
function travelTask(facts: Facts, add: Add): void {
  const travel = beltTravel(facts)
  if (!travel) return
  const { nearestMm: nearest, farthestMm: farthest, wantsMm: wants, hasMm: has } = travel
  if (has === undefined)
    add(
      'travel',
      message`The belt wants ${length(wants)} of travel, from ${length(nearest)} to ${length(farthest)} between the shafts.`,
      { missing: 'mount.travelMm' },
    )
  else
    add(
      'travel',
      has >= wants
        ? message`Travel ${length(has)}; the belt wants ${length(wants)}.`
        : message`Only ${length(has)} of travel is left; the belt wants ${length(wants)}: longer slots, the box turned, or a longer belt.`,
    )
}

function fitTask(plan: Plan, fit: PulleyFit, add: Add): void {
  const { mount } = plan
  if (mount.fit === undefined) {
    add('fit', message`How the pulley holds on the shaft is not said yet.`, { missing: 'mount.fit' })
    return
  }
  const words = pulleyFits[mount.fit]
  const [waits] = fit.missing
  if (fit.refused !== undefined) {
    add('fit', message`${words}: no. ${fit.refused}.`)
    return
  }
  if (waits !== undefined) {
    add('fit', message`${words}: its numbers wait for what is measured.`, { missing: waits })
    return
  }
  const holds =
    fit.holdsNm === undefined
      ? message``
      : message` The fit holds ${amount('torque', fit.holdsNm)} by itself${fit.asksNm === undefined ? '' : message`; a start may ask ${amount('torque', fit.asksNm)}`}.`
  switch (mount.fit) {
    case 'press':
      add(
        'fit',
        message`${words}: ${fit.forceN === undefined ? 'how hard wants the hub’s size' : message`about ${amount('force', fit.forceN)} at the end of the stroke`}.${holds}`,
        {
          caution:
            'Press on the inner ring and the hub, never through the motor’s bearings: its shaft stands on its other end.',
        },
      )
      break
    case 'shrink':
      add(
        'fit',
        message`${words}: to ${amount('temperature', fit.heatC ?? 0)}, at most ${amount('temperature', fit.hottestC ?? 0)}, measured; then on in one move.${holds}`,
        {
          caution:
            'Gloves and glasses; an oven or a hot plate, never a flame: it cracks iron and takes the temper from steel.',
        },
      )
      break
    case 'sleeve':
      add(
        'fit',
        message`${words}: a sleeve of steel, its wall three millimetres or more, its keyway not over the hub’s.`,
      )
      break
    case 'slide':
      add(
        'fit',
        message`${words}: it slides on by hand, the key tight in both, the screw over the key with a drop of locking fluid.`,
      )
  }
}
