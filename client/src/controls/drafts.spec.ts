import { effectScope, nextTick, reactive } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { dropDrafts, useDraft } from './drafts'

const day = 24 * 60 * 60 * 1000

function form(name: string, start = { client: '', words: '' }) {
  const typed = reactive({ ...start })
  const scope = effectScope()
  const draft = scope.run(() =>
    useDraft(
      name,
      () => ({ ...typed }),
      (kept) => Object.assign(typed, kept),
    ),
  )!
  return { typed, draft, leave: () => scope.stop() }
}

describe('a draft', () => {
  beforeEach(() => {
    vi.useFakeTimers()
    localStorage.clear()
  })
  afterEach(() => void vi.useRealTimers())

  it('is kept when a form is left, offered again by the same form, and taken up', async () => {
    const first = form('take-in')
    first.typed.client = 'Ida Brook'
    await nextTick()
    expect(first.draft.isTyped.value).toBe(true)
    first.leave()
    expect(form('take-in of 5').draft.offered.value).toBeNull()

    const again = form('take-in')
    expect(again.draft.offered.value).not.toBeNull()
    expect(again.typed.client, 'offered, not forced').toBe('')
    again.draft.take()
    expect(again.typed.client).toBe('Ida Brook')
    expect(again.draft.offered.value).toBeNull()
  })

  it('is gone once it is saved, thrown away, typed back to what stood there, or a week old', async () => {
    const saved = form('a')
    saved.typed.words = 'Pinches.'
    await nextTick()
    vi.advanceTimersByTime(400)
    saved.draft.done()
    saved.leave()
    expect(form('a').draft.offered.value).toBeNull()

    const thrown = form('b')
    thrown.typed.words = 'Pinches.'
    await nextTick()
    thrown.leave()
    form('b').draft.drop()
    expect(form('b').draft.offered.value).toBeNull()

    const back = form('c')
    back.typed.words = 'P'
    await nextTick()
    back.typed.words = ''
    await nextTick()
    vi.advanceTimersByTime(400)
    expect(back.draft.isTyped.value).toBe(false)
    expect(form('c').draft.offered.value).toBeNull()

    const old = form('d')
    old.typed.words = 'Pinches.'
    await nextTick()
    old.leave()
    vi.advanceTimersByTime(8 * day)
    expect(form('d').draft.offered.value).toBeNull()
  })

  it('goes with its client, and all go at sign-out', async () => {
    for (const [name, client] of [
      ['x', 'Ida Brook'],
      ['y', 'Tam Rigg'],
    ] as const) {
      const one = form(name)
      one.typed.client = client
      await nextTick()
      one.leave()
    }
    dropDrafts((text) => text.includes('Ida Brook'))
    expect(form('x').draft.offered.value).toBeNull()
    expect(form('y').draft.offered.value).not.toBeNull()
    dropDrafts()
    expect(form('y').draft.offered.value).toBeNull()
  })
})
