import { describe, expect, it } from 'vitest'
import type { LoopSheet } from '../../api/shop'
import { most, withTried } from './trail'

const own = { claspPartId: null, links: [], freed: [], way: 'double' }
const loop = (position: number, isPlanned = false, variant: object = own) =>
  ({
    isPlanned,
    variant,
    layOut: {
      twelve: [{ pitchMm: 8, fate: 'leaves', mark: '', pinned: false, oneSided: false }],
      six: [],
      spares: [],
      clasp: { positions: 40, position },
      strap: null,
    },
    figures: { lengthMm: 150 + position, troubleMm: 0 },
    rulers: { offCentre: { mm: 1 } },
  }) as unknown as LoopSheet

describe('the trail of what was tried', () => {
  it('keeps each variant once, the one on the mat last', () => {
    const trail = [loop(1, true), loop(2), loop(1, true)].reduce(
      (before, now) => withTried(before, now),
      [] as ReturnType<typeof withTried>,
    )
    expect(trail.map((t) => t.variant.lies.position)).toEqual([2, 1])
    expect(trail[1]).toMatchObject({
      planned: true,
      lengthMm: 151,
      variant: { lies: { twelve: { out: [0], in: [] } } },
    })
  })

  it('keeps apart what lies alike but was tried with something else, and says with what', () => {
    const other = { ...own, claspPartId: 9, links: [{ partId: 4, count: 2 }], freed: [{ side: 'six' }] }
    const trail = withTried(withTried([], loop(1)), loop(1, false, other))
    expect(trail.map((t) => t.words)).toEqual(['', 'other clasp, 2 from stock, freed'])
    expect(trail[1]?.variant.with).toEqual(other)
  })

  it('forgets the oldest, and leaves alone what has no figures', () => {
    let trail = [] as ReturnType<typeof withTried>
    for (let i = 0; i < most + 3; i++) trail = withTried(trail, loop(i))
    expect(trail.length).toBe(most)
    expect(trail[0]?.variant.lies.position).toBe(3)
    expect(withTried(trail, { ...loop(1), figures: null })).toEqual(trail)
  })
})
