import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import SheetField from './SheetField.vue'

const field = {
  props: ['modelValue'],
  emits: ['update:modelValue'],
  template: '<input :value="modelValue" @input="$emit(\'update:modelValue\', $event.target.value)" />',
}
const show = (stored: string) =>
  mount(SheetField, {
    props: { label: 'Hole spacing', name: 'step', stored, errors: [] as string[], disabled: false },
    global: { stubs: { VTextField: field, 'v-text-field': field } },
  })
const value = (it: ReturnType<typeof show>) => (it.find('input').element as HTMLInputElement).value

describe('a field of a sheet', () => {
  it('follows what is stored while nothing is typed in it', async () => {
    const it = show('1.5')
    await it.setProps({ stored: '2.4' })
    expect(value(it)).toBe('2.4')
  })

  it('keeps what is typed when an answer comes meanwhile, to itself or to another', async () => {
    const it = show('')
    await it.find('input').setValue('2')
    await it.find('input').trigger('keydown', { key: 'Enter' })
    await it.find('input').setValue('2.4')
    await it.setProps({ stored: '2' })
    expect(value(it)).toBe('2.4')
    await it.find('input').trigger('blur')
    expect(it.emitted('typed')).toEqual([['2'], ['2.4']])
  })

  it('hands on by leaving once, and by Enter again what was refused', async () => {
    const it = show('')
    await it.find('input').setValue('99')
    await it.find('input').trigger('blur')
    await it.find('input').trigger('blur')
    expect(it.emitted('typed')).toHaveLength(1)
    await it.find('input').trigger('keydown', { key: 'Enter' })
    expect(it.emitted('typed')).toHaveLength(2)
  })
})
