import { behind, low, one, type Reader, set } from './saying'

const IP_FIRST = /^[0-6]\d$/
const enclosures: Record<string, string> = {
  tefc: 'TEFC',
  tenv: 'TENV',
  teao: 'TEAO',
  tebc: 'TEBC',
  odp: 'ODP',
  dp: 'ODP',
  open: 'ODP',
  dripproof: 'ODP',
  xp: 'XP',
  wpi: 'WPI',
}
const enclosureWords = set('encl enc enclosure schutzart protection protezione protección indice')
const mountings: Record<string, string> = {
  '3': 'feet',
  '6': 'feet',
  '7': 'feet',
  '8': 'feet',
  '5': 'face',
  '14': 'face',
  '34': 'both',
  '35': 'both',
}
const coolings: Record<string, string> = {
  '411': 'shaft-fan',
  '416': 'blower',
  '410': 'liquid-or-none',
  '418': 'liquid-or-none',
}

export const housing: Reader = (pieces, at, taken) => {
  const word = low(pieces[at])
  const number = pieces[at + 1]
  if (word === 'ip' && number?.is === 'number' && IP_FIRST.test(number.text))
    return { takes: 2, ...one('motor.enclosure', `IP${number.text}`) }
  const degree = pieces[at - 1]
  if (word === 'ip' && degree?.is === 'number' && !taken[at - 1] && IP_FIRST.test(degree.text))
    return { takes: 1, back: 1, ...one('motor.enclosure', `IP${degree.text}`) }
  if (pieces[at]?.is === 'code' && /^IP[0-6]\dW?$/i.test(pieces[at].text))
    return { takes: 1, ...one('motor.enclosure', pieces[at].text.toUpperCase()) }
  if (word in enclosures) {
    // An open circuit or an open lead is no enclosure.
    if (word === 'open' && low(pieces[at + 1]) !== 'dripproof' && low(pieces[at + 1]) !== 'drip') return undefined
    const more = low(pieces[at + 1]) === 'drip' ? 3 : word === 'open' ? 2 : 1
    return { takes: more, ...one('motor.enclosure', enclosures[word] ?? '') }
  }
  if (word === 'drip' && (low(pieces[at + 1]) === 'proof' || low(pieces[at + 2]) === 'proof'))
    return { takes: low(pieces[at + 1]) === 'proof' ? 2 : 3, ...one('motor.enclosure', 'ODP') }
  if (word === 'totally' && low(pieces[at + 1]) === 'enclosed') {
    const fan = low(pieces[at + 2]) === 'fan'
    return fan ? { takes: 4, ...one('motor.enclosure', 'TEFC') } : { takes: 2 }
  }
  if (enclosureWords.has(word) && !['ip'].includes(word)) {
    const to = behind(pieces, at + 1)
    const next = pieces[to]
    if (
      word.startsWith('enc') &&
      next?.is === 'word' &&
      !(low(next) in enclosures) &&
      low(next) !== 'ip' &&
      /^[A-Z]{2,4}$/.test(next.text)
    )
      return { takes: to + 1 - at }
    return { takes: to - at }
  }
  if (word === 'ic' && number?.is === 'number') {
    const cooling = coolings[number.text.replace(/^0/, '')]
    return { takes: 2, ...(cooling === undefined ? {} : one('motor.cooling', cooling)) }
  }
  if (/^(water|liquid)$/.test(word) && [low(pieces[at + 1]), low(pieces[at + 2])].includes('cooled'))
    return { takes: low(pieces[at + 1]) === 'cooled' ? 2 : 3, ...one('motor.cooling', 'liquid-or-none') }
  if (/^(wassergekühlt|flüssiggekühlt)$/.test(word)) return { takes: 1, ...one('motor.cooling', 'liquid-or-none') }
  if (/^(b|imb)$/.test(word) && number?.is === 'number' && mountings[number.text] && pieces[at]?.to === number.from)
    return { takes: 2, ...one('motor.mounting', mountings[number.text] ?? '') }
  if (word === 'im' && low(pieces[at + 1]) === 'b' && mountings[pieces[at + 2]?.text ?? ''])
    return { takes: 3, ...one('motor.mounting', mountings[pieces[at + 2]?.text ?? ''] ?? '') }
  return undefined
}
