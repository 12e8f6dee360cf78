import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import ClashForm from './ClashForm.vue'
import type { TakeIn } from '../../api/shop'
import type { Clash } from './merge'

const clashes: Clash<TakeIn>[] = [
  { field: 'words', mine: 'Pinches in the evening.', theirs: '' },
  { field: 'request', mine: 'putLinksIn', theirs: 'takeLinksOut' },
]
const form = () =>
  mount(ClashForm, {
    props: { clashes },
    global: { stubs: { VBtn: { template: '<button><slot /></button>' } } },
  })

describe('what both changed', () => {
  it('is shown with both values in the words of the form', () => {
    const text = form().text()
    expect(text).toContain('Theirs: nothing')
    expect(text).toContain('Yours: Pinches in the evening.')
    expect(text).not.toContain('takeLinksOut')
  })

  it('is kept as chosen, field by field', async () => {
    const both = form()
    await both.find('input[name=clash-words][value=mine]').setValue()
    await both.find('input[name=clash-request][value=theirs]').setValue()
    await both.find('form').trigger('submit')
    expect(both.emitted('chosen')).toEqual([[{ words: 'Pinches in the evening.', request: 'takeLinksOut' }]])
  })

  it('asks for a choice in each before it goes on', () => {
    const choices = form().findAll('input[type=radio]')
    expect(choices).toHaveLength(4)
    expect(choices.every((c) => c.attributes('required') !== undefined)).toBe(true)
  })
})
