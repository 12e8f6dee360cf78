import type { QueryClient } from '@tanstack/vue-query'
import { api } from './http'
import type { Tag } from './shop'

/** More tags than these are not asked for one by one. */
const few = 8

/**
 * Hangs the tags of jobs that were changed anew, and leaves the others as they hang. Where they hang is the server's to say: a tag that is
 * new, or would hang elsewhere now, makes the rack be asked for whole.
 * @param jobs The jobs; null when there are more than can be named.
 */
export async function hangAnew(queries: QueryClient, jobs: readonly number[] | null) {
  const racks = queries.getQueriesData<Tag[]>({ queryKey: ['rack'] })
  if (racks.length === 0 || jobs?.length === 0) return
  const whole = () => queries.invalidateQueries({ queryKey: ['rack'] })
  if (jobs === null || jobs.length > few) return whole()
  // What is asked for now may have been answered before the change.
  if (queries.isFetching({ queryKey: ['rack'] }) > 0) await queries.cancelQueries({ queryKey: ['rack'] })
  const now = await Promise.all(jobs.map(tagOf))
  if (now.includes(undefined)) return whole()
  for (const [key] of racks) {
    const hangs = queries.getQueryData<Tag[]>(key)
    const anew = hangs && rehung(hangs, jobs, now as (Tag | null)[])
    if (anew) queries.setQueryData(key, anew)
    else void queries.invalidateQueries({ queryKey: key, exact: true })
  }
}

/** One job's tag; null when it hangs on the rack no more, nothing when it cannot be asked for. */
async function tagOf(id: number): Promise<Tag | null | undefined> {
  try {
    const { data, response } = await api.GET('/api/jobs/{id}/tag', { params: { path: { id } } })
    return data ?? (response.status === 404 ? null : undefined)
  } catch {
    return undefined
  }
}

/** The rack with those tags in their places; nothing when one of them hangs elsewhere. */
export function rehung(
  hangs: readonly Tag[],
  jobs: readonly number[],
  now: readonly (Tag | null)[],
): Tag[] | undefined {
  let rack = [...hangs]
  for (const [i, id] of jobs.entries()) {
    const [at, tag] = [rack.findIndex((t) => t.id === id), now[i]]
    if (!tag) rack = rack.filter((t) => t.id !== id)
    else if (at < 0 || !hangsAlike(rack[at]!, tag)) return undefined
    else rack[at] = tag
  }
  return rack
}

const hangsAlike = (a: Tag, b: Tag) =>
  a.promised === b.promised && a.client === b.client && a.watch === b.watch && a.by === b.by
