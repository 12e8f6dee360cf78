import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { LayOut } from '../api/shop'
import LayOutMat from './LayOutMat.vue'

const layOut: LayOut = {
  twelve: [
    { pitchMm: 9, fate: 'fixed', mark: '', pinned: false, oneSided: false },
    { pitchMm: 8, fate: 'stays', mark: '', pinned: false, oneSided: false },
  ],
  six: [{ pitchMm: 8, fate: 'leaves', mark: '', pinned: false, oneSided: false }],
  spares: [],
  clasp: {
    name: 'fold-over',
    twelveMm: 18,
    sixMm: 18,
    microMm: 0,
    microSide: 'six',
    positions: 4,
    position: 1,
    positionNow: 1,
  },
  strap: null,
  drawn: {
    left: -2,
    top: -7,
    width: 100,
    height: 30,
    shapes: [
      { role: 'pinned', path: 'M90 5L90 10', of: { kind: 'link', side: 'six', ordinal: 0, count: 1 } },
    ],
    words: [],
  },
  bandHighMm: 15,
  twelveAlongMm: [35, 26, 18],
  sixAlongMm: [79, 87],
  closedAtMm: 96,
}

const mat = (changeable = true) =>
  mount(LayOutMat, { props: { layOut, barToBarMm: 44, changeable }, attachTo: document.body })

describe('the lay-out on the mat', () => {
  it('reads out every link: side, place, pitch and fate', () => {
    const labels = mat()
      .findAll('.link')
      .map((l) => l.attributes('aria-label'))
    expect(labels).toEqual([
      '12 side, link 2 from the case, 8 mm, stays',
      '12 side, link 1 from the case, 9 mm, never comes out',
      '6 side, link 1 from the case, 8 mm, comes out',
    ])
  })

  it('is worked by arrows and Space, micro-adjust by up and down', async () => {
    const lay = mat()
    const links = lay.findAll('.link')
    await links[0]!.trigger('keydown', { key: ' ' })
    expect(lay.emitted('toggle')).toEqual([[{ side: 'twelve', ordinal: 1 }]])
    await links[0]!.trigger('keydown', { key: 'ArrowRight' })
    expect(links.map((l) => l.attributes('tabindex'))).toEqual(['-1', '0', '-1'])
    await links[1]!.trigger('keydown', { key: 'ArrowUp' })
    expect(lay.emitted('position')).toEqual([[2]])
  })

  it('keeps a link for good with N and moves it across with M, and says so of a pinned one', async () => {
    const lay = mat()
    await lay.findAll('.link')[0]!.trigger('keydown', { key: 'n' })
    expect(lay.emitted('pin')).toEqual([[{ side: 'twelve', ordinal: 1 }]])
    await lay.findAll('.link')[0]!.trigger('keydown', { key: 'M' })
    expect(lay.emitted('across')).toEqual([[{ side: 'twelve', ordinal: 1 }]])
    const six = [{ ...layOut.six[0]!, fate: 'fixed' as const, pinned: true }]
    await lay.setProps({ layOut: { ...layOut, six } })
    expect(lay.findAll('.link')[2]!.attributes('aria-label')).toContain('never taken')
    expect(lay.findAll('.link')[2]!.findAll('.pinned').length, 'what is drawn of a link is with it').toBe(1)
  })

  it('never offers a fixed link, and nothing at all once bench work has begun', async () => {
    const lay = mat()
    await lay.findAll('.link')[1]!.trigger('click')
    expect(lay.emitted('toggle')).toBeUndefined()
    const worked = mat(false)
    await worked.findAll('.link')[0]!.trigger('click')
    expect(worked.emitted('toggle')).toBeUndefined()
  })
})
