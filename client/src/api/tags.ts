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
  const now = await tagsOf(jobs)
  if (!now) return whole()
  for (const [key] of racks) {
    const hangs = queries.getQueryData<Tag[]>(key)
    const anew = hangs && rehung(hangs, jobs, now)
    if (anew) queries.setQueryData(key, anew)
    else void queries.invalidateQueries({ queryKey: key, exact: true })
  }
}

/** The tags of jobs, those that still hang on the rack; nothing when they cannot be asked for. */
async function tagsOf(jobs: readonly number[]): Promise<Tag[] | undefined> {
  try {
    return (await api.GET('/api/tags', { params: { query: { of: [...jobs] } } })).data
  } catch {
    return undefined
  }
}

/** The rack with those tags in their places; nothing when one of them hangs elsewhere. */
export function rehung(
  hangs: readonly Tag[],
  jobs: readonly number[],
  now: readonly Tag[],
): Tag[] | undefined {
  let rack = [...hangs]
  for (const id of jobs) {
    const [at, tag] = [rack.findIndex((t) => t.id === id), now.find((t) => t.id === id)]
    if (!tag) rack = rack.filter((t) => t.id !== id)
    else if (at < 0 || !hangsAlike(rack[at]!, tag)) return undefined
    else rack[at] = tag
  }
  return rack
}

const hangsAlike = (a: Tag, b: Tag) =>
  a.promised === b.promised && a.client === b.client && a.watch === b.watch && a.by === b.by
