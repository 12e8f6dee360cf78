import type { Station } from '../api/shop'
import type { StationParts } from '../job/station'

/** What each station shows; fetched when it is first gone to, or while nothing else is to do. */
const fetched: Record<Station, () => Promise<StationParts>> = {
  takeIn: () => import('./take-in').then((s) => s.takeIn),
  gauge: () => import('./gauge').then((s) => s.gauge),
  match: () => import('./match').then((s) => s.match),
  clasp: () => import('./clasp').then((s) => s.clasp),
  size: () => import('./size').then((s) => s.size),
  bench: () => import('./bench').then((s) => s.bench),
  handOver: () => import('./hand-over').then((s) => s.handOver),
}

const known = new Map<Station, StationParts>()

/** What a station shows, if it is here already. */
export const partsHere = (station: Station): StationParts | undefined => known.get(station)

/** What a station shows. */
export async function partsOf(station: Station): Promise<StationParts> {
  const parts = known.get(station) ?? (await fetched[station]())
  known.set(station, parts)
  return parts
}

/** Fetches the stations that are still missing; one that cannot be had now is asked for again when it is gone to. */
export async function fetchTheRest(): Promise<void> {
  for (const station of Object.keys(fetched) as Station[]) await partsOf(station).catch(() => undefined)
}
