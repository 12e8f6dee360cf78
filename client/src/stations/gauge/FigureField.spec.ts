import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Figure } from '../../api/shop'
import { vuetify } from '../../frame/theme'
import FigureField from './FigureField.vue'

const show = (figure: Figure | null) =>
  mount(FigureField, {
    props: { label: 'Bar-to-bar', name: 'barToBar', figure, errors: [], disabled: false },
    global: { plugins: [vuetify] },
  })
const measured: Figure = { mm: 44, text: '44 mm', inches: '1.73 in', assumed: false }

describe('a figure to gauge', () => {
  it('shows a measured figure with its inches', () => {
    const field = show(measured)
    expect((field.find('input').element as HTMLInputElement).value).toBe('44 mm')
    expect(field.text()).toContain('1.73 in')
  })

  it('only hints at an assumed one', () => {
    const field = show({ ...measured, assumed: true })
    expect((field.find('input').element as HTMLInputElement).value).toBe('')
    expect(field.text()).toContain('assumed 44 mm')
  })

  it('hands on what was typed when it is left, and nothing when nothing changed', async () => {
    const field = show(measured)
    await field.find('input').trigger('blur')
    expect(field.emitted('typed')).toBeUndefined()
    await field.find('input').setValue('43,5')
    await field.find('input').trigger('blur')
    expect(field.emitted('typed')).toEqual([['43,5']])
  })
})
