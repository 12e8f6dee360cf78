import { describe, expect, it } from 'vitest'
import type { LayOut } from '../api/shop'
import { atPosition, byHandOf, movedAcross, onTheMat, toggled, withLoose } from './rows'

const loose = (pitchMm: number) => ({ pitchMm, mark: '', oneSided: false })
const layOut: LayOut = {
  twelve: [
    { pitchMm: 9, fate: 'fixed', mark: '', pinned: false, oneSided: false },
    { pitchMm: 8, fate: 'stays', mark: '', pinned: false, oneSided: false },
    { pitchMm: 8, fate: 'leaves', mark: '', pinned: false, oneSided: false },
  ],
  six: [
    { pitchMm: 9, fate: 'fixed', mark: '', pinned: false, oneSided: false },
    { pitchMm: 5, fate: 'joins', mark: '', pinned: false, oneSided: false },
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
  drawn: { left: 0, top: 0, width: 1, height: 1, shapes: [], words: [] },
  bandHighMm: 15,
  twelveAlongMm: [],
  sixAlongMm: [],
  closedAtMm: null,
}

describe('the rows on the mat', () => {
  it('tells the server what is out and what was put in', () => {
    expect(byHandOf(layOut)).toEqual({
      twelve: { out: [2], in: [] },
      six: { out: [], in: [loose(5)] },
      position: 1,
    })
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
    expect(withLoose(layOut, loose(8), 'twelve').twelve).toEqual({ out: [2], in: [loose(8)] })
    expect(atPosition(layOut, 3)).toEqual({ ...byHandOf(layOut), position: 3 })
  })

  it('moves a link to the other side in one act, one that was put in too, and none that is fixed, out or one-sided', () => {
    expect(movedAcross(layOut, { side: 'twelve', ordinal: 1 })).toEqual({
      twelve: { out: [1, 2], in: [] },
      six: { out: [], in: [loose(5), loose(8)] },
      position: 1,
    })
    expect(movedAcross(layOut, { side: 'six', ordinal: 1 })).toEqual({
      twelve: { out: [2], in: [loose(5)] },
      six: { out: [], in: [] },
      position: 1,
    })
    expect(movedAcross(layOut, { side: 'twelve', ordinal: 0 })).toBeNull()
    expect(movedAcross(layOut, { side: 'twelve', ordinal: 2 })).toBeNull()
    const bound = layOut.twelve.map((l) => ({ ...l, oneSided: true }))
    expect(movedAcross({ ...layOut, twelve: bound }, { side: 'twelve', ordinal: 1 })).toBeNull()
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
