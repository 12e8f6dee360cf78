import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { StaleChange as Stale } from '../api/http'
import StaleChange from './StaleChange.vue'
import { vuetify } from './theme'

const told = vi.hoisted(() => ({ stale: undefined as ((change: unknown) => void) | undefined }))
vi.mock('../api/http', () => ({
  api: {},
  send: vi.fn(),
  on: (_: string, then: (change: unknown) => void) => (told.stale = then),
}))

const change = (yours: string[] = ['position: 3']): Stale => ({
  says: 'Job 5 was changed by MK on another screen meanwhile; nothing of yours was stored.',
  yours,
  again: vi.fn(() => Promise.resolve(new Response())),
})
const show = () => mount(StaleChange, { global: { plugins: [vuetify, VueQueryPlugin] } })
const press = (bar: ReturnType<typeof show>, word: string) =>
  bar
    .findAll('button')
    .find((b) => b.text().includes(word))!
    .trigger('click')

describe('a change that somebody else was before with', () => {
  beforeEach(() => (told.stale = undefined))

  it('is not there until there is one', () => expect(show().text()).toBe(''))

  it('says what happened and what was yours', async () => {
    const bar = show()
    told.stale!(change())
    await flushPromises()
    expect(bar.text()).toContain('was changed by MK on another screen')
    expect(bar.text()).toContain('Yours was position: 3')
  })

  it('is left as it stands by choice, without a word to the server', async () => {
    const bar = show()
    const mine = change()
    told.stale!(mine)
    await flushPromises()
    await press(bar, 'Leave it as it stands')
    expect(bar.text()).toBe('')
    expect(mine.again).not.toHaveBeenCalled()
  })

  it('is made all the same by choice, once', async () => {
    const bar = show()
    const mine = change([])
    told.stale!(mine)
    await flushPromises()
    expect(bar.text()).not.toContain('Yours was')
    await press(bar, 'Do mine all the same')
    await flushPromises()
    expect(mine.again).toHaveBeenCalledOnce()
    expect(bar.text()).toBe('')
  })

  it.each([
    [
      'refused',
      () => Promise.resolve(new Response('{"title":"Bench work has begun."}', { status: 409 })),
      'Bench work has begun.',
    ],
    ['not answered', () => Promise.reject(new TypeError('gone')), 'does not answer'],
  ])('says so when it is %s, and can be tried once more', async (_, again, says) => {
    const bar = show()
    const mine = { ...change(), again: vi.fn(again) }
    told.stale!(mine)
    await flushPromises()
    for (const times of [1, 2]) {
      await press(bar, 'Do mine all the same')
      await flushPromises()
      expect(bar.text()).toContain(says)
      expect(mine.again).toHaveBeenCalledTimes(times)
    }
  })

  it('stays away where the screen shows both itself', async () => {
    const bar = show()
    told.stale!(null)
    await flushPromises()
    expect(bar.text()).toBe('')
  })
})
