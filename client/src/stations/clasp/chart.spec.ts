import { describe, expect, it } from 'vitest'
import type { ClaspSheet } from '../../api/clasp'
import { place, shown, ticks, width } from '../../drawing/lengths'
import { besideOf } from './chart'

const effect = (lengthMm: number) => ({
  lengthMm,
  offCentreMm: 0,
  misfitMm: 0,
  tighterMm: 2,
  looserMm: 2,
  linksMoved: 2,
  adjusts: true,
  largestGapMm: 5,
  betweenSizes: false,
  lengths: [lengthMm],
})
const candidate = (article: string, verdict: string, chosen = false) => ({
  article,
  name: article,
  verdict,
  chosen,
  cures: false,
  effect: effect(150),
})

describe('the chart of what each clasp can make', () => {
  it('puts the length wanted in the middle and keeps what lies outside at the edge', () => {
    expect(place(156, 156)).toBe(width / 2)
    expect(place(156 - shown, 156)).toBe(0)
    expect(place(300, 156)).toBe(width)
  })

  it('marks whole fives', () => {
    expect(ticks(156.2)).toEqual([140, 145, 150, 155, 160, 165, 170])
  })

  it('lays the present clasp over the others, leaves out what does not go on, and never the chosen one', () => {
    const sheet = {
      present: { name: 'own', effect: effect(160) },
      candidates: [
        candidate('A', 'fits'),
        candidate('B', 'fits'),
        candidate('C', 'compromise'),
        candidate('D', 'compromise', true),
        candidate('E', 'no'),
      ],
    } as unknown as ClaspSheet
    expect(besideOf(sheet, 2).map((r) => r.key)).toEqual(['present', 'A', 'B', 'D'])
  })
})
