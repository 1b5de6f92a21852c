import type { WayVerdict } from '@zesty/core/compare'
import { Mark, type MarkKind } from '../../parts/Mark'

const marks: Readonly<Record<WayVerdict['answer'], { kind: MarkKind; word: string }>> = {
  good: { kind: 'ok', word: 'Good' },
  watch: { kind: 'watch', word: 'Watch' },
  stop: { kind: 'stop', word: 'Stop' },
  unknown: { kind: 'open', word: 'Not known' },
}

/** What a way is worth, by shape and word. */
export function VerdictMark({ of: { answer } }: { of: WayVerdict }) {
  const { kind, word } = marks[answer]
  return <Mark kind={kind} word={word} />
}
