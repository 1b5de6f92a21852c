import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { jsonSchemas } from '../src/formats/jsonSchemas'
import { libraryCsv, readLibraryCsv } from '../src/library/libraryCsv'
import { emptyPlan, readPlan } from '../src/plan'
import { readPlate } from '../src/plate/readPlate'
import { parsePair, parseQuantity, parseSupplyWords } from '../src/quantities'
import { cut, nameText, text } from '../src/rules/text'

const read = (schema: ReturnType<typeof text>, value: string) => {
  const parsed = schema.safeParse(value)
  return parsed.success ? parsed.data : parsed.error.issues.map(({ code }) => code)
}

describe('a text', () => {
  test('loses what cannot be kept, and nothing else', () => {
    expect(read(text(40), 'a\0b\ud800c\udfffd')).toBe('abcd')
    expect(read(text(40), '🙂 ⅜ Ω\n\t\u0001\ufffd')).toBe('🙂 ⅜ Ω\n\t\u0001\ufffd')
  })
  test('can always be kept: it is well formed, without NUL, as long as allowed, and read again it is the same', () => {
    const letters = fc.array(fc.integer({ min: 0, max: 0xffff }), { maxLength: 30 })
    fc.assert(
      fc.property(letters, (units) => {
        const kept = read(text(20), String.fromCharCode(...units))
        if (typeof kept !== 'string') return kept.join() === 'too_big'
        return (
          !kept.includes('\0') &&
          new TextDecoder().decode(new TextEncoder().encode(kept)) === kept &&
          Array.from(kept).length <= 20 &&
          read(text(20), kept) === kept
        )
      }),
    )
  })
  test('is as long as its letters', () => {
    expect(read(text(3), '🙂🙂🙂')).toBe('🙂🙂🙂')
    expect(read(text(3), '🙂🙂🙂.')).toEqual(['too_big'])
    expect(read(text(3), 'abcd')).toEqual(['too_big'])
  })
  test('that is a name says something', () => {
    expect(read(nameText(5), ' \0 ')).toEqual(['too_small'])
    expect(read(nameText(5), '  a\0b  ')).toBe('ab')
  })
  test('is cut between letters', () => {
    expect(cut('ab🙂c', 3)).toBe('ab🙂')
    expect(cut('🙂', 1)).toBe('🙂')
    expect(cut('abc', 5)).toBe('abc')
  })
  test('of a plan is mended wherever it stands', () => {
    const plan = readPlan({ ...emptyPlan('La\0the'), motor: { frame: '90\ud800L' } })
    expect(plan.ok && [plan.value.name, plan.value.motor.frame]).toEqual(['Lathe', '90L'])
  })
  test('tells its longest in the JSON Schema, by the letters that JSON Schema counts', () => {
    expect(JSON.stringify(jsonSchemas())).toContain('"title":"Machine","maxLength":80')
  })
})

describe('what is longer than anything a person writes', () => {
  const digits = '1'.repeat(201)
  test('is no quantity', () => {
    for (const parsed of [parseQuantity(digits, 'power'), parsePair(digits, 'voltage'), parseSupplyWords(digits)])
      expect(parsed).toEqual({ ok: false, message: 'That is too long: a value is at most 200 letters.' })
    expect(parseQuantity(`${'0'.repeat(190)}15 kW`, 'power')).toEqual({ ok: true, value: 15_000 })
  })
  test('is no line of a plate: what was left unread is said', () => {
    const [line] = readPlate(`1.5 kW ${'x'.repeat(400)} 50 Hz`, emptyPlan('Lathe')).lines
    expect(line?.understood.map(({ path }) => path)).toEqual(['motor.powerW'])
    expect(line?.notes).toEqual([expect.stringMatching(/first 300 letters of a line are read/)])
  })
  test('is no plate: lines left unread are counted', () => {
    const { lines, patch } = readPlate(`${'x\n'.repeat(60)}1.5 kW\n50 Hz`, emptyPlan('Lathe'))
    expect(lines.at(-1)).toMatchObject({ text: '2 more lines', notes: [expect.stringMatching(/first 60 lines/)] })
    expect(patch).toEqual([])
  })
  test('is no heading and no cell of a table', () => {
    expect(readLibraryCsv('motor', `${'('.repeat(1000)}\n1`)).toMatchObject({
      ok: false,
      faults: [{ field: 'line 1' }],
    })
    expect(readLibraryCsv('motor', ','.repeat(1000))).toMatchObject({ ok: false, faults: [{ field: 'line 1' }] })
    expect(readLibraryCsv('motor', `Name\n${'"'.repeat(50_000)}`)).toMatchObject({
      ok: false,
      faults: [{ field: 'line 2', message: 'is longer than 40000 letters' }],
    })
    const heading = libraryCsv('motor', []).split(/\r?\n/)[0] ?? ''
    const long = readLibraryCsv('motor', `${heading}\nSpare,${'steam '.repeat(1000)}`)
    expect(long.ok).toBe(false)
    expect(JSON.stringify(long).length).toBeLessThan(500)
  })
  test('is no table, though its lines be empty', () => {
    expect(readLibraryCsv('motor', `Name${'\n'.repeat(9000)}Spare`)).toMatchObject({
      ok: false,
      faults: [{ field: '', message: expect.stringMatching(/more than \d+ lines/) }],
    })
    expect(readLibraryCsv('motor', `Name${'\n'.repeat(900)}Spare`)).toMatchObject({ ok: true })
  })
  test('has its first fifty faults told, and how many more there are', () => {
    const read = readLibraryCsv('motor', `Name,Power\n${Array.from({ length: 80 }, (_, i) => `m${i},x`).join('\n')}`)
    expect(read.ok ? [] : read.faults.map(({ field }) => field)).toHaveLength(51)
    expect(read.ok ? undefined : read.faults.at(-1)).toEqual({ field: '', message: 'has 30 more faults' })
  })
})
