import { QueryClient } from '@tanstack/vue-query'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { api } from './http'
import type { Tag } from './shop'
import { hangAnew, rehung } from './tags'

const tag = (id: number, over: Partial<Tag> = {}): Tag => ({
  id,
  client: `Client ${id}`,
  watch: 'Ostwick',
  promised: '2026-12-01',
  late: false,
  today: false,
  next: 'gauge',
  stationsDone: 1,
  referred: false,
  by: 'MK',
  waits: false,
  partsIn: false,
  trayKept: false,
  ...over,
})

describe('the rack after a change', () => {
  it('puts a tag in its place, takes one away, and leaves the others as they are', () => {
    const hangs = [tag(1), tag(2), tag(3)]
    const rack = rehung(hangs, [2, 3], [tag(2, { next: 'bench' })])
    expect(rack?.map((t) => `${t.id} ${t.next}`)).toEqual(['1 gauge', '2 bench'])
    expect(rack?.[0]).toBe(hangs[0])
  })

  it('does not say itself where a tag hangs that is new or promised for another day', () => {
    expect(rehung([tag(1)], [2], [tag(2)])).toBeUndefined()
    expect(rehung([tag(1)], [1], [tag(1, { promised: '2026-12-02' })])).toBeUndefined()
    expect(rehung([tag(1)], [1], [tag(1, { client: 'Another' })])).toBeUndefined()
  })
})

describe('what is asked for after a change', () => {
  afterEach(() => vi.restoreAllMocks())

  const asked = (...answers: Tag[]) =>
    vi.spyOn(api, 'GET').mockResolvedValue({ data: answers, response: new Response() } as never)

  function rackOf(...tags: Tag[]) {
    const queries = new QueryClient()
    queries.setQueryData(['rack', '', ''], tags)
    return queries
  }

  it('is the tag that was changed, not the rack', async () => {
    const [queries, get] = [rackOf(tag(1), tag(2)), asked(tag(2, { stationsDone: 4 }))]
    await hangAnew(queries, [2])
    expect(get).toHaveBeenCalledTimes(1)
    expect(queries.getQueryData<Tag[]>(['rack', '', ''])?.map((t) => t.stationsDone)).toEqual([1, 4])
    expect(queries.getQueryState(['rack', '', ''])?.isInvalidated).toBe(false)
  })

  it('is the rack when jobs are not named, and nothing when none was touched', async () => {
    const [queries, get] = [rackOf(tag(1)), asked()]
    await hangAnew(queries, [])
    expect(queries.getQueryState(['rack', '', ''])?.isInvalidated).toBe(false)
    await hangAnew(queries, null)
    expect(queries.getQueryState(['rack', '', ''])?.isInvalidated).toBe(true)
    expect(get).not.toHaveBeenCalled()
  })

  it('is the rack when a tag is new on it', async () => {
    const queries = rackOf(tag(1))
    asked(tag(9))
    await hangAnew(queries, [9])
    expect(queries.getQueryState(['rack', '', ''])?.isInvalidated).toBe(true)
  })
})
