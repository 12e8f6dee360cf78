import { describe, expect, it } from 'vitest'
import type { LayOut } from '../api/shop'
import { atPosition, byHandOf, onTheMat, toggled, withLoose } from './rows'

const layOut: LayOut = {
  twelve: [
    { pitchMm: 9, fate: 'fixed' },
    { pitchMm: 8, fate: 'stays' },
    { pitchMm: 8, fate: 'leaves' },
  ],
  six: [
    { pitchMm: 9, fate: 'fixed' },
    { pitchMm: 5, fate: 'joins' },
  ],
  spares: [],
  clasp: {
    name: 'fold-over',
    twelveMm: 18,
    sixMm: 18,
    microMm: 2,
    microSide: 'twelve',
    positions: 4,
    position: 1,
    positionNow: 1,
  },
  strap: null,
}

describe('the rows on the mat', () => {
  it('tells the server what is out and what was put in', () => {
    expect(byHandOf(layOut)).toEqual({ twelve: { out: [2], in: [] }, six: { out: [], in: [5] }, position: 1 })
  })

  it('takes a link out and puts it back', () => {
    expect(toggled(layOut, { side: 'twelve', ordinal: 1 }).twelve.out).toEqual([1, 2])
    expect(toggled(layOut, { side: 'twelve', ordinal: 2 }).twelve.out).toEqual([])
  })

  it('lays a link that was put in aside again, and leaves a fixed one alone', () => {
    expect(toggled(layOut, { side: 'six', ordinal: 1 }).six.in).toEqual([])
    expect(toggled(layOut, { side: 'six', ordinal: 0 })).toEqual(byHandOf(layOut))
  })

  it('puts a loose link in and moves the micro-adjust without touching the rest', () => {
    expect(withLoose(layOut, 8, 'twelve').twelve).toEqual({ out: [2], in: [8] })
    expect(atPosition(layOut, 3)).toEqual({ ...byHandOf(layOut), position: 3 })
  })

  it('lies from clasp to case on the 12 side and from case to clasp on the 6 side', () => {
    expect(onTheMat(layOut).map((p) => `${p.side} ${p.ordinal}`)).toEqual([
      'twelve 2',
      'twelve 1',
      'twelve 0',
      'six 0',
      'six 1',
    ])
  })
})
