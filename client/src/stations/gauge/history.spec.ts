import { describe, expect, it } from 'vitest'
import type { WristVisit } from '../../api/gauge'
import { placesOf } from './history'

const visit = (jobId: number, mm: number): WristVisit => ({
  jobId,
  day: '2026-07-01',
  mm,
  season: 'summer',
  wear: null,
  here: false,
})

describe('the wrist over visits', () => {
  it('stands wider wrists higher and does not blow up half a millimetre', () => {
    const [a, b, c] = placesOf([visit(1, 170), visit(2, 170.5), visit(3, 170)], 400, 60)
    expect(b!.y).toBeLessThan(a!.y)
    expect(a!.y - b!.y).toBeLessThan(5)
    expect([a!.x, b!.x, c!.x]).toEqual([0, 200, 400])
  })

  it('puts a single visit in the middle', () => {
    expect(placesOf([visit(1, 170)], 400, 60)[0]).toMatchObject({ x: 200, y: 30, anchor: 'middle' })
  })
})
