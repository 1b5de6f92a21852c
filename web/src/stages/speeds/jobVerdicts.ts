import type { JobVerdict } from '@zesty/core/speeds'
import type { MarkKind } from '../../parts/Mark'

/** How a job goes on a position, in the words of every table. */
export const jobVerdicts: Record<JobVerdict, { kind: MarkKind; words: string }> = {
  'all-day': { kind: 'ok', words: 'all day' },
  'speed-only': { kind: 'ok', words: 'speed is there' },
  moments: { kind: 'note', words: 'for moments' },
  'may-stall': { kind: 'watch', words: 'may stall' },
  weak: { kind: 'watch', words: 'stalls' },
  'too-fast': { kind: 'watch', words: 'too fast for it' },
  'too-slow': { kind: 'watch', words: 'too slow for it' },
  'over-limit': { kind: 'stop', words: 'over the mark' },
}
