import type { Drawing } from '../api/shop'

/** Height of a drawn head above its back: only for the eye, it is not gauged yet. */
export const headHeight = 10

/** The part of the drawing's millimetres that has to be seen, y downward as SVG has it. */
export interface Frame {
  left: number
  top: number
  width: number
  height: number
}

/** The smallest frame that holds wrist, head and band, with a margin for the marks. */
export function frameOf(drawing: Drawing): Frame {
  const half = drawing.thicknessMm / 2
  let right = Math.max(drawing.halfWidthMm, drawing.barToBarMm / 2)
  let bottom = drawing.halfDepthMm
  for (const piece of drawing.pieces) {
    for (let i = 0; i + 1 < piece.points.length; i += 2) {
      right = Math.max(right, Math.abs(piece.points[i] ?? 0) + half)
      bottom = Math.max(bottom, -(piece.points[i + 1] ?? 0) + half)
    }
  }
  const top = drawing.halfDepthMm + Math.max(headHeight, drawing.barRiseMm + half) + 3
  return { left: -right - 9, top: -top, width: 2 * right + 18, height: top + bottom + 10 }
}

/** A polyline's path, y turned downward. */
export function pathOf(points: readonly number[]): string {
  let path = ''
  for (let i = 0; i + 1 < points.length; i += 2)
    path += `${i === 0 ? 'M' : 'L'}${points[i] ?? 0} ${-(points[i + 1] ?? 0)}`
  return path
}

/** The same polyline, cut short by a little at both ends so that neighbouring links are told apart. */
export function shortened(points: readonly number[], by: number): number[] {
  const cut = points.slice()
  const n = cut.length
  if (n < 4) return cut
  const pull = (at: number, toward: number) => {
    const dx = (cut[toward] ?? 0) - (cut[at] ?? 0)
    const dy = (cut[toward + 1] ?? 0) - (cut[at + 1] ?? 0)
    const length = Math.hypot(dx, dy)
    if (length <= by) return
    cut[at] = (cut[at] ?? 0) + (dx / length) * by
    cut[at + 1] = (cut[at + 1] ?? 0) + (dy / length) * by
  }
  pull(0, 2)
  pull(n - 2, n - 4)
  return cut
}
