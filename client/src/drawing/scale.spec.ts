import { describe, expect, it } from 'vitest'
import type { Ruler } from '../api/shop'
import { placeOn, scaleOf } from './scale'

const ruler = (mm: number, fromMm: number | null, toMm: number | null): Ruler => ({
  mm,
  fromMm,
  toMm,
  inside: true,
  text: '',
  inches: '',
})

describe('a ruler', () => {
  it('keeps window and marker in sight, however far off', () => {
    const far = scaleOf(ruler(40, 5, 10), -2, 18)
    expect(far.to).toBeGreaterThan(40)
    const negative = scaleOf(ruler(-9, 5, 10), -2, 18)
    expect(negative.from).toBeLessThan(-9)
    expect(placeOn(negative, -9)).toBeGreaterThan(0)
  })

  it('is drawn without a window where nothing is judged', () => {
    const scale = scaleOf(ruler(11, null, null), -8, 8)
    expect(scale).toEqual({ from: -8, to: 12 })
  })

  it('places millimetres in proportion and never outside', () => {
    expect(placeOn({ from: 0, to: 10 }, 2.5)).toBe(0.25)
    expect(placeOn({ from: 0, to: 10 }, 99)).toBe(1)
  })
})
