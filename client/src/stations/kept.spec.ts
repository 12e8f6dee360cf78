import { describe, expect, it, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import { useKept } from './kept'

describe('a form over something kept', () => {
  it('follows what another device changes, but not the same thing asked for again', async () => {
    const stored = ref({ held: 'screws' })
    const { typed } = useKept(() => stored.value, vi.fn())
    typed.held = 'looseBars'
    stored.value = { held: 'screws' }
    await nextTick()
    expect(typed.held).toBe('looseBars')
    stored.value = { held: 'leveredBars' }
    await nextTick()
    expect(typed.held).toBe('leveredBars')
  })

  it('says why it was refused until it is taken, and loses nothing that was typed', async () => {
    const send = vi.fn().mockRejectedValueOnce('no').mockResolvedValueOnce(null)
    const { typed, error, keep } = useKept(() => ({ held: '' }), send)
    typed.held = 'screws'
    await keep()
    expect([error.value, typed.held]).toEqual(['no', 'screws'])
    await keep()
    expect([error.value, send.mock.lastCall]).toEqual([null, [{ held: 'screws' }]])
  })
})
