import { describe, expect, it } from 'vitest'
import { nameOf, pathOf, stationAt, stations } from './stations'

describe('the stations', () => {
  it('are seven and are found again by their word in the address bar', () => {
    expect(stations.map((s) => s.name)).toEqual([
      'Take-in',
      'Gauge',
      'Match',
      'Clasp',
      'Size',
      'Bench',
      'Hand-over',
    ])
    for (const { station } of stations) expect(stationAt(pathOf[station])).toBe(station)
    expect(stationAt('nonsense')).toBe('takeIn')
    expect(nameOf('handOver')).toBe('Hand-over')
  })
})
