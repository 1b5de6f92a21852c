import { z } from 'zod'

/** What no database and no file keeps: the letter that ends texts, and halves of pairs that came apart. */
const broken = /\0|\p{Surrogate}/gu

const mended = (text: string): string => text.replace(broken, '')

/** How many letters a text has, counted as people and JSON Schema count: a pair of surrogates is one. */
const lettersOf = (text: string): number => Array.from(text).length

/**
 * The first letters of a text, none of them cut in half.
 *
 * @example cut('ab🙂c', 3) // 'ab🙂'
 */
export const cut = (text: string, letters: number): string =>
  // No text has more letters than it has units.
  text.length <= letters ? text : Array.from(text).slice(0, letters).join('')

const atMost = (longest: number) => (ctx: z.core.ParsePayload<string>) => {
  if (ctx.value.length > longest && lettersOf(ctx.value) > longest)
    ctx.issues.push({ code: 'too_big', origin: 'string', maximum: longest, inclusive: true, input: ctx.value })
}

/**
 * Every text that is typed, sent or stored: at most `longest` letters, counted by code point. What cannot be kept, NUL
 * and half surrogates, is taken out.
 */
export const text = (longest: number) =>
  z.string().overwrite(mended).check(atMost(longest)).meta({ maxLength: longest })

/** A text that must say something, without spaces around it. */
export const nameText = (longest: number) =>
  z.string().overwrite(mended).trim().min(1).check(atMost(longest)).meta({ maxLength: longest })
