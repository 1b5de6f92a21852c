import { readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { PlanPath } from '../../src/plan'

/** A plate as typed, with what it says: fields that must be read, and fields that may at most be told as doubtful. */
export interface Plate {
  name: string
  text: string
  says: ReadonlyMap<PlanPath, number | string>
  doubtful: ReadonlySet<PlanPath>
}

const here = dirname(fileURLToPath(import.meta.url))
const read = (file: string): string => readFileSync(join(here, file), 'utf8')

const short: Record<string, PlanPath[]> = {
  powerW: ['motor.powerW'],
  rpm: ['motor.ratedSpeedRpm'],
  hz: ['motor.ratedFrequencyHz'],
  v: ['motor.lowVoltageV', 'motor.highVoltageV'],
  a: ['motor.lowVoltageA', 'motor.highVoltageA'],
  hv: ['motor.highVoltageV'],
  ha: ['motor.highVoltageA'],
  pf: ['motor.powerFactor'],
  eff: ['motor.efficiency'],
  sf: ['motor.serviceFactor'],
  poles: ['motor.platePoles'],
  frame: ['motor.frame'],
  ins: ['motor.insulationClass'],
  encl: ['motor.enclosure'],
  kg: ['motor.massKg'],
  max: ['motor.maximumRpm'],
  mount: ['motor.mounting'],
  cool: ['motor.cooling'],
  ct: ['motor.inverterDutyRatio'],
  fv: ['motor.fieldVoltageV'],
  fa: ['motor.fieldCurrentA'],
}

function meaning(text: string): Pick<Plate, 'says' | 'doubtful'> {
  const says = new Map<PlanPath, number | string>()
  const doubtful = new Set<PlanPath>()
  for (const part of text.trim().split(/\s+/)) {
    const [, mark, name = '', value] = /^(\??)([a-zA-Z-]+)(?:=(.*))?$/.exec(part) ?? []
    if (value === undefined) {
      says.set('motor.kind', name)
      continue
    }
    const paths = short[name]
    if (!paths) throw new Error(`No such field: ${part}`)
    value.split('/').forEach((v, i) => {
      const path = paths[i] ?? 'motor.kind'
      if (mark === '?') doubtful.add(path)
      else says.set(path, Number.isNaN(Number(v)) || name === 'frame' ? v : Number(v))
    })
  }
  return { says, doubtful }
}

/** A saying in the other order: `HP 3` becomes `3 HP`; a colon at the word stays behind. */
const turned = (saying: string): string => {
  const [word, value] = saying.split('|')
  return value === undefined ? saying : `${value} ${(word ?? '').replace(/[:=]$/, '')}`
}

/** Every plate of a file of sayings, word first and number first. */
export function sayings(file: 'sayings.txt' | 'others.txt' = 'sayings.txt'): Plate[] {
  return read(file)
    .split('\n')
    .filter((l) => l !== '' && !l.startsWith('#'))
    .flatMap((line, i) => {
      const [left = '', right = ''] =
        line.split('=> ').length > 2
          ? [line.slice(0, line.lastIndexOf('=> ')), line.slice(line.lastIndexOf('=> ') + 3)]
          : line.split('=> ')
      const rows = left
        .replace(/^\S+\s+/, '')
        .split(/\s+\/\s+(?=\S)(?=.*)/)
        .map((row) => row.trim().split(/\s{2,}/))
      const text = (said: (saying: string) => string) => rows.map((row) => row.map(said).join('  ')).join('\n')
      const asTyped = text((s) => s.replace('|', ' '))
      const other = text(turned)
      const both =
        asTyped === other
          ? [
              asTyped,
              [...rows]
                .reverse()
                .map((row) => [...row].reverse().join('  '))
                .join('\n'),
            ]
          : [asTyped, other]
      return both.map((t, k) => ({
        name: `${i + 1}${k === 0 ? '' : ' turned'}: ${t.replaceAll('\n', ' // ')}`,
        text: t,
        ...meaning(right),
      }))
    })
}

/** Plates that only stand as they are. */
export function whole(): Plate[] {
  return read('whole.txt')
    .replace(/^#.*\n/gm, '')
    .split(/^--\n/m)
    .filter((p) => p.trim() !== '')
    .map((plate, i) => {
      const [text = '', right = ''] = plate.split(/^=> /m)
      return {
        name: `whole ${i + 1}: ${text.trim().split('\n')[0] ?? ''}`,
        text: text.replace(/\n$/, ''),
        ...meaning(right),
      }
    })
}
