/**
 * Millimetres to a tenth, as the shop says them: half a tenth goes away from nought, so that what stands here and what stands in a
 * sentence of the shop is one figure. Empty where there is none.
 */
export function tenths(mm: number | null | undefined): string {
  if (mm === null || mm === undefined) return ''
  // What is sent has whole micrometres; times ten it may lie a hair beside them.
  const whole = Math.round(Number((Math.abs(mm) * 10).toFixed(4)))
  return `${mm < 0 && whole > 0 ? '-' : ''}${(whole / 10).toFixed(1)}`
}
