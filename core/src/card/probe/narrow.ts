/** One thing that may be the case, what each question would then be answered, and how likely it is before any is asked. */
export interface Possibility {
  id: string
  weight: number
  /** Answers that it allows, by question; a question that it says nothing of allows all. */
  allows: Readonly<Record<string, readonly string[]>>
}

export interface Question {
  id: string
  answers: readonly string[]
  /** What it costs to ask, in tries; 1 unless said. */
  cost?: number
}

export type Answers = Readonly<Record<string, string>>

const fits = ({ allows }: Possibility, question: string, answer: string): boolean =>
  allows[question]?.includes(answer) ?? true

/** What is still possible after some answers; questions that were not asked leave all. */
export const remaining = <P extends Possibility>(all: readonly P[], answers: Answers): P[] =>
  all.filter((one) => Object.entries(answers).every(([question, answer]) => fits(one, question, answer)))

const weightOf = (all: readonly Possibility[]): number => all.reduce((sum, { weight }) => sum + weight, 0)

/**
 * The question after which the least is left to be expected, for what it costs; nothing where none would tell them apart.
 *
 * @param left what is still possible
 */
export function nextQuestion<Q extends Question>(
  left: readonly Possibility[],
  questions: readonly Q[],
  answers: Answers,
): Q | undefined {
  let best: { question: Q; value: number } | undefined
  const whole = weightOf(left)
  for (const question of questions) {
    if (question.id in answers || left.length < 2) continue
    const parts = question.answers.map((answer) => weightOf(left.filter((one) => fits(one, question.id, answer))))
    const sum = parts.reduce((a, b) => a + b, 0)
    if (sum === 0) continue
    // Each part as likely as its weight; what is left then is that weight again.
    const expected = parts.reduce((total, part) => total + (part / sum) * part, 0)
    const value = (whole - expected) / (question.cost ?? 1)
    if (value > 1e-9 && (best === undefined || value > best.value + 1e-9)) best = { question, value }
  }
  return best?.question
}
