import type { QueryClient, QueryKey } from '@tanstack/vue-query'

/**
 * Puts the answer to a change in the place of what was asked for before. What is being asked for at that moment may have
 * been read before the change: it must not come after the answer, so it is let go and asked for anew.
 */
export async function place(queries: QueryClient, queryKey: QueryKey, answer: unknown) {
  const exactly = { queryKey, exact: true }
  const isAsked = queries.isFetching(exactly) > 0
  if (isAsked) await queries.cancelQueries(exactly)
  queries.setQueryData(queryKey, answer)
  if (isAsked) void queries.invalidateQueries(exactly)
}
