import { codesByName, settingsOf, type Manual } from '../manual'
import { recordKey, type CardLine } from './cardLine'
import { cautionFor } from './cautionFor'
import type { Making } from './making'

/** A line with what the manual says of its code, what it holds now, and what became of it. */
export function finished({ plan, manual, now }: Making, line: CardLine): CardLine {
  const code = line.code === undefined ? undefined : codesByName(manual).get(line.code)
  const held = line.code === undefined ? undefined : now.held[line.code]
  const by = line.code === undefined ? undefined : now.by[line.code]
  const record = plan.settings.entered?.[recordKey(line)]
  // A line that only serves another decides as much as one that the plan wants.
  const caution = cautionFor(code ? settingsOf(code) : line.settings)
  const keys = code?.keys ?? keysFor(manual, line)
  return {
    ...line,
    ...(held === undefined || by === undefined ? {} : { from: held, fromBy: by }),
    ...(code?.menu === undefined ? {} : { menu: code.menu }),
    ...(keys === undefined ? {} : { keys }),
    ...(code?.onlyStopped === true ? { onlyStopped: true } : {}),
    ...(code?.onlyUnplugged === true ? { onlyUnplugged: true } : {}),
    ...(code?.atFirstPower === true ? { atFirstPower: true } : {}),
    ...(caution === undefined ? {} : { caution }),
    ...(record === undefined ? {} : { record }),
    ...(record?.answer === 'entered' && record.value !== undefined && record.value !== line.value
      ? { stale: true }
      : {}),
  }
}

const keysFor = ({ keying }: Manual, { code, value }: CardLine): string | undefined =>
  code === undefined ? undefined : keying?.replaceAll('{code}', code).replaceAll('{value}', value)
