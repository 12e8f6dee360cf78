import type { SheetLink } from '../../api/gauge'

/** A row changed at one link, as the fitter's hand does it on the drawing. */
export type Change = 'turn' | 'half' | 'add' | 'remove'

/**
 * The row after a change: a link comes out or stays, is a full or a half one, is doubled, or is taken away. Null when
 * there is nothing to change.
 */
export function changed(
  row: readonly SheetLink[],
  at: number,
  change: Change,
  fullMm: number | null,
  halfMm: number | null,
): SheetLink[] | null {
  const link = row[at]
  if (change === 'add') {
    const more =
      link ?? (fullMm === null ? null : { pitchMm: fullMm, removable: true, mark: '', oneSided: false })
    return more === null ? null : [...row.slice(0, at + 1), { ...more }, ...row.slice(at + 1)]
  }
  if (!link) return null
  if (change === 'remove') return row.filter((_, i) => i !== at)
  if (change === 'turn') return row.map((l, i) => (i === at ? { ...l, removable: !l.removable } : l))
  if (halfMm === null || fullMm === null) return null
  return row.map((l, i) => (i === at ? { ...l, pitchMm: l.pitchMm === halfMm ? fullMm : halfMm } : l))
}
