import { dcReversal, MOST_BRUSH_M_PER_S } from '../dc'
import { isKnown, numberOf } from '../facts/figure'
import { hasFedField, set, type Plan } from '../plan'
import { amount, amps, message, newtonMetres, percent, rpm, volts, type Message } from '../quantities'
import { doesNotApply, good, isUnjudged, lacks, need, typed, type DoesNotApply } from './answer'
import { byChoice, byYesNo } from './choiceAnswers'
import { judgement } from './finding'

const motor = { stage: 'motor', chainLink: 'motor' } as const
const drive = { stage: 'drive', chainLink: 'drive' } as const
const ohms = (value: number): Message => message`${amount('resistance', value)}`

const NO_WINDING = doesNotApply('No winding of its field is fed by itself')

/** Why a question of a field winding is none of this motor; undefined where it has one that is fed. */
const withoutField = (plan: Plan): DoesNotApply | undefined => (hasFedField(plan) ? undefined : NO_WINDING)

/** Of its plate's volts, how far under them a drive may fall short before it is told, and over them before it harms. */
const SHORT = 0.95
const OVER = 1.1
/** Amps set over what the armature stands, before it is told. */
const AMPS_OVER = 1.03

/** A DC motor and its drive: plate, armature, field, brushes, and how it reverses. */
export const dcFindings = [
  judgement(
    { id: 'dc.plate', asks: 'Plate of the armature against itself', by: 'buying', danger: true, ...motor },
    ({ plan, motor: { plateVoltageV, plateCurrentA, ratedSpeedRpm, efficiency } }) => {
      const known = need(plateVoltageV, plateCurrentA, typed('motor.powerW', plan.motor.powerW), ratedSpeedRpm)
      if (isUnjudged(known)) return known
      const [armatureV, armatureA, powerW] = known
      if (powerW < armatureV * armatureA)
        return good(
          message`${amount('power', armatureV * armatureA)} into the armature, ${amount('power', powerW)} at the shaft.`,
          { figures: isKnown(efficiency) ? [efficiency.id] : [] },
        )
      return {
        severity: 'stop',
        title: message`The plate gives more than goes in`,
        says: message`${volts(armatureV)} and ${amps(armatureA)} are ${amount('power', armatureV * armatureA)} into the armature; the plate has ${amount('power', powerW)} at the shaft.`,
        why: 'No motor gives more than goes in: volts or amps were read from the field’s line, or from another connection.',
        path: 'motor.lowVoltageA',
      }
    },
  ),

  judgement({ id: 'dc.series', asks: 'Series field', by: 'buying', danger: true, ...motor }, ({ plan }) =>
    byChoice('motor.fieldKind', plan.motor.fieldKind, {
      shunt: { well: message`A shunt field holds its speed without a load.` },
      compound: {
        well: message`Its shunt winding holds its speed without a load; both windings must pull the same way.`,
      },
      magnets: { well: message`Magnets hold its speed without a load.` },
      series: {
        severity: 'stop',
        title: message`A series motor runs away without a load`,
        says: message`Its field is as strong as its load: with the belt off or the work let go it speeds up until it bursts.`,
        why: 'It may never run uncoupled, nor on a belt that can come off. Another motor for a machine tool.',
      },
    }),
  ),

  judgement(
    { id: 'dc.treadmill', asks: 'Duty of a treadmill’s motor', by: 'on-machine', danger: true, ...motor },
    ({ plan, tables, motor: { plateCurrentA } }) => {
      const { fieldKind, treadmill } = plan.motor
      if (fieldKind === undefined) return lacks('motor.fieldKind')
      if (fieldKind !== 'magnets') return doesNotApply('A treadmill’s motor has magnets for its field')
      if (treadmill === undefined) return lacks('motor.treadmill')
      if (!treadmill) return good(message`Its plate is not a treadmill’s.`)
      const known = need(plateCurrentA)
      if (isUnjudged(known)) return known
      const share = tables.planning.treadmillShare.value
      const most = Math.floor(known[0] * share * 10) / 10
      const { inDrive, chosen } = plan.settings
      const held = inDrive.overloadA ?? chosen.overloadA
      const reversed = plan.controls.reverseWanted === true
      const says = message`All day it is planned at ${percent(share)} of its plate’s ${amps(known[0])}, until its warmth was measured.${reversed ? ' Its flywheel screws off when it is reversed.' : ''}`
      if (held !== undefined && held <= most) return good(message`It is held to ${amps(held)}. ${says}`)
      return {
        severity: 'watch',
        title: message`A treadmill’s plate is not for all day`,
        says,
        why: 'Its horsepower is told for minutes with a flywheel’s fan over it. Held on, the magnets weaken and the brushes burn. It wants a fan of its own, and chips kept out: its case is open.',
        remedies:
          most > 0
            ? [
                {
                  label: message`Set overload to ${amps(most)}`,
                  patch: [set('settings.chosen.overloadA', most), set('settings.inDrive.overloadA', undefined)],
                },
              ]
            : [],
        path: 'motor.treadmill',
      }
    },
  ),

  judgement({ id: 'dc.phases', asks: 'Phases of the DC drive', by: 'buying', ...drive }, ({ plan }) => {
    const { rectifier } = plan.dcDrive
    if (rectifier === undefined) return lacks('dcDrive.rectifier')
    if (plan.supply.phases === undefined) return lacks('supply.phases')
    return rectifier === 'three-phase' && plan.supply.phases === 1
      ? {
          severity: 'stop',
          title: message`The drive wants three phases; the wall has one`,
          says: message`A three-phase bridge on one phase fires into gaps: it trips, or gives rough current at half its volts.`,
          why: 'A converter before it, or a drive made for one phase with its own form factor.',
          path: 'dcDrive.rectifier',
        }
      : good(message`It is fed by what the wall has.`)
  }),

  judgement(
    { id: 'dc.output', asks: 'Armature volts, drive against plate', by: 'first-power', danger: true, ...drive },
    ({ plan, motor: { plateVoltageV, ratedSpeedRpm }, dc }) => {
      if (!dc) return lacks('motor.kind')
      const known = need(dc.outputV, plateVoltageV)
      if (isUnjudged(known)) return known
      const [givesV, plateV] = known
      const set1 = plan.settings.inDrive.armatureV ?? plan.settings.chosen.armatureV
      const figures = [dc.outputV.id]
      if (set1 !== undefined && set1 > plateV * OVER)
        return {
          severity: 'stop',
          title: message`More volts than the armature is made for`,
          says: message`It is set to ${volts(set1)}; the plate has ${volts(plateV)}.`,
          why: 'It turns over its plate, the commutator flashes, and old insulation gives way.',
          remedies: [
            {
              label: message`Set armature volts to ${volts(plateV)}`,
              patch: [set('settings.chosen.armatureV', plateV), set('settings.inDrive.armatureV', undefined)],
            },
          ],
          figures,
          path:
            plan.settings.inDrive.armatureV === undefined ? 'settings.chosen.armatureV' : 'settings.inDrive.armatureV',
        }
      if (givesV >= plateV * SHORT)
        return good(message`It gives up to ${volts(givesV)}; the plate has ${volts(plateV)}.`, { figures })
      return {
        severity: 'watch',
        title: message`Too few volts for full speed`,
        says: message`It gives ${volts(givesV)}; the plate has ${volts(plateV)}: on full field it ends at about ${rpm(((numberOf(ratedSpeedRpm) ?? 0) * givesV) / plateV)}.`,
        why: 'Full torque all the same; speed and power end sooner.',
        figures,
        path: 'dcDrive.outputV',
      }
    },
  ),

  judgement(
    {
      id: 'dc.armature-heat',
      asks: 'Armature amps all day, on this current',
      by: 'first-spin',
      danger: true,
      ...drive,
    },
    ({ plan, dc, motor: { plateCurrentA } }) => {
      if (!dc) return lacks('motor.kind')
      const known = need(dc.continuousA, dc.formFactor, plateCurrentA)
      if (isUnjudged(known)) return known
      const [continuousA, formFactor, plateA] = known
      const held = plan.settings.inDrive.overloadA ?? plan.settings.chosen.overloadA
      const figures = [dc.continuousA.id, dc.continuousNm.id]
      const all = message`Mean amps of ${amps(continuousA)} heat it as the plate’s ${amps(plateA)} of smooth current do: ${newtonMetres(numberOf(dc.continuousNm) ?? 0)} all day.`
      if (held !== undefined && held > continuousA * AMPS_OVER)
        return {
          severity: 'stop',
          title: message`The overload lets the armature burn`,
          says: message`It is set to ${amps(held)}. ${all}`,
          why: 'Ripple heats by its square and turns nothing, and an old winding has no sensor in it.',
          remedies: [
            {
              label: message`Set overload to ${amps(Math.floor(continuousA * 10) / 10)}`,
              patch: [
                set('settings.chosen.overloadA', Math.floor(continuousA * 10) / 10),
                set('settings.inDrive.overloadA', undefined),
              ],
            },
          ],
          figures,
          path:
            plan.settings.inDrive.overloadA === undefined ? 'settings.chosen.overloadA' : 'settings.inDrive.overloadA',
        }
      if (formFactor <= 1.1) return good(all, { figures })
      return {
        severity: 'note',
        title: message`The ripple of this current costs ${percent(1 - 1 / formFactor)} of the torque`,
        says: all,
        why: 'A plate that was made for rectified current says its form factor: then that is typed, and nothing is lost. A choke in the armature brings it to about 1.1.',
        figures,
        path: 'dcDrive.rectifier',
      }
    },
  ),

  judgement(
    { id: 'dc.field-loss', asks: 'What a lost field does', by: 'first-spin', danger: true, ...drive },
    ({ plan }) =>
      withoutField(plan) ??
      byYesNo('dcDrive.fieldLossTrip', plan.dcDrive.fieldLossTrip, {
        yes: {
          well: message`A relay in the field’s circuit takes the armature away. Proved by lifting one field lead at least speed, belt off.`,
        },
        no: {
          severity: 'stop',
          title: message`Nothing trips when the field is lost`,
          says: message`A broken lead, a bad rheostat or a dead rectifier in the field, and the armature speeds up without an end.`,
          why: 'Chuck, armature and commutator burst. A current relay in the field’s own circuit that drops the armature’s contactor, before anything turns.',
        },
      }),
  ),

  judgement(
    { id: 'dc.field-weak', asks: 'Weakest field against the plate’s top', by: 'first-spin', danger: true, ...drive },
    ({ plan, dc, settings }) => {
      const none = withoutField(plan)
      if (none) return none
      if (!dc) return lacks('motor.kind')
      const { fieldControl } = plan.dcDrive
      if (fieldControl === undefined) return lacks('dcDrive.fieldControl')
      if (fieldControl === 'fixed')
        return good(message`The field is fixed: constant torque, to base speed and no further.`)
      const { maximumRpm } = plan.motor
      if (maximumRpm === undefined) return lacks('motor.maximumRpm')
      const known = need(dc.topRpm)
      if (isUnjudged(known)) return known
      const [topRpm] = known
      const figures = [dc.topRpm.id, dc.weakestFlux.id]
      const least = (plan.motor.fieldCurrentA ?? 0) * ((plan.motor.ratedSpeedRpm ?? 0) / maximumRpm)
      const rounded = Math.ceil(least * 1000) / 1000
      if (topRpm > maximumRpm * 1.02)
        return {
          severity: 'stop',
          title: message`The field can be weakened past the plate`,
          says: message`At its weakest it turns ${rpm(topRpm)}; the plate ends at ${rpm(maximumRpm)}.`,
          why: 'The armature’s bands, the commutator and what hangs on the belt burst. A fixed resistor beside the rheostat that nobody can turn away.',
          remedies:
            rounded > 0 && plan.dcDrive.weakestFieldA !== undefined
              ? [
                  {
                    label: message`A stop of the rheostat at ${amount('current', rounded)}`,
                    patch: [set('dcDrive.weakestFieldA', rounded)],
                  },
                ]
              : [],
          figures,
          path: 'dcDrive.weakestFieldA',
        }
      const most = settings.mostSpeedRpm
      return good(
        message`${rpm(topRpm)} at its weakest, of ${rpm(maximumRpm)} on the plate${most && isKnown(most) ? message`; set to ${rpm(most.value)}` : ''}.`,
        { figures },
      )
    },
  ),

  judgement(
    { id: 'dc.field-interlock', asks: 'Start on full field', by: 'first-spin', danger: true, ...drive },
    ({ plan }) => {
      const none = withoutField(plan)
      if (none) return none
      const { fieldControl } = plan.dcDrive
      if (fieldControl === undefined) return lacks('dcDrive.fieldControl')
      if (fieldControl !== 'by-hand') return doesNotApply('Nobody weakens the field by hand')
      return byYesNo('dcDrive.fieldInterlock', plan.dcDrive.fieldInterlock, {
        yes: { well: message`A contact of the rheostat lets it start only on full field.` },
        no: {
          severity: 'stop',
          title: message`It can be started on a weak field`,
          says: message`With the rheostat left at its fast end the armature takes many times its amps, pulls little, and then shoots up.`,
          why: 'The commutator burns, and the spindle starts at its top speed. A contact at the full end of the rheostat, in series with START.',
        },
      })
    },
  ),

  judgement(
    { id: 'dc.contactor-order', asks: 'Field before armature', by: 'first-power', danger: true, ...drive },
    ({ plan }) => {
      const wrong = {
        severity: 'stop',
        title: message`The armature is fed before its field stands`,
        says: message`A field takes a second to build; until then the armature is as good as a short circuit, and pulls whichever way its rest of magnetism points.`,
        why: 'Field first, proved by its own relay, and only then the armature; off in the other order.',
      } as const
      return (
        withoutField(plan) ??
        byChoice('dcDrive.contactorOrder', plan.dcDrive.contactorOrder, {
          'field-first': { well: message`The field stands before the armature is fed.` },
          together: wrong,
          'armature-first': wrong,
        })
      )
    },
  ),

  judgement(
    { id: 'dc.suppression', asks: 'Energy of the field when it is opened', by: 'first-power', danger: true, ...drive },
    ({ plan, dc }) => {
      const none = withoutField(plan)
      if (none) return none
      if (!dc) return lacks('motor.kind')
      const { suppression, suppressorOhm } = plan.dcDrive
      if (suppression !== 'resistor')
        return byChoice('dcDrive.suppression', suppression, {
          none: {
            severity: 'stop',
            title: message`Nothing takes the field’s energy`,
            says: message`Opened under current its winding answers with thousands of volts.`,
            why: 'They go through its insulation, or through whoever holds the leads. A resistor, a varistor or a diode across the field, on the field’s side of every contact.',
          },
          varistor: { well: message`A varistor holds the peak.` },
          diode: { well: message`A diode holds it at nothing; the field dies slowly, over seconds.` },
        })
      const known = need(dc.suppressorMostOhm, typed('dcDrive.suppressorOhm', suppressorOhm))
      if (isUnjudged(known)) return known
      const [most, own] = known
      const figures = [dc.suppressorMostOhm.id]
      if (own <= most) return good(message`${ohms(own)}, of ${ohms(most)} at most.`, { figures })
      const to = Number(most.toPrecision(2)) > most ? Math.floor(most) : Number(most.toPrecision(2))
      return {
        severity: 'stop',
        title: message`The resistor across the field is too large`,
        says: message`${ohms(own)} stand there: the opened field rises to ${volts((plan.motor.fieldCurrentA ?? 0) * own)}. ${ohms(most)} at most keep it at three times its volts.`,
        why: 'Old insulation does not stand it.',
        remedies: [{ label: message`Put in ${ohms(to)}`, patch: [set('dcDrive.suppressorOhm', to)] }],
        figures,
        path: 'dcDrive.suppressorOhm',
      }
    },
  ),

  judgement(
    {
      id: 'dc.reversed-by',
      asks: 'What is turned over to reverse',
      by: 'first-spin',
      danger: true,
      stage: 'wiring',
      chainLink: 'drive',
    },
    ({ plan }) => {
      const { reverseWanted } = plan.controls
      if (reverseWanted === undefined) return lacks('controls.reverseWanted')
      if (!reverseWanted) return doesNotApply('It does not run in reverse')
      return byChoice('dcDrive.reversedBy', plan.dcDrive.reversedBy, {
        armature: {
          well: message`The armature’s leads are turned over; the field stays as it is, series winding included.`,
        },
        both: {
          severity: 'stop',
          title: message`Field and armature are both turned over`,
          says: message`Both turned over it turns the same way as before.`,
          why: 'And each goes through a moment without a field. One of them: the armature.',
        },
        field: {
          severity: 'watch',
          title: message`It is reversed by its field`,
          says: message`A field dies and builds again over a second or two, and has none on the way.`,
          why: 'The armature must be off for all that time, by a relay that sees the field and not by a watch: else it runs off. The armature’s leads are the safer ones.',
        },
        never: {
          severity: 'watch',
          title: message`Reverse is wanted, and nothing reverses it`,
          says: message`Neither armature nor field can be turned over.`,
          why: 'A reversing contactor in the armature, interlocked, that closes only at standstill.',
        },
      })
    },
  ),

  judgement(
    {
      id: 'dc.series-winding',
      asks: 'Series winding of a compound motor',
      by: 'first-spin',
      danger: true,
      stage: 'wiring',
      chainLink: 'motor',
    },
    ({ plan }) => {
      const { fieldKind } = plan.motor
      if (fieldKind === undefined) return lacks('motor.fieldKind')
      if (fieldKind !== 'compound') return doesNotApply('It is not compound wound')
      const { seriesWinding } = plan.dcDrive
      if (seriesWinding === undefined) return lacks('dcDrive.seriesWinding')
      if (seriesWinding === 'out')
        return good(message`S1 and S2 are left out: its shunt field alone holds it, with the drive for its speed.`)
      const reverses = plan.controls.reverseWanted
      if (reverses === undefined) return lacks('controls.reverseWanted')
      if (!reverses)
        return good(
          message`S2 before the armature, helping the shunt field: it must pull down its speed under load, never up.`,
        )
      if (plan.manual === undefined) return lacks('manual')
      const turnsItself = plan.manual.terminals.some(({ does }) => does === 'direction' || does === 'run-reverse')
      if (!turnsItself)
        return good(message`It stands outside of what turns the armature over, and helps the field both ways.`)
      return {
        severity: 'stop',
        title: message`In reverse the series winding works against the field`,
        says: message`This drive turns its own current over: S1 and S2 are turned over with the armature, the shunt field is not.`,
        why: 'Under load the field then weakens and the motor speeds up until something gives. Leave the winding out, or reverse by a switch in the armature alone.',
        remedies: [{ label: message`Leave S1 and S2 out`, patch: [set('dcDrive.seriesWinding', 'out')] }],
        path: 'dcDrive.seriesWinding',
      }
    },
  ),

  judgement(
    {
      id: 'dc.reversal',
      asks: 'Heat of its reversals',
      by: 'first-spin',
      danger: true,
      stage: 'wiring',
      chainLink: 'motor',
    },
    ({ plan, stop, speeds, dc, motor: { plateCurrentA } }) => {
      if (plan.controls.reverseWanted === undefined) return lacks('controls.reverseWanted')
      if (!plan.controls.reverseWanted) return doesNotApply('It does not run in reverse')
      const { reversal, reversalsPerHour } = plan.dcDrive
      if (reversal === undefined) return lacks('dcDrive.reversal')
      if (reversal === 'standstill') return good(message`It stands first: nothing but its run-up heats the armature.`)
      if (!dc || !speeds.main) return lacks('survey.positions')
      const known = need(
        stop.inertia,
        speeds.main.unloadedTopRpm,
        dc.armatureOhm,
        plateCurrentA,
        typed('dcDrive.reversalsPerHour', reversalsPerHour),
      )
      if (isUnjudged(known)) return known
      const [inertiaKgM2, speedRpm, ohm, plateA, perHour] = known
      const made = dcReversal.run({ inertiaKgM2, speedRpm, way: reversal, perHour })
      if (!made.ok) return { missing: [], ended: made.faults[0]?.message ?? 'The rule does not take these' }
      const { armatureJ, resistorJ, returnedJ } = made.value
      const armatureW = (armatureJ * perHour) / 3600
      const copperW = plateA ** 2 * ohm
      const says = message`Each takes ${amount('energy', armatureJ)} in the armature, ${amount('energy', resistorJ)} in a resistor${returnedJ > 0 ? message`, and ${amount('energy', returnedJ)} go back` : ''}; at ${perHour} an hour the armature gets ${amount('heat', armatureW)} more than its own ${amount('heat', copperW)}.`
      const figures = [stop.inertia.id, speeds.main.unloadedTopRpm.id]
      const wait = {
        label: message`Reverse only from standstill`,
        patch: [set('dcDrive.reversal', 'standstill')],
      }
      if (armatureW > copperW / 2)
        return {
          severity: 'stop',
          title: message`So many reversals burn the armature`,
          says,
          why: 'What turns must be stopped and run up again, and plugging turns three times its energy into heat before it stands.',
          remedies: [wait],
          figures,
          path: 'dcDrive.reversalsPerHour',
        }
      if (reversal === 'plug')
        return {
          severity: 'watch',
          title: message`It is thrown over while it turns`,
          says,
          why: 'Twice the volts over a small resistance: the commutator flashes, and a screwed-on chuck comes off.',
          remedies: [wait],
          figures,
          path: 'dcDrive.reversal',
        }
      return good(says, { figures })
    },
  ),

  judgement(
    { id: 'dc.commutator-speed', asks: 'Brushes at the top speed', by: 'on-machine', ...motor },
    ({ dc, plan }) => {
      if (!dc) return lacks('motor.kind')
      const known = need(dc.brushMPerS)
      if (isUnjudged(known)) return known
      const [speedMPerS] = known
      const figures = [dc.brushMPerS.id]
      const says = message`${amount('beltSpeed', speedMPerS)} under the brushes at the top; old ones are planned to ${MOST_BRUSH_M_PER_S}.`
      return speedMPerS <= MOST_BRUSH_M_PER_S
        ? good(says, { figures })
        : {
            severity: 'watch',
            title: message`Fast for its brushes`,
            says,
            why: 'They lift, chatter and spark. A lower top, or brushes and springs for the speed, by their maker.',
            figures,
            path: plan.motor.commutatorMm === undefined ? 'motor.maximumRpm' : 'motor.commutatorMm',
          }
    },
  ),

  judgement(
    { id: 'dc.brushes', asks: 'Brushes', by: 'on-machine', danger: true, stage: 'run-in', chainLink: 'motor' },
    ({ plan }) =>
      byChoice('dcDrive.brushes', plan.dcDrive.brushes, {
        good: { well: message`Long enough and free in their boxes.` },
        worn: {
          severity: 'watch',
          title: message`The brushes are worn`,
          says: message`Short brushes lose their spring’s pressure, then spark.`,
          why: 'New ones of the same grade, bedded in with fine glass paper, never emery; and the dust blown out.',
        },
        sparking: {
          severity: 'stop',
          title: message`The brushes spark`,
          says: message`More than a faint blue at their trailing edge eats the commutator within days.`,
          why: 'Overloaded, off the neutral, high mica, a short or an open coil: found before it runs a shift.',
        },
      }),
  ),

  judgement(
    { id: 'dc.commutator', asks: 'Commutator', by: 'on-machine', danger: true, stage: 'run-in', chainLink: 'motor' },
    ({ plan }) =>
      byChoice('dcDrive.commutator', plan.dcDrive.commutator, {
        smooth: { well: message`Smooth and evenly brown.` },
        grooved: {
          severity: 'watch',
          title: message`The commutator is grooved`,
          says: message`Grooves or mica that stands proud lift the brushes.`,
          why: 'Turned true, the mica undercut, the edges broken: a light cut, and no more than the wear mark allows.',
        },
        burnt: {
          severity: 'stop',
          title: message`Bars of the commutator are burnt`,
          says: message`Burnt bars at equal distances tell of an open or shorted coil in the armature.`,
          why: 'It throws solder and fire. A winder tests it bar to bar before anything is run.',
        },
      }),
  ),
]
