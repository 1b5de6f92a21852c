import { rampPeak } from '../facts/drive/rampPeak'
import type { Facts } from '../facts/facts'
import type { BeltFacts } from '../facts/belts/beltFacts'
import { numberOf } from '../facts/figure'
import type { FigureId } from '../facts/figureId'
import { nextStockPulleys } from '../facts/belts/nextStockPulleys'
import { rampsAtMushroom, set, type TransmissionStage } from '../plan'
import { amount, newtonMetres, message, seconds } from '../quantities'
import { angularSpeed } from '../drivetrain/angularSpeed'
import { START } from '../facts/belts/beltCapacity'
import { actingValue } from '../facts/settings/settingsFacts'
import { doesNotApply, ended, good, lacks } from './answer'
import { ofEachBelt, waiting } from './beltFindings'
import { toothNoise } from './toothNoise'
import { judgement, type Answer, type Remedy } from './finding'

const watts = (value: number) => amount('power', value)
const newtons = (value: number) => amount('force', value)
const mm = (value: number) => amount('length', value)

/** Pull at rest over what is wanted, from which bearings suffer. */
const TOO_TIGHT = 2
/** On the small pulley of a timing belt. */
const TEETH_WANTED = 6

/** Whether the belts bear and hold what the motor gives. */
export const beltLoadFindings = [
  judgement(
    {
      id: 'belts.too-weak',
      asks: 'Belt against the motor’s power',
      stage: 'survey',
      chainLink: 'belts',
      by: 'on-machine',
    },
    (facts) =>
      ofEachBelt(
        facts,
        'section',
        (belt, about) => {
          const { capacity, stage, name, id, path } = belt
          if (!capacity) return borne(belt, about)
          const [wanted, each] = [capacity.beltsWanted, capacity.beltW].map(numberOf)
          if (wanted === undefined || each === undefined)
            return waiting(about, `${path}.section`, capacity.beltsWanted, capacity.beltW)
          if (stage.belts === undefined) return { ...lacks(`${path}.belts`), about }
          const figures: FigureId[] = [`${id}.beltsWanted`, `${id}.beltW`]
          if (wanted <= stage.belts)
            return good(
              message`${stage.belts === 1 ? 'One belt bears' : `${stage.belts} belts bear`} about ${watts(each * stage.belts)} at rated speed.`,
              { about, figures },
            )
          return {
            severity: 'watch',
            about,
            title: message`The belt of ${name} is weak for this motor`,
            says: message`${stage.belts === 1 ? 'One belt bears' : `${stage.belts} belts bear`} about ${watts(each * stage.belts)} at rated speed; the motor would want ${wanted} side by side.`,
            why: 'It slips at full load, heats and wears out in months. Larger pulleys in the same ratio make it stronger: the pull is less and the bend is gentler.',
            remedies: largerPulleys(belt),
            figures,
            path: `${path}.belts`,
          }
        },
        noTiming,
      ),
  ),

  judgement(
    { id: 'belts.slips-at-start', asks: 'Belt’s grip at a start', stage: 'survey', chainLink: 'belts', by: 'in-use' },
    (facts) =>
      ofEachBelt(
        facts,
        'deflectionForceN',
        (belt, about) => {
          const { capacity, name, id, path } = belt
          if (!capacity) return borne(belt, about)
          const { slipsNm, foundN, startNm, staticTensionN } = capacity
          const [slips, found, start, wanted] = [slipsNm, foundN, startNm, staticTensionN].map(numberOf)
          if (slips === undefined || found === undefined || start === undefined || wanted === undefined)
            return waiting(about, `${path}.deflectionForceN`, slipsNm, foundN, startNm, staticTensionN)
          const figures: FigureId[] = [`${id}.slipsNm`, `${id}.startNm`, `${id}.staticTensionN`]
          if (slips >= start)
            return good(message`It holds ${newtonMetres(slips)}; a start can ask ${newtonMetres(start)}.`, {
              about,
              figures,
            })
          return {
            severity: 'watch',
            about,
            title: message`The belt of ${name} slips at a start`,
            says: message`As tight as it is, it holds ${newtonMetres(slips)} on the small pulley; a start can ask ${newtonMetres(start)}. It has ${newtons(found)} a side at rest and wants ${newtons(wanted)}.`,
            why: 'It squeals, polishes its flanks and throws off. Tighten it, or give the start a longer ramp.',
            figures,
            path: `${path}.deflectionForceN`,
          }
        },
        noTiming,
      ),
  ),

  judgement(
    { id: 'belts.slips-in-stop', asks: 'Belt’s grip in a stop', stage: 'survey', chainLink: 'belts', by: 'in-use' },
    (facts) => {
      const mode = actingValue(facts.settings.lines, 'stopMode')
      if (mode === undefined) return lacks('settings.chosen.stopMode')
      if (mode === 'coast' && quickestStop(facts) === undefined) return doesNotApply('It coasts to a stop')
      if (mode === 'dc-brake') return ended('How hard DC injection brakes is not known: watch the belt at run-in')
      return ofEachBelt(
        facts,
        'deflectionForceN',
        (belt, about) => {
          const { capacity, name, id, path } = belt
          if (!capacity) return borne(belt, about)
          const asked = askedInStop(facts, belt, numberOf(capacity.startNm))
          const slips = numberOf(capacity.slipsNm)
          if (slips === undefined || asked === undefined)
            return waiting(
              about,
              slips === undefined ? `${path}.deflectionForceN` : 'survey.holders',
              capacity.slipsNm,
              capacity.startNm,
              facts.stop.inertia,
              facts.settings.decelerationS,
            )
          const figures: FigureId[] = [`${id}.slipsNm`, 'stop.inertia']
          if (slips >= asked)
            return good(message`It holds ${newtonMetres(slips)}; the stop asks ${newtonMetres(asked)}.`, {
              about,
              figures,
            })
          const quickest = quickestStop(facts)
          const longer = Math.ceil(((quickest?.seconds ?? 0) * asked * 1.1) / slips)
          return {
            severity: 'watch',
            about,
            title: message`The belt of ${name} slips in ${quickest?.emergency ? 'the emergency stop' : 'a stop'}`,
            says: message`As tight as it is, it holds ${newtonMetres(slips)} on the small pulley; the stop asks ${newtonMetres(asked)}.`,
            why: 'The spindle runs on behind the motor, and the flanks are polished. Tighten it, or give the stop a longer ramp.',
            remedies: [
              quickest?.emergency
                ? {
                    label: message`Set the quick ramp to ${seconds(longer)}`,
                    patch: [set('controls.quickRampS', longer)],
                    step: true,
                  }
                : {
                    label: message`Set deceleration to ${seconds(longer)}`,
                    patch: [
                      set('settings.chosen.decelerationS', longer),
                      set('settings.inDrive.decelerationS', undefined),
                    ],
                  },
            ],
            figures,
            path: `${path}.deflectionForceN`,
          }
        },
        noTiming,
      )
    },
  ),

  judgement(
    {
      id: 'belts.too-tight',
      asks: 'Belt tension against its bearings',
      stage: 'survey',
      chainLink: 'belts',
      by: 'in-use',
    },
    (facts) =>
      ofEachBelt(
        facts,
        'deflectionForceN',
        (belt, about) => {
          const { capacity, name, id, path } = belt
          if (!capacity) return borne(belt, about)
          const [found, wanted] = [capacity.foundN, capacity.staticTensionN].map(numberOf)
          if (found === undefined || wanted === undefined)
            return waiting(about, `${path}.deflectionForceN`, capacity.foundN, capacity.staticTensionN)
          const figures: FigureId[] = [`${id}.foundN`, `${id}.staticTensionN`]
          if (found <= TOO_TIGHT * wanted)
            return good(message`${newtons(found)} a side at rest where ${newtons(wanted)} hold a start.`, {
              about,
              figures,
            })
          return {
            severity: 'watch',
            about,
            title: message`The belt of ${name} is too tight`,
            says: message`${newtons(found)} a side at rest; ${newtons(wanted)} hold a start.`,
            why: 'It whines, and wears out bearings that nobody meant to change.',
            figures,
            path: `${path}.deflectionForceN`,
          }
        },
        noTiming,
      ),
  ),

  judgement(
    { id: 'belts.teeth-in-mesh', asks: 'Teeth in mesh', stage: 'survey', chainLink: 'belts', by: 'on-machine' },
    (facts) =>
      ofEachBelt(
        facts,
        'section',
        ({ geometry, name, id, path, pulleys, stage }, about) => {
          const inMesh = geometry?.teethInMesh && numberOf(geometry.teethInMesh)
          if (inMesh === undefined)
            return waiting(
              about,
              stage.section === undefined ? `${path}.section` : `${path}.centreMm`,
              geometry?.teethInMesh,
            )
          if (inMesh >= TEETH_WANTED)
            return good(message`${inMesh} in mesh; six are wanted.`, { about, figures: [`${id}.inMesh`] })
          return {
            severity: 'watch',
            about,
            title: message`Few teeth hold the timing belt of ${name}`,
            says: message`${inMesh} in mesh on the small pulley; six are wanted.`,
            why: 'It jumps under load, and jumping strips it.',
            figures: [`${id}.inMesh`],
            path: pulleys.smallPath,
          }
        },
        onlyTiming,
      ),
  ),

  judgement(
    { id: 'belts.tooth-noise', asks: 'Whine of a toothed belt', stage: 'survey', chainLink: 'belts', by: 'in-use' },
    (facts) => ofEachBelt(facts, 'section', (belt, about) => toothNoise(facts, belt, about), onlyTiming),
  ),
]

