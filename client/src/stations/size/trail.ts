import type { LoopSheet, Variant } from '../../api/shop'
import { byHandOf } from '../../drawing/rows'

/** A variant that was tried: what it was tried with, how it lay on the mat, and what it came to. */
export interface Tried {
  key: string
  variant: Variant
  lengthMm: number
  offCentreMm: number | null
  troubleMm: number
  planned: boolean
  /** What it was tried with besides the bracelet as it came, in a few words; empty where with nothing. */
  words: string
}

/** How many are kept. */
export const most = 12

/** The trail with what is on the mat now added, the newest last; one tried before moves to the end. */
export function withTried(trail: readonly Tried[], loop: LoopSheet): Tried[] {
  if (!loop.layOut || !loop.figures || !loop.rulers || !loop.variant) return [...trail]
  const variant = { with: loop.variant, lies: byHandOf(loop.layOut) }
  const key = JSON.stringify(variant)
  const now: Tried = {
    key,
    variant,
    lengthMm: loop.figures.lengthMm,
    offCentreMm: loop.rulers.offCentre?.mm ?? null,
    troubleMm: loop.figures.troubleMm,
    planned: loop.isPlanned,
    words: wordsOf(loop.variant),
  }
  return [...trail.filter((t) => t.key !== key), now].slice(-most)
}

function wordsOf(variant: Variant['with']): string {
  const taken = variant.links.reduce((sum, link) => sum + link.count, 0)
  return [
    ...(variant.claspPartId === null ? [] : ['other clasp']),
    ...(taken === 0 ? [] : [`${taken} from stock`]),
    ...(variant.freed.length === 0 ? [] : ['freed']),
  ].join(', ')
}
