import type { ByHand, LoopSheet } from '../../api/shop'
import { byHandOf } from '../../loop/rows'

/** A variant that was tried: what lay on the mat, and what it came to. */
export interface Tried {
  key: string
  byHand: ByHand
  lengthMm: number
  offCentreMm: number
  troubleMm: number
  planned: boolean
}

/** How many are kept. */
export const most = 12

/** The trail with what is on the mat now added, the newest last; one tried before moves to the end. */
export function withTried(trail: readonly Tried[], loop: LoopSheet): Tried[] {
  if (!loop.layOut || !loop.figures || !loop.rulers) return [...trail]
  const byHand = byHandOf(loop.layOut)
  const key = JSON.stringify(byHand)
  const now: Tried = {
    key,
    byHand,
    lengthMm: loop.figures.lengthMm,
    offCentreMm: loop.rulers.offCentre.mm,
    troubleMm: loop.figures.troubleMm,
    planned: loop.isPlanned,
  }
  return [...trail.filter((t) => t.key !== key), now].slice(-most)
}