/** The quickest ramp there is: that of STOP, or that of a mushroom that ramps. */
function quickestStop({ plan, settings }: Facts): { seconds: number; emergency: boolean } | undefined {
  const byStop = actingValue(settings.lines, 'stopMode') === 'ramp' ? numberOf(settings.decelerationS) : undefined
  const { emergencyStop, quickRampS } = plan.controls
  if (rampsAtMushroom(emergencyStop) && quickRampS !== undefined && quickRampS < (byStop ?? Infinity))
    return { seconds: quickRampS, emergency: true }
  return byStop === undefined ? undefined : { seconds: byStop, emergency: false }
}

/** Torque on a belt's small pulley in the stop that is set: what the train carries of it, beside that of a start. */
function askedInStop(facts: Facts, { id }: BeltFacts, startNm: number | undefined): number | undefined {
  const { plan, stop, speeds } = facts
  const position = speeds.positions.find((p) => id.startsWith(`position.${p.position.id}.belt`))
  const load = numberOf(stop.load)
  const [topRpm, ratedNm] = [position?.unloadedTopRpm, position?.torqueNm].map((f) => f && numberOf(f))
  const stopSeconds = quickestStop(facts)?.seconds
  if (load === undefined || !topRpm || !ratedNm || !stopSeconds || startNm === undefined) return undefined
  const rounded = rampPeak(plan)
  const brakingNm = Math.max(
    0,
    (rounded * load * angularSpeed(topRpm)) / stopSeconds - (numberOf(stop.frictionNm) ?? 0),
  )
  return (startNm / START) * (brakingNm / ratedNm)
}

const noTiming = ({ kind }: TransmissionStage) =>
  kind === 'timing-belt' ? 'What a timing belt bears and how tight it stands is its maker’s' : undefined
const onlyTiming = ({ kind }: TransmissionStage) => (kind === 'timing-belt' ? undefined : 'It has no teeth')

/** What is asked of a belt before anything is known of what it bears. */
const borne = ({ stage, path }: BeltFacts, about: string): Answer => ({
  ...lacks(stage.section === undefined ? `${path}.section` : `${path}.centreMm`),
  about,
})

/** The next stock pair of the same ratio that bears the motor; not where a belt was measured, which it would not fit. */
function largerPulleys(belt: BeltFacts): Remedy[] {
  const { stage, path } = belt
  const pair = (stage.beltMm ?? stage.outsideMm ?? stage.ratedBeltW) === undefined ? nextStockPulleys(belt) : undefined
  return pair
    ? [
        {
          label: message`Pulleys of ${mm(pair.driverMm)} and ${mm(pair.drivenMm)}, the same ratio`,
          patch: [set(`${path}.driverMm`, pair.driverMm), set(`${path}.drivenMm`, pair.drivenMm)],
        },
      ]
    : []
}
