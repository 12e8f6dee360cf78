import { describe, expect, it } from 'vitest'
import type { LayOut, LoopSheet, PlacedLink } from '../api/shop'
import { layOutTold, loopTold } from './told'

const link = (pitchMm: number, fate: PlacedLink['fate']) =>
  ({ pitchMm, fate, mark: '', pinned: false, oneSided: false }) as PlacedLink
const many = (n: number, pitch: number, fate: PlacedLink['fate']) =>
  Array.from({ length: n }, () => link(pitch, fate))

describe('what is drawn, in words', () => {
  it('counts each side by what never comes out, by pitch, and by what goes and comes', () => {
    const layOut = {
      twelve: [
        ...many(2, 8.4, 'fixed'),
        ...many(3, 8.4, 'stays'),
        ...many(2, 8.4, 'leaves'),
        link(4.2, 'joins'),
      ],
      six: [...many(1, 8.4, 'fixed'), ...many(2, 8.4, 'leaves')],
      clasp: { position: 1, positions: 6 },
      strap: null,
    } as unknown as LayOut
    expect(layOutTold(layOut)).toBe(
      '12 side: 2 fixed, 5 of 8.4, two of them out, 1 of 4.2, one of them put in. 6 side: 1 fixed, 2 of 8.4, all of them out. Micro position 2 of 6.',
    )
  })

  it('tells a strap by its holes', () => {
    const layOut = {
      twelve: [],
      six: [],
      clasp: null,
      strap: { holesMm: [1, 2, 3, 4, 5, 6, 7], hole: 2 },
    } as unknown as LayOut
    expect(layOutTold(layOut)).toBe('7 holes, closed in 3.')
  })

  it('tells the loop by its figures, and nothing of it where none are known', () => {
    const ruler = (text: string) => ({ text })
    const loop = {
      figures: { lengthMm: 148.7, targetMm: 148.2 },
      rulers: {
        ease: ruler('8.0 mm'),
        temper: 'right',
        offCentre: ruler('0.8 mm to 12'),
        tighter: ruler('2.0 mm'),
        looser: ruler('8.0 mm'),
      },
    } as unknown as LoopSheet
    expect(loopTold(loop)).toBe(
      'Loop 148.7 mm of 148.2 wanted. Ease 8.0 mm, right. Clasp off centre 0.8 mm to 12. Left to tighten 2.0 mm, to loosen 8.0 mm.',
    )
    expect(loopTold({ figures: null, rulers: null } as unknown as LoopSheet)).toBe('')
  })
})
