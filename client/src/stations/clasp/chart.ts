import type { ClaspEffect, ClaspSheet } from '../../api/clasp'

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

export interface ChartRow {
  key: string
  name: string
  effect: ClaspEffect
  present: boolean
  cures: boolean
  chosen: boolean
}

/** The present clasp, and under it those that go on, the best first; so many as can be compared at a look. */
export function besideOf(sheet: ClaspSheet, most = 5): ChartRow[] {
  const rows: ChartRow[] = []
  if (sheet.present?.effect)
    rows.push({
      key: 'present',
      name: sheet.present.name,
      effect: sheet.present.effect,
      present: true,
      cures: false,
      chosen: false,
    })
  const others = sheet.candidates.filter((c) => c.effect && c.verdict !== 'no')
  const chosen = others.filter((c) => c.chosen)
  for (const c of [...others.slice(0, most), ...chosen.filter((c) => !others.slice(0, most).includes(c))])
    rows.push({
      key: c.article,
      name: c.name,
      effect: c.effect!,
      present: false,
      cures: c.cures,
      chosen: c.chosen,
    })
  return rows
}
