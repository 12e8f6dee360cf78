import { QueryClient } from '@tanstack/vue-query'
import { describe, expect, it, vi } from 'vitest'
import { place } from './answers'

describe('the answer to a change', () => {
  it('is not written over by what was asked for before it', async () => {
    const queries = new QueryClient()
    const answers: ((sheet: string) => void)[] = []
    const ask = vi.fn(() => new Promise<string>((done) => answers.push(done)))
    const first = queries.fetchQuery({ queryKey: ['gauge', 16], queryFn: ask }).catch(() => undefined)
    await place(queries, ['gauge', 16], 'with 41.2')
    answers[0]!('without')
    await first
    expect(queries.getQueryData(['gauge', 16])).toBe('with 41.2')
  })

  it('stands at once where nothing was being asked for', async () => {
    const queries = new QueryClient()
    queries.setQueryData(['gauge', 16], 'before')
    await place(queries, ['gauge', 16], 'after')
    expect(queries.getQueryData(['gauge', 16])).toBe('after')
    expect(queries.getQueryState(['gauge', 16])?.isInvalidated).toBe(false)
  })

  it('is asked for anew where another was under way, for that may have been the newer', async () => {
    const queries = new QueryClient()
    const under = queries
      .fetchQuery({ queryKey: ['gauge', 16], queryFn: () => new Promise<string>(() => undefined) })
      .catch(() => undefined)
    await place(queries, ['gauge', 16], 'after')
    await under
    expect(queries.getQueryState(['gauge', 16])?.isInvalidated).toBe(true)
  })
})
