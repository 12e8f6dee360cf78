import { expect, it, vi } from 'vitest'
import { useActing } from './acting'

it('takes one act at a time, and keeps why one was refused until the next succeeds', async () => {
  const { busy, error, act } = useActing()
  let done = 0
  let finish = () => undefined as void
  const first = act(() => new Promise<void>((resolve) => (finish = resolve)).then(() => done++))
  await act(() => Promise.resolve(done++))
  expect([busy.value, done]).toEqual([true, 0])
  finish()
  await first
  expect([busy.value, done]).toEqual([false, 1])
  await act(() => Promise.reject(new Error('gone')))
  expect(error.value).toBeInstanceOf(Error)
  await act(() => Promise.resolve())
  expect(error.value).toBeNull()
})

it('takes no new act until it has rested after the last', async () => {
  vi.useFakeTimers()
  const { act } = useActing(400)
  let done = 0
  const press = () => void act(() => Promise.resolve(done++))
  for (let at = 0; at < 350; at += 50) {
    press()
    await vi.advanceTimersByTimeAsync(50)
  }
  expect(done).toBe(1)
  await vi.advanceTimersByTimeAsync(100)
  press()
  await vi.advanceTimersByTimeAsync(0)
  expect(done).toBe(2)
  vi.useRealTimers()
})
