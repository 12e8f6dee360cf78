import type { Station } from '../api/shop'

/** The stations in the order a job passes them, with the words on the chain. */
export const stations: { station: Station; name: string }[] = [
  { station: 'takeIn', name: 'Take-in' },
  { station: 'gauge', name: 'Gauge' },
  { station: 'match', name: 'Match' },
  { station: 'clasp', name: 'Clasp' },
  { station: 'size', name: 'Size' },
  { station: 'bench', name: 'Bench' },
  { station: 'handOver', name: 'Hand-over' },
]

/** A station's word in the address bar. */
export const pathOf: Record<Station, string> = {
  takeIn: 'take-in',
  gauge: 'gauge',
  match: 'match',
  clasp: 'clasp',
  size: 'size',
  bench: 'bench',
  handOver: 'hand-over',
}

export function stationAt(path: string): Station {
  return stations.find((s) => pathOf[s.station] === path)?.station ?? 'takeIn'
}

export const isStation = (path: string) => stations.some((s) => pathOf[s.station] === path)

export function nameOf(station: Station): string {
  return stations.find((s) => s.station === station)?.name ?? station
}
