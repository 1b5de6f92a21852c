/** What a number on a plate may be. Those without a field of the plan are known so that nothing else takes their number. */
export const quantityIds = [
  'power',
  'volts',
  'amps',
  'hertz',
  'speed',
  'maxSpeed',
  'powerFactor',
  'efficiency',
  'serviceFactor',
  'poles',
  'breakdown',
  'mass',
  'capacitance',
  // Known, not taken:
  'otherAmps',
  'torque',
  'percent',
  'temperature',
  'minutes',
  'speedConstant',
  'length',
  'wires',
] as const
export type QuantityId = (typeof quantityIds)[number]

/** Which circuit of the motor a number belongs to, where a plate tells several. */
export type Part = 'armature' | 'field' | 'capacitor' | 'other'

export interface Term {
  quantity: QuantityId
  /** Base units in one of the unit it names; undefined where it names none. */
  factor?: number
  part?: Part
  /** Only a label: a number stands before it seldom. */
  label?: true
  /** One letter that means it only beside a sign: `n = 1420`, `U [V]`. */
  weak?: true
}

const KW_PER_HP = 0.745699871582
const KW_PER_METRIC_HP = 0.073549875 * 10
const KG_PER_LB = 0.45359237

const term = (quantity: QuantityId, words: string, more: Omit<Term, 'quantity'> = {}): [string, Term][] =>
  words.split(',').map((phrase) => [phrase.trim(), { quantity, ...more }])

const label = { label: true } as const

