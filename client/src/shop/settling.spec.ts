import { describe, expect, it, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import { RefusedError } from '../api/refused'
import { useSettling } from './settling'

interface Printer {
  kind: string
  port: number
}
const start: Printer = { kind: 'none', port: 9100 }

describe('the form of a device', () => {
  it('follows what is settled, also when it comes later', async () => {
    const now = ref<Printer>()
    const { form } = useSettling(start, () => now.value, vi.fn())
    expect(form).toEqual(start)
    now.value = { kind: 'tcp', port: 9101 }
    await nextTick()
    expect(form).toEqual({ kind: 'tcp', port: 9101 })
  })

  it('settles what is filled in and says so', async () => {
    const settle = vi.fn(() => Promise.resolve())
    const { form, keep, kept } = useSettling(start, () => undefined, settle)
    form.port = 9102
    await keep()
    expect(settle).toHaveBeenCalledWith({ kind: 'none', port: 9102 })
    expect(kept.value).toBe(true)
  })

  it('keeps what was filled in when it is refused, and says why', async () => {
    const settle = vi
      .fn()
      .mockRejectedValueOnce(new RefusedError({ title: 'No.' }, 400))
      .mockResolvedValue(null)
    const { form, keep, kept, error } = useSettling(start, () => start, settle)
    form.port = 70_000
    await keep()
    expect([form.port, kept.value]).toEqual([70_000, false])
    expect(error.value).toBeInstanceOf(RefusedError)
    await keep()
    expect([error.value, kept.value]).toEqual([null, true])
  })
})
