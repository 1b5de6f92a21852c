import { moreAmps, heavyWork, drags, otherGears, threeFeet, beltSlips, fastPosition } from './commonCauses'
import { numberOf } from '../facts/figure'
import { hasFedField } from '../plan'
import { amount, amps, message, percent, rpm, volts } from '../quantities'
import type { SymptomId } from '../log/symptoms'
import { against, cause, type Causes } from './causes'

const FIELD_FIRST = 'Off, locked, waited; never with the armature fed: volts and amps of the field alone.'

/** Of a DC motor and its drive: armature, field, brushes and what feeds them. */
export const dcCauses = {
  'runs-away': ({ plan, facts }) => {
    const top = facts.dc && numberOf(facts.dc.topRpm)
    return [
      cause(
        'field',
        hasFedField(plan) ? (plan.dcDrive.fieldLossTrip === true ? 0.6 : 0.9) : 0.05,
        'Its field is lost or weak: a broken lead, a dead rectifier, a rheostat with a worn spot',
        FIELD_FIRST,
        'Mend it, and prove the trip: one field lead lifted, least speed, belt off.',
        plan.dcDrive.fieldLossTrip === true ? undefined : message`No trip for a lost field is told.`,
      ),
      cause(
        'feedback',
        plan.drive.kind === 'dc' ? 0.4 : 0.2,
        'The tachometer or armature feedback of the drive is open or turned over',
        'Its two leads, dead: whole, and the right way round.',
        'Land it; a lost feedback must trip the drive.',
      ),
      cause(
        'weakened',
        plan.dcDrive.fieldControl === 'by-hand' ? 0.5 : 0.2,
        'The field was left weak',
        'Where does the rheostat stand?',
        'Back to full; a contact that starts it on full field only.',
        top === undefined ? undefined : message`At its weakest it turns ${rpm(top)}.`,
      ),
      cause(
        'series',
        plan.motor.fieldKind === 'series' ? 0.9 : 0.02,
        'A series motor without its load',
        'Its plate.',
        'Never uncoupled; another motor.',
      ),
    ]
  },
  sparks: ({ plan, plateA, worstAmps, overPlate, facts }) => {
    const speed = facts.dc && numberOf(facts.dc.brushMPerS)
    return [
      cause(
        'brushes',
        plan.dcDrive.brushes === 'worn' || plan.dcDrive.brushes === 'sparking' ? 0.8 : 0.5,
        'Brushes short, stuck in their boxes, or not bedded in',
        'Off and locked: length, free by their own spring, face bright all over?',
        'New ones of the same grade, bedded with glass paper, dust blown out.',
      ),
      cause(
        'commutator',
        plan.dcDrive.commutator === 'burnt' ? 0.9 : plan.dcDrive.commutator === 'grooved' ? 0.7 : 0.35,
        'Commutator grooved, mica proud, or burnt bars at equal distances',
        'Turn it by hand, locked off, with a lamp.',
        'Turned and undercut; burnt bars to a winder.',
      ),
      cause(
        'load',
        against(worstAmps, plateA),
        'More amps than the armature is made for',
        'Amps during the work.',
        'Less cut, a slower position.',
        overPlate,
      ),
      cause(
        'ripple',
        plan.dcDrive.rectifier === 'one-phase' ? 0.4 : 0.15,
        'The current comes in pulses',
        'Does it spark less at half the load?',
        'A choke in the armature.',
      ),
      cause(
        'neutral',
        0.3,
        'The brush ring stands off the neutral',
        'Worse one way round than the other?',
        'Back on its mark; with kicks at standstill, by who knows it.',
      ),
      cause(
        'speed',
        plan.dcDrive.fieldControl === 'fixed' ? 0.1 : 0.3,
        'It turns too fast for them, its field weak',
        'Does it stop sparking at base speed?',
        'A lower top.',
        speed === undefined ? undefined : message`At the top they run at ${amount('beltSpeed', speed)}.`,
      ),
    ]
  },
  'field-lost': ({ plan }) => [
    cause('lead', 0.6, 'A lead or terminal of the field is loose', FIELD_FIRST, 'Dead and locked: land it, tug.'),
    cause(
      'rheostat',
      plan.dcDrive.fieldControl === 'by-hand' ? 0.6 : 0.1,
      'A worn or burnt spot in the rheostat',
      'Dead: ohms while it is turned slowly end to end.',
      'A new one, with a fixed stop at the weakest field.',
    ),
    cause(
      'supply',
      0.4,
      'Its fuse or rectifier is gone',
      'Volts across the field, armature off.',
      'Replace it, and look for why.',
    ),
    cause(
      'relay',
      plan.dcDrive.weakestFieldA === undefined ? 0.35 : 0.25,
      'The relay lets go above the weakest field that is wanted',
      'At which amps does it drop?',
      'Set it under the weakest field, by half again at the most; never bridged.',
      plan.dcDrive.weakestFieldA === undefined
        ? undefined
        : message`The weakest wanted is ${amps(plan.dcDrive.weakestFieldA)}.`,
    ),
    cause(
      'winding',
      0.25,
      'A coil of the field is open or shorted',
      'Drive taken off: ohms of the field, cold, against volts over amps of its plate.',
      'A winder.',
    ),
  ],
  'no-pull': ({ plan, facts, motor }) => {
    const [gives, plate] = [facts.dc && numberOf(facts.dc.outputV), numberOf(motor.plateVoltageV)]
    return [
      cause(
        'field',
        plan.dcDrive.fieldControl === 'fixed' || !hasFedField(plan) ? 0.3 : 0.6,
        'The field is weak: pull goes with it',
        'Amps of the field against its plate.',
        'Back to full field below base speed.',
        facts.dc && numberOf(facts.dc.weakestFlux) !== undefined
          ? message`At its weakest ${percent(numberOf(facts.dc.weakestFlux) ?? 1)} is left.`
          : undefined,
      ),
      cause(
        'limit',
        0.5,
        'The drive’s limit of amps is set low',
        'Amps of the armature as it stalls in the cut.',
        'Limit as the card has it.',
      ),
      cause(
        'load-comp',
        0.4,
        'Nothing makes up for the drop in the armature',
        'rpm with and without a cut.',
        'The drive’s compensation, a little at a time; too much and it hunts.',
      ),
      fastPosition,
      cause(
        'volts',
        against(plate, gives),
        'The drive gives fewer volts than the armature wants',
        'Volts of the armature at the top of the knob.',
        'Another drive, or a transformer before it.',
        gives === undefined || plate === undefined
          ? undefined
          : message`It gives ${volts(gives)}; the plate has ${volts(plate)}.`,
      ),
    ]
  },
  hot: (numbers) => {
    const { plan, facts } = numbers
    const [ripple, all] = [facts.dc && numberOf(facts.dc.formFactor), facts.dc && numberOf(facts.dc.continuousA)]
    return [
      cause(
        'fan',
        plan.motor.cooling === 'shaft-fan' ? 0.7 : 0.2,
        'Its fan turns with the shaft',
        'How slow does the work run?',
        'A blower of its own, or a slower position.',
      ),
      cause(
        'ripple',
        ripple === undefined ? 0.4 : Math.min(0.8, ripple - 0.7),
        'The ripple of its current heats and turns nothing',
        'A true-rms clamp beside the drive’s own mean amps.',
        'A choke in the armature, or less all day.',
        all === undefined ? undefined : message`On this current it bears ${amps(all)} all day.`,
      ),
      moreAmps(numbers),
      cause(
        'field',
        hasFedField(plan) ? 0.35 : 0.02,
        'Its field is fed at standstill too',
        'Is it warm after an hour off the knob?',
        'A contact that halves the field’s volts at standstill.',
      ),
    ]
  },
  'too-slow': ({ plan, facts, motor }) => {
    const [gives, plate] = [facts.dc && numberOf(facts.dc.outputV), numberOf(motor.plateVoltageV)]
    return [
      cause(
        'maximum',
        0.5,
        'The trim of the highest speed stands low',
        'Volts of the armature with the knob at its end.',
        'Its trim, as the card has it.',
      ),
      cause(
        'volts',
        against(plate, gives),
        'The drive has not the volts',
        'Volts at the wall, and of the armature at the end of the knob.',
        'Another drive, or a transformer.',
        gives === undefined || plate === undefined
          ? undefined
          : message`It gives ${volts(gives)}; the plate has ${volts(plate)}.`,
      ),
      cause(
        'field',
        plan.dcDrive.fieldControl === 'fixed' ? 0.5 : 0.2,
        'The field stays full: it ends at base speed',
        'Its plate: base and top.',
        'A faster position; or a field that can be weakened, with its trip.',
      ),
      cause(
        'knob',
        plan.controls.reference === 'knob' ? 0.4 : 0.2,
        'The knob does not reach its end',
        'Volts at its wiper at both ends.',
        'Its ends; the trim.',
      ),
      beltSlips,
    ]
  },
  slows: ({ plateA, worstAmps, overPlate }) => [
    cause(
      'warm',
      0.4,
      'Its field is warm and weaker, its armature too',
      'rpm cold and after an hour, same knob.',
      'A tachometer for its feedback, or the knob.',
    ),
    cause(
      'brushes',
      0.4,
      'Brushes lift or stick',
      'Off and locked: free by their own spring?',
      'Clean boxes, new springs.',
    ),
    cause(
      'joint',
      0.45,
      'A loose joint in the knob’s leads',
      'Move each lead, from outside the guard.',
      'Dead and locked: land it again, tug.',
    ),
    cause(
      'limit',
      against(worstAmps, plateA),
      'Its limit of amps holds it',
      'Amps while it slows.',
      'Less cut, or a slower position.',
      overPlate,
    ),
  ],
  wobbles: ({ plan }) => [
    cause(
      'compensation',
      0.5,
      'Compensation for the armature’s drop stands too high',
      'A step less: does it calm?',
      'Less, as the card has it.',
    ),
    cause(
      'brushes',
      0.35,
      'Brushes jump on grooves or mica',
      'Off and locked: the commutator with a lamp.',
      'Turned and undercut.',
    ),
    cause(
      'shield',
      plan.controls.reference === 'knob' ? 0.35 : 0.15,
      'The knob’s lead picks up the armature’s',
      'Wiper short-circuited to a fixed speed: gone?',
      'Shielded, apart from the armature’s leads.',
    ),
    cause('tacho', 0.3, 'The tachometer’s coupling or brushes', 'Its volts, at steady speed.', 'A new coupling.'),
  ],
  whistle: ({ plan }) => [
    cause(
      'ripple',
      plan.dcDrive.rectifier === 'smooth' ? 0.2 : 0.7,
      'Twice or six times the mains hum in its iron',
      'Does it hum with the load?',
      'A choke in the armature.',
    ),
    cause(
      'brushes',
      0.4,
      'Brushes squeal on a dry commutator',
      'Does it change while it warms?',
      'Bedded anew; the right grade.',
    ),
  ],
  shakes: () => [
    cause('compensation', 0.4, 'The drive hunts', 'Less compensation: gone?', 'Less, as the card has it.'),
    cause(
      'balance',
      0.4,
      'Armature, pulley or chuck out of balance',
      'Without the chuck: gone?',
      'Balance it, or less speed.',
    ),
    cause('coil', 0.25, 'A coil of the armature is open', 'Burnt bars at equal distances?', 'A winder.'),
    threeFeet,
  ],
  'over-current': ({ plan, up, quickest, rampNumbers }) => [
    cause(
      'field',
      hasFedField(plan) ? 0.6 : 0.05,
      'No field, or a weak one, as it starts',
      FIELD_FIRST,
      'Field first, and full.',
    ),
    cause(
      'ramp',
      against(quickest, up),
      'The ramp asks more than the drive gives',
      'Twice the ramp.',
      'Acceleration longer.',
      rampNumbers(up, quickest, 'rated torque brings it up in'),
    ),
    cause(
      'plug',
      plan.dcDrive.reversal === 'plug' ? 0.8 : 0.15,
      'It was thrown over while it turned',
      'Was it standing?',
      'Only from standstill.',
    ),
    cause(
      'armature',
      0.3,
      'Carbon dust or a coil to the frame',
      'Drive taken off: insulation of the armature, brushes lifted.',
      'Blown out; a winder.',
    ),
  ],
  overload: (numbers) => {
    const { facts, numberOfSetting } = numbers
    const [overload, all] = [numberOfSetting('overloadA'), facts.dc && numberOf(facts.dc.continuousA)]
    return [
      heavyWork(numbers),
      cause(
        'setting',
        overload !== undefined && all !== undefined && overload < all * 0.97 ? 0.7 : 0.2,
        'Overload amps are set under what it bears',
        'Read them back.',
        'As the card has it.',
        overload === undefined || all === undefined
          ? undefined
          : message`Set to ${amps(overload)}; it bears ${amps(all)} all day.`,
      ),
      cause(
        'field',
        0.4,
        'The field is weak, and amps make up for it',
        'Amps of the field.',
        'Full field below base speed.',
      ),
      drags,
    ]
  },
  'over-voltage': ({ plan, down, shortest, rampNumbers }) => [
    cause(
      'ramp',
      against(shortest, down),
      'The stop pumps back more than the drive takes',
      'Twice the deceleration: gone?',
      'Longer, or let it coast.',
      rampNumbers(down, shortest, 'least for it is'),
    ),
    cause(
      'generator',
      plan.dcDrive.reversal === 'regenerate' ? 0.5 : 0.2,
      'The mains do not take back what it gives',
      'Does it trip only at the end of a long stop?',
      'A resistor; volts of the wall.',
    ),
    cause(
      'opened',
      plan.dcDrive.suppression === 'none' ? 0.7 : 0.2,
      'The field was opened under current',
      'What stands across it?',
      'A resistor, varistor or diode on the field’s side.',
    ),
  ],
  'nothing-on-run': ({ plan }) => [
    cause(
      'field',
      hasFedField(plan) ? 0.6 : 0.05,
      'The relay of the field does not hold, so the armature stays off',
      FIELD_FIRST,
      'The field’s fuse, leads, rheostat; never the relay bridged.',
    ),
    cause(
      'interlock',
      plan.dcDrive.fieldInterlock === true ? 0.5 : 0.1,
      'The rheostat is not at full field',
      'Where does it stand?',
      'Turn it back to full.',
    ),
    cause('enable', 0.4, 'Its enable is open', 'Lamps; mushroom, guard.', 'Mushroom out, guard shut, links in.'),
    cause(
      'fuse',
      0.35,
      'The armature’s fuse is gone',
      'Dead: ohms of the fuse.',
      'The same kind, made for rectifiers; look for why.',
    ),
    cause('brushes', 0.3, 'A brush does not touch', 'Off and locked: each by its own spring.', 'Free it; a new one.'),
  ],
  'wrong-way': ({ plan }) => [
    cause(
      'armature',
      0.7,
      'The armature’s two leads stand the other way',
      'Look at the shaft, then at the spindle.',
      'Off, locked, waited, measured: change the armature’s two. Field and series winding stay.',
    ),
    cause(
      'both',
      plan.dcDrive.reversedBy === 'both' ? 0.7 : 0.1,
      'Armature and field were both turned over',
      'The wiring as built.',
      'Only the armature.',
    ),
    otherGears,
  ],
} satisfies Partial<Causes<SymptomId>>
