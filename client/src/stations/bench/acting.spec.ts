import { expect, it } from 'vitest'
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
