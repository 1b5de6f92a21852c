import type { Plan } from '../plan'
import { message, seconds, type Message } from '../quantities'

/** How long it coasts, to stand behind “the spindle coasts”; nothing where nobody timed it. */
export const forSeconds = ({ survey }: Plan): Message =>
  survey.coastS === undefined ? message`` : message` for about ${seconds(survey.coastS)}`