/** Words in small letters, without dots, blanks between; in the languages plates are printed in. */
const said: ReadonlyMap<string, Term> = new Map([
  ...term('power', 'kw, kilowatt, kilowatts', { factor: 1000 }),
  ...term('power', 'w, watt, watts', { factor: 1 }),
  ...term('power', 'hp, bhp, horsepower, horse power, cv hp', { factor: KW_PER_HP * 1000 }),
  ...term('power', 'ps, cv, ch, pk, hk', { factor: KW_PER_METRIC_HP * 1000 }),
  ...term(
    'power',
    'power, output, rated power, rated output, output power, power output, pn, leistung, nennleistung, puissance, potenza, potencia, abgabe, p2',
    label,
  ),
  ...term('power', 'p', { ...label, weak: true }),

  ...term('volts', 'v, volt, volts, vac, v ac, vca, v ca, vb, volts ac, v a c, ac volts', { factor: 1 }),
  ...term(
    'volts',
    'voltage, voltages, rated voltage, line voltage, un, spannung, nennspannung, tension, tensione, tensión, voltaje, voltaggio, spannungen',
    label,
  ),
  ...term('volts', 'u', { ...label, weak: true }),
  ...term(
    'amps',
    'a, amp, amps, ampere, amperes, ampères, fla, f l a, full load amps, full load current, fl amps, fl a, flc',
    { factor: 1 },
  ),
  ...term('amps', 'ma', { factor: 0.001 }),
  ...term(
    'amps',
    'current, rated current, strom, nennstrom, courant, intensité, intensite, corrente, corriente, intensidad',
    label,
  ),
  ...term('amps', 'i, in', { ...label, weak: true }),
  ...term('hertz', 'hz, hertz, cy, cyc, cycle, cycles, cps, c p s, per', { factor: 1 }),
  ...term('hertz', 'khz', { factor: 1000 }),
  ...term('hertz', 'frequency, freq, fn, frequenz, nennfrequenz, fréquence, frequence, frequenza, frecuencia', label),
  ...term('hertz', 'f', { ...label, weak: true }),
  ...term('speed', 'rpm, r p m, revs, upm, u p m', { factor: 1 }),
  ...term(
    'speed',
    'speed, rated speed, full load speed, fl rpm, full load rpm, nn, drehzahl, nenndrehzahl, vitesse, velocità, velocita, giri, velocidad, toerental, tours',
    label,
  ),
  ...term('speed', 'n', { ...label, weak: true }),
  ...term(
    'maxSpeed',
    'max rpm, max speed, max safe rpm, max safe speed, maximum speed, maximum rpm, max operating speed, maximum safe speed, maximum operating speed, safe speed, n max, nmax, nmax rpm, mechanical limit, max mech speed, vitesse max, giri max, velocidad max, höchstdrehzahl',
    label,
  ),

  ...term(
    'powerFactor',
    'cosφ, cos φ, cosphi, cos phi, cosfi, cos fi, cos, cosf, pf, p f, power factor, p factor, leistungsfaktor, facteur de puissance, fattore di potenza, factor de potencia',
    label,
  ),
  ...term(
    'efficiency',
    'eff, efficiency, nom eff, nominal efficiency, nema nom eff, nema nominal efficiency, nom efficiency, nema eff, fl eff, full load eff, guaranteed efficiency, min eff, η, eta, rend, rendement, rendimento, rendimiento, wirkungsgrad',
    label,
  ),
  ...term(
    'serviceFactor',
    'sf, s f, service factor, serv factor, serv fac, ser fact, srv fact, serv fact, service fact, ser f, serv f',
    label,
  ),
  ...term(
    'poles',
    'pole, poles, pol, polig, polos, poli, pôles, polzahl, pole no, no of poles, number of poles, polpaare 2p',
    label,
  ),
  ...term(
    'breakdown',
    'ma/mn, mk/mn, cmax/cn, mmax/mn, tmax/tn, bdt, pull out, pullout, breakdown torque, kippmoment',
    label,
  ),
  ...term('poles', 'pole pairs, pole pair, polpaare, paires de pôles, pares de polos, coppie polari', {
    label: true,
    factor: 2,
  }),
  ...term('mass', 'kg, kgs, kilo, kilos, kilograms', { factor: 1 }),
  ...term('mass', 'lb, lbs, pounds', { factor: KG_PER_LB }),
  ...term('mass', 'weight, wt, mass, gewicht, masse, poids, peso', label),
  ...term('capacitance', 'uf, mfd, mf, microfarad, microfarads', { part: 'capacitor' }),
  ...term('volts', 'cap v, cap volts, capacitor volts, capacitor voltage, vdb, v db, vcc cap', {
    factor: 1,
    part: 'capacitor',
  }),

  ...term(
    'volts',
    'v arm, volts arm, arm v, arm volts, armatura v, armatura volt, induit v, inducido v, indotto v, arm voltage, armature volts, armature v, armature voltage, anker v, ankerspannung, anker volt',
    {
      factor: 1,
      part: 'armature',
    },
  ),
  ...term(
    'amps',
    'a arm, amps arm, armatura a, induit a, inducido a, indotto a, arm a, arm amps, arm current, armature amps, armature a, armature current, anker a, ankerstrom',
    {
      factor: 1,
      part: 'armature',
    },
  ),
  ...term(
    'volts',
    'v field, volts field, v fld, volts fld, field v, field volts, field voltage, fld v, fld volts, shunt field volts, exc v, exc volts, excitation volts, excitation voltage, erregung v, erreger v, erregerspannung',
    { factor: 1, part: 'field' },
  ),
  ...term(
    'amps',
    'a field, amps field, a fld, amps fld, field a, field amps, field current, fld a, fld amps, exc a, exc amps, excitation amps, excitation current, erregung a, erreger a, erregerstrom',
    { factor: 1, part: 'field' },
  ),
  ...term('volts', 'vdc, v dc, volts dc, vcc, v d c, dc volts, dc v, v=', { factor: 1 }),
  ...term('amps', 'adc, a dc, amps dc, dc amps, dc a', { factor: 1 }),

  ...term(
    'otherAmps',
    'sfa, s f a, sf amps, service factor amps, s f amps, max amps, max a, max current, maximum current, peak current, amps at sf, sfamps, peak a, peak amps, apk, imax, no load amps, no load a, nla, lra, locked rotor amps, i0, ia/in, is/in, starting current, id/in',
    label,
  ),
  ...term(
    'torque',
    'nm, n m, lb ft, ft lb, ftlb, lbft, lb in, in lb, oz in, kgm, mkg, torque, holding torque, drehmoment, nenndrehmoment, ncm',
  ),
  ...term('percent', 'ed, duty cycle, form factor, ff'),
  ...term('temperature', '°c, deg c, degc, degrees c, °f, deg, °, degrees, grad, celsius'),
  ...term(
    'temperature',
    'amb, ambient, amb temp, max amb, max ambient, temp, temp rise, rise, ta, tamb, umgebung, temp amb, t amb, t ambiente',
    label,
  ),
  ...term('speedConstant', 'rpm/v, kv, r/min/v, u/min/v'),
  ...term('length', 'mm, cm'),
  ...term('wires', 'wires, wire, fili, fils, adern'),
  ...term('minutes', 'min, mins, minutes, minuten, hr, hrs, hours'),
])

/** A limit is given in the unit of what it limits: `max speed 2700 rpm`, `SFA 9.8 A`. */
const family: Partial<Record<QuantityId, QuantityId>> = { maxSpeed: 'speed', otherAmps: 'amps' }
const familyOf = (id: QuantityId): QuantityId => family[id] ?? id

/** Whether two words may stand at one number. */
export const sameThing = (a: Term, b: Term): boolean =>
  familyOf(a.quantity) === familyOf(b.quantity) &&
  (a.part === b.part || a.part === undefined || b.part === undefined) &&
  (a.factor === b.factor || a.factor === undefined || b.factor === undefined)

/** Both words of one number as one: the special one says what it is, the unit how it is measured. */
export function joinedTerm(a: Term, b: Term): Term {
  const part = b.part ?? a.part
  const factor = b.factor ?? a.factor
  return {
    quantity: family[b.quantity] === undefined ? a.quantity : b.quantity,
    ...(factor === undefined ? {} : { factor }),
    ...(part === undefined ? {} : { part }),
    ...(a.label === true && b.label === true ? { label: true } : {}),
  }
}

/** What the words of a phrase mean, if they mean a quantity. */
export const termOf = (phrase: string): Term | undefined => said.get(phrase)

/** The most words in a phrase above. */
export const LONGEST_PHRASE = 4
