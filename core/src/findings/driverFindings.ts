import { brushlessPoint, pumpedBus } from '../dc'
import { actingValue } from '../facts/settings/settingsFacts'
import { numberOf } from '../facts/figure'
import { windingHertz } from '../facts/hearts/driverFacts'
import { leadOrderIds, leadOrders, set } from '../plan'
import { amount, amps, hertz, message, newtonMetres, rpm, volts } from '../quantities'
import { doesNotApply, ended, good, isUnjudged, lacks, need, typed } from './answer'
import { byYesNo } from './choiceAnswers'
import { judgement } from './finding'

const drive = { stage: 'drive', chainLink: 'drive' } as const
const motor = { stage: 'motor', chainLink: 'motor' } as const
const wired = { stage: 'wiring', chainLink: 'drive' } as const

/** Amps over what a motor bears for moments. */
const OVER = 1.02
/** Heat over the plate's at which a stalled motor is told of. */
const STALL_HOT = 1.3
/** How far torque by volts and by power may lie apart. */
const APART = 0.35
/** A fuse so many times what it feeds saves the wire, and not the driver. */
const FUSE_MOST = 2.5

/** A motor with a driver of its own: what feeds it, what it pushes, how its leads meet it. */
export const driverFindings = [
  judgement(
    { id: 'driver.plate', asks: 'Plate against the rpm for each volt', by: 'buying', ...motor },
    ({ plan, motor: { plateVoltageV, plateCurrentA, torqueNm } }) => {
      const { rpmPerVolt, windingOhm = 0.001 } = plan.motor
      const known = need(plateVoltageV, plateCurrentA, torqueNm, typed('motor.rpmPerVolt', rpmPerVolt))
      if (isUnjudged(known)) return known
      const [busV, limitA, ratedNm, perVolt] = known
      const made = brushlessPoint.run({ busV, rpmPerVolt: perVolt, resistanceOhm: windingOhm, limitA, speedRpm: 0 })
      if (!made.ok) return ended(made.faults[0]?.message ?? 'The rule does not take these')
      const byVolts = made.value.torqueNm
      const says = message`${perVolt} rpm for each volt and ${amps(limitA)} make ${newtonMetres(byVolts)}; power and speed of the plate make ${newtonMetres(ratedNm)}.`
      return Math.abs(byVolts / ratedNm - 1) <= APART
        ? good(says)
        : {
            severity: 'watch',
            title: message`The plate’s lines do not belong together`,
            says,
            why: 'Amps of the supply are not those of the motor, and rpm for each volt is told for peak, mean or effective values: which, says the data sheet.',
            path: 'motor.rpmPerVolt',
          }
    },
  ),

  judgement(
    {
      id: 'driver.volts',
      asks: 'Volts of its supply, at low and at high mains',
      by: 'first-power',
      danger: true,
      ...drive,
    },
    ({ plan, driver }) => {
      if (!driver) return lacks('motor.kind')
      const { leastV, mostV } = plan.driver
      const known = need(driver.lowV, driver.highV, typed('driver.mostV', mostV))
      if (isUnjudged(known)) return known
      const [low, high, most] = known
      const figures = [driver.lowV.id, driver.highV.id]
      const says = message`${volts(low)} loaded at low mains, ${volts(high)} unloaded at high mains; it works from ${leastV === undefined ? 'volts not told' : message`${volts(leastV)}`} to ${volts(most)}.`
      if (high > most)
        return {
          severity: 'stop',
          title: message`Too many volts for the driver`,
          says,
          why: 'Its capacitors and transistors fail at once, and a stop adds to it. A lower secondary, by a sixth at least.',
          figures,
          path:
            plan.driver.supply === 'transformer'
              ? 'driver.secondaryV'
              : plan.driver.supply === 'mains'
                ? 'driver.mostV'
                : 'driver.supplyV',
        }
      if (leastV === undefined) return lacks('driver.leastV')
      return low < leastV
        ? {
            severity: 'watch',
            title: message`Too few volts when it is loaded`,
            says,
            why: 'It drops out in the middle of a cut, and may start again by itself.',
            figures,
            path: 'driver.leastV',
          }
        : good(says, { figures })
    },
  ),

  judgement(
    { id: 'driver.pumps', asks: 'What a stop pumps into its supply', by: 'on-machine', danger: true, ...drive },
    ({ plan, driver, stop, speeds, settings }) => {
      if (!driver) return lacks('motor.kind')
      if (actingValue(settings.lines, 'stopMode') === 'coast') return good(message`It coasts: nothing is pumped back.`)
      const { bleeds, mostV, busFarad } = plan.driver
      if (bleeds === undefined) return lacks('driver.bleeds')
      if (bleeds) return good(message`A resistor or shunt takes it up; its watts are its maker’s to tell.`)
      if (!speeds.main) return lacks('survey.positions')
      const known = need(
        stop.inertia,
        speeds.main.unloadedTopRpm,
        driver.lowV,
        typed('driver.busFarad', busFarad),
        typed('driver.mostV', mostV),
      )
      if (isUnjudged(known)) return known
      const [inertiaKgM2, speedRpm, busV, capacitanceF, most] = known
      const made = pumpedBus.run({ inertiaKgM2, speedRpm, busV, capacitanceF, mostV: most })
      if (!made.ok) return ended(made.faults[0]?.message ?? 'The rule does not take these')
      const { energyJ, pumpedV, permitted, wantedF } = made.value
      const figures = [stop.inertia.id, speeds.main.unloadedTopRpm.id, driver.lowV.id]
      const says = message`${amount('energy', energyJ)} come back from ${rpm(speedRpm)}: with nothing else to take them ${amount('capacitance', capacitanceF)} rise to ${volts(pumpedV)}, of ${volts(most)}.`
      if (permitted) return good(says, { figures })
      return {
        severity: 'stop',
        title: message`A stop pumps the supply over what the driver bears`,
        says: message`${says}${wantedF === undefined ? '' : message` ${amount('capacitance', wantedF)} would hold it.`}`,
        why: 'Driver, rectifier and power supply fail together, with a bang. A shunt or brake resistor, or let it coast; friction makes it less, nobody has measured how much.',
        remedies: [
          {
            label: message`Let it coast`,
            patch: [set('settings.chosen.stopMode', 'coast'), set('settings.inDrive.stopMode', undefined)],
          },
        ],
        figures,
        path: 'driver.bleeds',
      }
    },
  ),

  judgement(
    { id: 'driver.limit', asks: 'Current limit against the motor', by: 'first-spin', danger: true, ...drive },
    ({ plan, driver, motor: { plateCurrentA } }) => {
      if (!driver) return lacks('motor.kind')
      const { peakA } = plan.motor
      const known = need(typed('driver.limitA', plan.driver.limitA), plateCurrentA)
      if (isUnjudged(known)) return known
      const [limitA, plateA] = known
      const most = peakA ?? 2 * plateA
      const says = message`${amps(limitA)}; the plate has ${amps(plateA)}, for moments ${peakA === undefined ? message`twice that, a planning value` : amps(peakA)}.`
      return limitA <= most * OVER
        ? good(says)
        : {
            severity: 'stop',
            title: message`The limit is over what the motor bears`,
            says,
            why: 'Its magnets weaken for good and its winding burns within seconds of a stall.',
            remedies: [{ label: message`Set the limit to ${amps(most)}`, patch: [set('driver.limitA', most)] }],
            path: 'driver.limitA',
          }
    },
  ),

  judgement({ id: 'driver.stall', asks: 'Heat where it stalls', by: 'on-machine', ...drive }, ({ driver }) => {
    if (!driver) return lacks('motor.kind')
    const known = need(driver.stallHeat)
    if (isUnjudged(known)) return known
    const [times] = known
    const figures = [driver.stallHeat.id]
    return times <= STALL_HOT
      ? good(message`${amount('number', times)} times the heat of its plate.`, { figures })
      : {
          severity: 'note',
          title: message`Stalled it heats ${amount('number', times)} times as much as at its plate`,
          says: message`The driver pushes its limit into a motor that stands, and no fan turns.`,
          why: 'Seconds, then off. What stalls it is looked for with the power away: it pushes on as soon as it is free.',
          figures,
          path: 'driver.limitA',
        }
  }),

  judgement({ id: 'driver.reach', asks: 'Top speed on its volts', by: 'buying', ...motor }, ({ driver, settings }) => {
    if (!driver) return lacks('motor.kind')
    const most = settings.mostSpeedRpm
    if (most === undefined) return lacks('motor.ratedSpeedRpm')
    const known = need(driver.reachesRpm, most)
    if (isUnjudged(known)) return known
    const [reaches, wanted] = known
    const figures = [driver.reachesRpm.id]
    const says = message`It reaches ${rpm(reaches)} under load at low mains; ${rpm(wanted)} are set.`
    const within = Math.floor(reaches)
    return wanted <= reaches * 1.005
      ? good(says, { figures })
      : {
          severity: 'watch',
          title: message`Its volts do not reach that speed`,
          says,
          why: 'The knob’s end does nothing, and a cut there pulls it down at once.',
          remedies: [
            {
              label: message`Set most speed to ${rpm(within)}`,
              patch: [set('settings.chosen.mostSpeedRpm', within), set('settings.inDrive.mostSpeedRpm', undefined)],
            },
          ],
          figures,
          path: 'settings.chosen.mostSpeedRpm',
        }
  }),

  judgement(
    { id: 'driver.frequency', asks: 'Hertz that the driver must make', by: 'buying', ...motor },
    ({ plan, settings }) => {
      const { platePoles } = plan.motor
      const { topHz } = plan.driver
      if (platePoles === undefined) return lacks('motor.platePoles')
      if (topHz === undefined) return lacks('driver.topHz')
      const most = settings.mostSpeedRpm
      if (most === undefined) return lacks('motor.ratedSpeedRpm')
      const known = need(most)
      if (isUnjudged(known)) return known
      const hz = windingHertz(platePoles, known[0])
      if (hz === undefined) return ended('At no speed there are no hertz')
      const says = message`${platePoles} poles at ${rpm(known[0])} are ${hertz(hz)} in its windings; the driver makes up to ${hertz(topHz)}.`
      return hz <= topHz
        ? good(says)
        : {
            severity: 'watch',
            title: message`The driver cannot follow at that speed`,
            says,
            why: 'It loses its place, stutters and trips.',
            path: 'driver.topHz',
          }
    },
  ),

  judgement(
    { id: 'driver.order', asks: 'Order of leads and sensors', by: 'first-spin', danger: true, ...wired },
    ({ plan }) => {
      const { chosenOrder, pairings = {} } = plan.driver
      const well = leadOrderIds.filter((order) => pairings[order] === 'well')
      const tried = leadOrderIds.filter((order) => pairings[order] !== undefined)
      if (chosenOrder === undefined) return lacks('driver.chosenOrder')
      const found = pairings[chosenOrder]
      if (found === undefined) return lacks(`driver.pairings.${chosenOrder}`)
      if (found !== 'well')
        return {
          severity: 'stop',
          title: message`Its leads are in a wrong order`,
          says: message`${leadOrders[chosenOrder]} ran ${found === 'rough' ? 'rough or with many amps' : 'not at all'}.`,
          why: 'The driver pushes against the sensors: its amps heat the winding and do no work. Two of the six orders run evenly, one for each direction.',
          remedies: well.map((order) => ({
            label: message`Join them as ${leadOrders[order]}`,
            patch: [set('driver.chosenOrder', order)],
          })),
          path: 'driver.chosenOrder',
        }
      return tried.length === leadOrderIds.length && well.length !== 2
        ? {
            severity: 'watch',
            title: message`${well.length === 1 ? 'One order' : `${well.length} orders`} ran well, where two should`,
            says: message`Of six orders two run evenly and with few amps, one for each direction.`,
            why: 'A third that seems well runs with its sensors off by a sixth of a turn: it pulls less one way and more the other. Tried again, with a clamp on a lead.',
            path: 'driver.chosenOrder',
          }
        : good(
            message`${leadOrders[chosenOrder]} runs evenly${well.length > 1 ? '; the other good order turns the other way' : ''}.`,
          )
    },
  ),

  judgement(
    { id: 'driver.enable', asks: 'Enable with its wire off', by: 'first-spin', danger: true, ...wired },
    ({ plan }) => {
      const { enable } = plan.driver
      if (enable === undefined) return lacks('driver.enable')
      return enable === 'closed'
        ? good(message`A broken wire stops it.`)
        : {
            severity: 'stop',
            title: message`A broken enable wire lets it run`,
            says: message`Its enable is open to run: a wire that breaks, or a plug that slips off, is a start.`,
            why: 'Turned round by its switch or setting; where it has none, the supply’s contactor does what an enable should.',
            path: 'driver.enable',
          }
    },
  ),

  judgement({ id: 'driver.alarm', asks: 'Its alarm', by: 'on-machine', ...wired }, ({ plan }) =>
    byYesNo('driver.alarmStops', plan.driver.alarmStops, {
      yes: { well: message`Its alarm takes RUN away.` },
      no: {
        severity: 'watch',
        title: message`Its alarm goes nowhere`,
        says: message`After an alarm RUN is still there.`,
        why: 'Many start again by themselves as soon as what they complained of is over.',
      },
    }),
  ),

  judgement(
    { id: 'driver.fuse', asks: 'Fuse before the driver', by: 'first-power', ...drive },
    ({ plan, driver, motor: { efficiency } }) => {
      if (!driver) return lacks('motor.kind')
      if (plan.driver.supply === 'mains') return doesNotApply('The mains feed it: its fuse is that of the circuit')
      const { fuseA } = plan.driver
      const known = need(typed('motor.powerW', plan.motor.powerW), driver.lowV, typed('driver.fuseA', fuseA))
      if (isUnjudged(known)) return known
      const [powerW, lowV, own] = known
      const takes = powerW / ((numberOf(efficiency) ?? 0.8) * lowV)
      const says = message`It takes about ${amps(takes)} at ${volts(lowV)}; the fuse is ${amps(own)}.`
      if (own < takes)
        return {
          severity: 'watch',
          title: message`The fuse blows at full load`,
          says,
          why: 'In a cut, with the tool in the work.',
          path: 'driver.fuseA',
        }
      return own > FUSE_MOST * takes
        ? {
            severity: 'watch',
            title: message`The fuse is far over what it feeds`,
            says,
            why: 'It saves neither driver nor rectifier: a slow one of one and a half times is usual, made for direct current.',
            path: 'driver.fuseA',
          }
        : good(says)
    },
  ),
]
