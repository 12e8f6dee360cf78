import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Ruler, Temper } from '../api/shop'
import FitRuler from './FitRuler.vue'

const show = (ruler: Partial<Ruler>, temper?: Temper) =>
  mount(FitRuler, {
    props: {
      name: 'Ease',
      least: -2,
      most: 18,
      temper,
      ruler: { mm: 7.5, fromMm: 5, toMm: 10, inside: true, text: '7.5 mm', inches: '0.30 in', ...ruler },
    },
  })

describe('a ruler', () => {
  it('shows the number with both units and says where it stands', () => {
    const ruler = show({}, 'right')
    expect(ruler.text()).toContain('7.5 mm')
    expect(ruler.text()).toContain('0.30 in')
    expect(ruler.text()).toContain('right')
    expect(ruler.find('.marker').attributes('style')).toContain('left: 47.5%')
    expect(ruler.find('.window').attributes()).toMatchObject({ x: '35', width: '25' })
  })

  it('says outside in words, never by colour alone', () => {
    expect(show({ inside: false }).text()).toContain('out of range')
    expect(show({ mm: 3, inside: false }, 'tight').text()).toContain('tight')
  })

  it('has a window without end where more is always as good', () => {
    expect(show({ toMm: null }).find('.window').attributes('width')).toBe('65')
  })

  it('has no window where nothing is judged', () => {
    const ruler = show({ fromMm: null, toMm: null })
    expect(ruler.find('.window').exists()).toBe(false)
    expect(ruler.text()).toContain('shown, not judged')
  })
})
