/** What is shown each side of the length wanted, in millimetres. */
export const shown = 18
/** Width of the drawing. */
export const width = 360

/** Where a length lies on the drawing; what lies outside is put at its edge. */
export function place(mm: number, target: number): number {
  const at = ((mm - target + shown) / (2 * shown)) * width
  return Math.min(width, Math.max(0, at))
}

/** Whole fives along the axis. */
export function ticks(target: number): number[] {
  const first = Math.ceil((target - shown) / 5) * 5
  return Array.from({ length: Math.floor((target + shown - first) / 5) + 1 }, (_, i) => first + i * 5)
}
