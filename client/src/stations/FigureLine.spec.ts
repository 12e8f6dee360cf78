import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { GaugeLine } from '../api/gauge'
import FigureLine from './FigureLine.vue'

const line: GaugeLine = {
  figure: 'barToBar',
  name: 'bar-to-bar',
  of: 'watch',
  wanted: true,
  jaws: 'Straight from bar to bar.',
  readings: [],
  value: { mm: 44, text: '44 mm', inches: '1.73 in', assumed: true },
  spread: null,
  question: null,
  stands: false,
  usually: null,
  book: null,
}
const reading = (id: number, mm: number, earlier = false) => ({
  id,
  mm,
  text: `${mm} mm`,
  byLine: false,
  earlier,
})
const show = (changed: Partial<GaugeLine> = {}, errors: string[] = []) =>
  mount(FigureLine, { props: { line: { ...line, ...changed }, errors, unsaved: undefined, disabled: false } })

describe('a line of the gauging sheet', () => {
  it('says what is assumed until it is read', () => {
    expect(show().text()).toContain('assumed 44 mm')
    expect(
      show({ readings: [reading(1, 44)], value: { ...line.value!, assumed: false } }).text(),
    ).not.toContain('assumed')
  })

  it('hands on what was typed by Enter once, and goes on when nothing was typed', async () => {
    const it = show()
    const field = it.find('input')
    await field.trigger('keydown', { key: 'Enter' })
    expect(it.emitted('skip')).toHaveLength(1)
    await field.setValue('43,5')
    await field.trigger('keydown', { key: 'Enter' })
    await field.trigger('blur')
    expect(it.emitted('typed')).toEqual([['43,5', false]])
  })

  it('has a refused text back to be mended, and hands it on again only when it was changed or by Enter', async () => {
    const it = show({}, ['too wide'])
    const field = it.find('input')
    await field.setValue('99')
    await field.trigger('blur')
    expect(it.emitted('typed')).toEqual([['99', true]])
    await it.setProps({ returned: '99' })
    expect(field.element.value).toBe('99')
    expect(it.text()).toContain('too wide')
    await field.trigger('blur')
    expect(it.emitted('typed')).toHaveLength(1)
    await field.setValue('44')
    await field.trigger('blur')
    expect(it.emitted('typed')).toHaveLength(2)
  })

  it('is free for the next reading at once, and keeps it whatever comes of the one before', async () => {
    const it = show()
    const field = it.find('input')
    await field.setValue('43.9')
    await field.trigger('keydown', { key: 'Enter', shiftKey: true })
    expect(field.element.value).toBe('')
    await field.setValue('44.1')
    await it.setProps({ line: { ...line, readings: [reading(1, 43.9)] } })
    expect(field.element.value).toBe('44.1')
    await it.setProps({ errors: ['too wide'], returned: '43.9' })
    expect(field.element.value).toBe('44.1')
    expect(it.emitted('typed')).toEqual([['43.9', true]])
  })

  it('lets each reading of this visit be dropped, and none of an earlier one', async () => {
    const two = show({ readings: [reading(7, 43.9), reading(8, 44.1)], spread: '0.2 mm' })
    expect(two.text()).toContain('spread 0.2 mm')
    await two.find('[aria-label="Delete the reading 43.9 mm of bar-to-bar"]').trigger('click')
    expect(two.emitted('drop')).toEqual([[7]])
    const earlier = show({ readings: [reading(3, 44, true)] })
    expect(earlier.find('button').exists()).toBe(false)
    expect(earlier.text()).toContain('earlier visit')
  })
})
