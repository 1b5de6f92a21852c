import type { Plan } from '../../plan'
import { nextQuestion, remaining, type Answers } from './narrow'
import { causesOf, type RunCause } from './runCauses'
import { questionsOf, type RunQuestion } from './runQuestions'

/** How far the search is. */
export interface RunSearch {
  left: RunCause[]
  /** The question that narrows it most; nothing once one is left, or none would tell them apart. */
  next: RunQuestion | undefined
  asked: { question: RunQuestion; answer: string }[]
}

/** Where the search for why nothing happens on RUN stands: what is left, and the one question that narrows it most. */
export function nothingOnRun(plan: Plan, answers: Answers): RunSearch {
  const questions = questionsOf(plan)
  const left = remaining(causesOf(plan), answers).sort((a, b) => b.weight - a.weight)
  return {
    left,
    next: nextQuestion(left, questions, answers),
    asked: questions.flatMap((question) => {
      const answer = answers[question.id]
      return answer === undefined ? [] : [{ question, answer }]
    }),
  }
}
