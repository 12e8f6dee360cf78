import { describe, expect, it } from 'vitest'
import type { Drawing } from '../api/shop'
import { frameOf, pathOf, shortened } from './drawing'

const drawing = (points: number[]): Drawing => ({
  halfWidthMm: 30,
  halfDepthMm: 22,
  barToBarMm: 44,
  barRiseMm: 3,
  lugToLugMm: 48,
  headAssumed: false,
  bandChosen: true,
  tried: false,
  thicknessMm: 3,
  pieces: [{ kind: 'link', side: 'six', ordinal: 0, fate: 'stays', points }],
  lowest: { x: 0, y: -27 },
  claspCentre: { x: 0, y: -27 },
})

describe('the drawing of the loop', () => {
  it('frames everything that is drawn, however far the band hangs', () => {
    const frame = frameOf(drawing([-40, 0, 0, -60]))
    expect(frame.left).toBeLessThan(-41.5)
    expect(frame.top).toBeLessThan(-32)
    expect(frame.top + frame.height).toBeGreaterThan(61.5)
    expect(frame.left + frame.width / 2).toBeCloseTo(0)
  })

  it('turns y downward for the screen', () => {
    expect(pathOf([1, 2, 3, -4])).toBe('M1 -2L3 4')
  })

  it('parts neighbouring links by a hair at both ends', () => {
    expect(shortened([0, 0, 5, 0, 10, 0], 0.5)).toEqual([0.5, 0, 5, 0, 9.5, 0])
  })
})
