import type { components } from '../api/schema'

export type Question = components['schemas']['QuestionWire']
/** What was answered, under the field it fills. */
export type Answers = Record<string, string | undefined>

/** The questions that are asked after what was answered so far. */
export function askedOf(questions: readonly Question[], answers: Answers): Question[] {
  return questions.filter((q) => {
    if (!q.when) return true
    const on = q.when.ask
    const said = answers[on] ?? questions.find((o) => o.ask === on)?.usual ?? undefined
    return said !== undefined && q.when.is.includes(said)
  })
}

/** The answers as they are sent: of what is asked, a count as a number. */
export function sentOf(questions: readonly Question[], answers: Answers): Record<string, string | number> {
  const said = askedOf(questions, answers).flatMap((q): [string, string | number][] => {
    const answer = answers[q.ask] ?? q.usual ?? ''
    if (q.by === 'count' || q.by === 'offer')
      return /^[-−]?\d+$/.test(answer) ? [[q.ask, Number(answer.replace('−', '-'))]] : []
    return answer === '' ? [] : [[q.ask, answer]]
  })
  return Object.fromEntries(said)
}
