import {
  bridgeVoltage,
  commutatorSpeed,
  dcArmature,
  dcFormFactor,
  dcSpeed,
  fieldDischarge,
  fieldResistor,
} from '../../dc'
import { hasFedField, type Rectifier } from '../../plan'
import type { PlanningTables } from '../../data/planningValues'
import type { Knowing } from '../context'
import { isKnown, numberOf, type FigureState } from '../figure'
import { choice, named, unknownField } from '../ledger'
import type { MotorFacts } from '../motor/motorKnown'
import type { SupplyFacts } from '../supply/supplyFacts'

/** A DC motor on its drive: what armature and field take, and what they give. */
export interface DcFacts {
  /** Rms over mean of the armature's current. */
  formFactor: FigureState
  /** Mean amps that the armature may carry all day on this current. */
  continuousA: FigureState
  /** Torque all day on this current, full field. */
  continuousNm: FigureState
  armatureOhm: FigureState
  /** Most mean volts that the drive can give the armature. */
  outputV: FigureState
  /** Share of the flux that the weakest field leaves; one where the field is fixed. */
  weakestFlux: FigureState
  /** Fastest by armature and field. */
  topRpm: FigureState
  /** Brush against commutator at the top. */
  brushMPerS: FigureState
  /** Rheostat that weakens the field to its weakest, and what it burns. */
  rheostatOhm: FigureState | undefined
  rheostatW: FigureState | undefined
  /** Most ohms across the field that keep an opened field harmless. */
  suppressorMostOhm: FigureState
}

const formFactors: Readonly<Record<Rectifier, keyof PlanningTables['planning']>> = {
  'one-phase': 'formFactorOnePhase',
  'three-phase': 'formFactorThreePhase',
  smooth: 'formFactorSmooth',
}

type Before = Knowing<{ motor: MotorFacts; supply: SupplyFacts }>

/** What a DC motor on its drive comes to. */
export function dcFacts(context: Before): DcFacts {
  const { plan, ledger, tables, motor } = context
  const formFactor = ledger.givenOr('dcDrive.formFactor', () => {
    const naming = named('dc.formFactor', 'Form factor of the armature’s current', 'number')
    const { rectifier } = plan.dcDrive
    if (rectifier === undefined) return ledger.block(naming, [unknownField('dcDrive.rectifier', 'Its direct current')])
    const { value, citation } = tables.planning[formFactors[rectifier]]
    return ledger.typical(naming, value, citation)
  })
  const { continuousA, continuousNm } = ledger.compute(
    dcFormFactor,
    {
      continuousA: named('dc.continuousA', 'Armature, all day', 'current'),
      continuousNm: named('dc.continuousNm', 'Torque all day, full field', 'torque'),
    },
    { ratedA: motor.plateCurrentA, formFactor, ratedTorqueNm: motor.torqueNm },
  )
  const weakestFlux = weakest(context)
  const topRpm = topByField(context, weakestFlux)
  const ofField = { fieldV: ledger.given('motor.fieldVoltageV'), fieldA: ledger.given('motor.fieldCurrentA') }
  const weakened = plan.dcDrive.fieldControl === 'by-hand' || plan.dcDrive.fieldControl === 'by-drive'
  const rheostat = weakened
    ? ledger.compute(
        fieldResistor,
        {
          seriesOhm: named('dc.rheostatOhm', 'Resistor before the weakest field', 'resistance'),
          powerW: named('dc.rheostatW', 'It burns', 'heat'),
        },
        { ...ofField, fluxFraction: weakestFlux },
      )
    : undefined
  return {
    formFactor,
    continuousA,
    continuousNm,
    armatureOhm: ledger.givenOr('motor.armatureOhm', () =>
      ledger.derive(
        dcArmature,
        'armatureOhm',
        named('dc.armatureOhm', 'Armature, about', 'resistance'),
        {
          armatureV: motor.plateVoltageV,
          armatureA: motor.plateCurrentA,
          powerW: ledger.given('motor.powerW'),
          baseRpm: motor.ratedSpeedRpm,
        },
        { planning: true },
      ),
    ),
    outputV: outputVolts(context),
    weakestFlux,
    topRpm,
    brushMPerS: ledger.derive(
      commutatorSpeed,
      'speedMPerS',
      named('dc.brushSpeed', 'Brush on its commutator', 'beltSpeed'),
      {
        diameterMm: ledger.given('motor.commutatorMm'),
        speedRpm: topRpm,
      },
    ),
    rheostatOhm: rheostat?.seriesOhm,
    rheostatW: rheostat?.powerW,
    suppressorMostOhm: suppressor(context, ofField),
  }
}

