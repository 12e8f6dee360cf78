import { effectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { RefusedError } from '../api/refused'
import { useSaving } from './saving'

const saving = () => effectScope().run(() => useSaving(100))!

describe('saving field by field', () => {
  beforeEach(() => void vi.useFakeTimers())
  afterEach(() => void vi.useRealTimers())

  it('stores entries in the order they were made', async () => {
    const { save } = saving()
    const order: string[] = []
    let free: () => void = () => undefined
    const first = save('a', '1', () => new Promise<void>((done) => (free = done)).then(() => order.push('a')))
    const second = save('b', '2', () => Promise.resolve(order.push('b')))
    await vi.waitFor(() => expect(free).toBeTypeOf('function'))
    await Promise.resolve()
    free()
    await Promise.all([first, second])
    expect(order).toEqual(['a', 'b'])
  })

  it('says a refusal by its field and does not try it again', async () => {
    const { save, refused, unsaved } = saving()
    const store = vi
      .fn()
      .mockRejectedValue(new RefusedError({ title: 'No.', errors: { '$.typed': ['too wide'] } }, 400))
    expect(await save('lugWidth', '99', store, '$.typed')).toBe(false)
    expect(refused.lugWidth).toEqual(['too wide'])
    expect(unsaved).toEqual({})
    await vi.advanceTimersByTimeAsync(500)
    expect(store).toHaveBeenCalledTimes(1)
  })

  it('shows as not saved what did not reach the server, and hands it over once it answers', async () => {
    const { save, unsaved, trouble } = saving()
    const store = vi
      .fn()
      .mockRejectedValueOnce(new RefusedError({ title: 'The server does not answer.' }))
      .mockResolvedValue(undefined)
    await save('wrist', '171', store)
    expect(unsaved).toEqual({ wrist: '171' })
    expect(trouble.value).toContain('does not answer')
    await vi.advanceTimersByTimeAsync(150)
    expect(unsaved).toEqual({})
    expect(trouble.value).toBeNull()
  })
})
