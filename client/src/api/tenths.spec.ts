import { describe, expect, it } from 'vitest'
import { tenths } from './tenths'

describe('tenths', () => {
  it('rounds as the shop does: half a tenth goes away from nought', () => {
    expect(tenths(166.45)).toBe('166.5')
    expect(tenths(166.449)).toBe('166.4')
    expect(tenths(-2.75)).toBe('-2.8')
    expect(tenths(0.05)).toBe('0.1')
    expect(tenths(-0.04)).toBe('0.0')
  })

  it('says nothing where there is nothing', () => {
    expect(tenths(null)).toBe('')
    expect(tenths(undefined)).toBe('')
  })
})
