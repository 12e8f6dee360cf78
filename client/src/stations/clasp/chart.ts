import type { ClaspEffect, ClaspSheet } from '../../api/clasp'

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
