import { describe, expect, it } from 'vitest'
import { place, shown, ticks, width } from './lengths'

describe('the axis of lengths', () => {
  it('has the length wanted in its middle and both ends at its edges', () => {
    expect(place(156.2, 156.2)).toBe(width / 2)
    expect(place(156.2 - shown, 156.2)).toBeCloseTo(0)
    expect(place(156.2 + shown, 156.2)).toBeCloseTo(width)
  })

  it('puts what lies outside at its edge rather than off the paper', () => {
    expect(place(20, 156.2)).toBe(0)
    expect(place(400, 156.2)).toBe(width)
  })

  it.each([150, 156.2, 163.999])('is ticked at every whole five around %d and nowhere else', (target) => {
    const all = ticks(target)
    expect(all.every((t) => t % 5 === 0 && Math.abs(t - target) <= shown)).toBe(true)
    expect(all).toHaveLength(all[all.length - 1]! / 5 - all[0]! / 5 + 1)
    expect(all[0]! - 5).toBeLessThan(target - shown)
    expect(all[all.length - 1]! + 5).toBeGreaterThan(target + shown)
  })
})
