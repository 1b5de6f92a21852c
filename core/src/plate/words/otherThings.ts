import { low, type Reader, type Saying, set } from './saying'

const abouts: readonly (readonly [ReadonlySet<string>, NonNullable<Saying['about']>])[] = [
  [set('arm armature anker induit armatura indotto inducido rotor'), 'armature'],
  [set('field fld shunt exc excitation erregung erreger excit eccitazione champ campo feld'), 'field'],
  [
    set(
      'cap capacitor capacitors kondensator condensateur condensatore condensador kond cond betriebskondensator anlaufkondensator',
    ),
    'capacitor',
  ],
  [
    set(
      'brake bremse frein freno brems heater heaters heizung heating tacho tachometer encoder resolver ptc thermistor klixon fremdlüfter lüfter blower',
    ),
    'other',
  ],
]

export const others: Reader = (pieces, at) => {
  // `CAP START` is a kind of motor.
  if (/^(start|run|motor|cooled)$/.test(low(pieces[at + 1]))) return undefined
  // `SHUNT WOUND` and `STAB SHUNT` tell how the motor is wound; `SHUNT FIELD` tells what comes next.
  if (low(pieces[at]) === 'shunt' && !/^(field|fld|v|volts?|a|amps?)$/.test(low(pieces[at + 1]))) return undefined
  const about = abouts.find(([words]) => words.has(low(pieces[at])))?.[1]
  return about && { takes: 1, about }
}
