import { fieldbusWord } from '../controls/fieldbusWord'
import type { RegisterScale } from '../stages/registerScales'

/** What a speed register takes for some hertz, and a sentence that proves it. */
export interface RegisterWord {
  word: number
  /** Hertz that the word stands for. */
  wordHz: number
  limited: boolean
  /** How it is tried. */
  test: string
}

/** Hertz of one step. */
const stepOf = (scale: RegisterScale, baseHz: number): number =>
  scale === 'hertz-10' ? 0.1 : scale === 'hertz-100' ? 0.01 : baseHz / 100

/** What to write for some hertz; a text where the register cannot hold it. */
export function registerWord(
  scale: RegisterScale,
  frequencyHz: number,
  { baseHz, maximumHz, most }: { baseHz: number; maximumHz: number; most?: number | undefined },
): RegisterWord | string {
  const made = fieldbusWord.run({ frequencyHz, resolutionHz: stepOf(scale, baseHz), maximumHz })
  if (!made.ok) return made.faults[0]?.message ?? 'The register does not hold it'
  const { word, wordHz, limited } = made.value
  if (most !== undefined && word > most)
    return `must be at most ${most}: the manual’s highest word; these hertz are ${word}`
  const shown = Math.round(wordHz * 100) / 100
  return {
    word,
    wordHz,
    limited,
    test: `Motor bare, RUN from the bus: write ${word}; the drive’s display reads ${shown} Hz. Ten or a hundred times that, or a tenth, is another scale: STOP first, then the scale.`,
  }
}
