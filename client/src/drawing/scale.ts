import type { Ruler } from '../api/shop'

/** The stretch of a ruler that is drawn. */
export interface Scale {
  from: number
  to: number
}

/** A scale wide enough for window and marker, with air at both ends. */
export function scaleOf(ruler: Ruler, least: number, most: number): Scale {
  const from = Math.min(least, ruler.mm - 1, (ruler.fromMm ?? ruler.mm) - 1)
  const to = Math.max(most, ruler.mm + 1, (ruler.toMm ?? ruler.fromMm ?? ruler.mm) + 1)
  return { from, to }
}

/** Where a number lies on a scale, from 0 to 1. */
export function placeOn(scale: Scale, mm: number): number {
  return Math.min(1, Math.max(0, (mm - scale.from) / (scale.to - scale.from)))
}
