import type { CounterSheet, RequestAsks } from '../../api/counter'
import { sentOf, type Answers } from '../questions'

/** What is answered so far, as the shop takes it; what was not asked is not said. */
export function sheetOf(
  { request, tells, questions }: RequestAsks,
  answers: Answers,
  who: { client: string; watch: string; words: string; by: string; wearer: boolean },
  edition: number | null = null,
): CounterSheet {
  const of = (isByHand: boolean) => {
    const said = sentOf(questions, answers)
    return Object.fromEntries(
      questions.filter((q) => q.isByHand === isByHand && q.ask in said).map((q) => [q.ask, said[q.ask]]),
    )
  }
  return { request, ...who, edition, ...of(false), ...(tells && { byHand: { kind: tells, ...of(true) } }) }
}
