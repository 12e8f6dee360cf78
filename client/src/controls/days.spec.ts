import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { asDay, dayFromNow } from './days'

describe('days', () => {
  beforeEach(() => void vi.useFakeTimers())
  afterEach(() => void vi.useRealTimers())

  it('stand on a tag as a weekday and a date', () => expect(asDay('2026-11-27')).toBe('Fri 27 Nov'))

  it.each([
    ['2026-11-25T10:00:00', 7, '2026-12-02'],
    ['2026-12-31T23:59:00', 1, '2027-01-01'],
    ['2028-02-28T00:01:00', 1, '2028-02-29'],
    ['2026-03-01T12:00:00', 0, '2026-03-01'],
  ])('are counted on from %s by %i', (now, days, then) => {
    vi.setSystemTime(new Date(now))
    expect(dayFromNow(days)).toBe(then)
  })
})
