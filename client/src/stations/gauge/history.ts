import type { WristVisit } from '../../api/gauge'

export interface VisitPlace {
  visit: WristVisit
  x: number
  y: number
  anchor: 'start' | 'middle' | 'end'
}

/**
 * Where each visit stands: evenly apart in the order they came, since years may lie between two; higher is wider, with
 * at least 10 mm from top to bottom so that a tape's own unsteadiness does not look like a change.
 */
export function placesOf(visits: readonly WristVisit[], width: number, height: number): VisitPlace[] {
  const rounds = visits.map((v) => v.mm)
  const middle = (Math.max(...rounds) + Math.min(...rounds)) / 2
  const reach = Math.max(10, Math.max(...rounds) - Math.min(...rounds))
  return visits.map((visit, i) => ({
    visit,
    x: visits.length === 1 ? width / 2 : (width * i) / (visits.length - 1),
    y: height / 2 - ((visit.mm - middle) / reach) * height,
    anchor: visits.length === 1 ? 'middle' : i === 0 ? 'start' : i === visits.length - 1 ? 'end' : 'middle',
  }))
}