/** Share of the flux at the weakest field: one where it is fixed; the ratio of the amps where they were measured. */
function weakest({ plan, ledger, motor }: Before): FigureState {
  const naming = named('dc.weakestFlux', 'Weakest field, of the full', 'fraction')
  const { fieldControl, weakestFieldA } = plan.dcDrive
  if (!hasFedField(plan)) return ledger.stated(naming, 1, 'given', [], 'No field here is fed by itself')
  if (fieldControl === undefined) return ledger.block(naming, [unknownField('dcDrive.fieldControl', 'The field is')])
  if (fieldControl === 'fixed') return ledger.stated(naming, 1, 'given', [], 'The field is fixed, full')
  const full = ledger.given('motor.fieldCurrentA')
  if (weakestFieldA !== undefined && isKnown(full))
    return ledger.stated(
      naming,
      Math.min(1, Math.max(weakestFieldA / full.value, LEAST_FLUX)),
      'measured',
      [ledger.given('dcDrive.weakestFieldA'), full],
      'Flux taken in proportion to the field’s amps',
    )
  const [base, top] = [motor.ratedSpeedRpm, ledger.given('motor.maximumRpm')]
  if (!isKnown(base) || !isKnown(top)) return ledger.block(naming, [base, top])
  return ledger.stated(
    naming,
    Math.min(1, Math.max(base.value / top.value, LEAST_FLUX)),
    'computed',
    [base, top],
    'Base over top speed of the plate',
  )
}

/** Under this a field is as good as lost. */
const LEAST_FLUX = 0.11

function topByField({ ledger, motor }: Before, weakestFlux: FigureState): FigureState {
  return ledger.derive(dcSpeed, 'speedRpm', named('dc.topRpm', 'Top by armature and field', 'speed'), {
    baseRpm: motor.ratedSpeedRpm,
    armatureFraction: choice(1, 'Armature volts, of the full'),
    fieldFraction: weakestFlux,
  })
}

/** Mean volts for the armature: by the drive's plate, else what its bridge makes of the wall at most. */
function outputVolts({ plan, ledger, supply }: Before): FigureState {
  return ledger.givenOr('dcDrive.outputV', () => {
    const naming = named('dc.outputV', 'Most volts for the armature', 'voltage')
    const { rectifier } = plan.dcDrive
    if (rectifier === undefined || rectifier === 'smooth')
      return ledger.block(naming, [unknownField('dcDrive.outputV', 'Armature volts it gives')])
    return ledger.derive(bridgeVoltage, 'mostV', naming, {
      supplyV: supply.feedV,
      phases: choice(rectifier === 'one-phase' ? 1 : 3, 'Phases'),
      control: choice('half', 'Bridge'),
    })
  })
}

function suppressor({ ledger, tables }: Before, ofField: { fieldV: FigureState; fieldA: FigureState }): FigureState {
  const { value, citation } = tables.planning.suppressionTimes
  const fieldV = numberOf(ofField.fieldV)
  return ledger.derive(
    fieldDischarge,
    'mostOhm',
    named('dc.suppressorMostOhm', 'Across the field, at most', 'resistance'),
    {
      ...ofField,
      mostV: {
        raw: fieldV === undefined ? undefined : value * fieldV,
        shown: fieldV === undefined ? '' : value * fieldV,
        label: `Volts that it may rise to: ${citation.toLowerCase()}`,
        from: [ofField.fieldV],
      },
    },
    { planning: true },
  )
}
