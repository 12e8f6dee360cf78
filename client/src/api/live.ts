import { useQueryClient } from '@tanstack/vue-query'
import { useWebSocket } from '@vueuse/core'
import { computed } from 'vue'
import { screenName } from './http'
import { hangAnew } from './tags'

/** What the server closes the line with when the session it was opened in is over. */
const sessionIsOver = 1008

interface Change {
  jobId: number | null
  version: number | null
  by: string | null
  screen: string | null
  /** All jobs it touched; null when they are not named. */
  jobs: number[] | null
}

/** Listens to what other screens change, and asks anew for what it touches. */
export function useLive() {
  const queries = useQueryClient()
  let before = false

  function heard(change: Change) {
    const isOurs = change.screen === screenName
    // A screen hangs the tag of what it changed itself anew; what else that touched it is told like the others.
    void hangAnew(queries, isOurs ? (change.jobs?.filter((j) => j !== change.jobId) ?? null) : change.jobs)
    if (isOurs) return
    // What belongs to another job is left alone.
    void queries.invalidateQueries({
      predicate: ({ queryKey }) =>
        queryKey[0] !== 'rack' &&
        (change.jobId === null || typeof queryKey[1] !== 'number' || queryKey[1] === change.jobId),
    })
  }

  const { status } = useWebSocket<string>(`${location.origin.replace(/^http/, 'ws')}/api/changes`, {
    autoReconnect: { delay: 2_000 },
    onConnected: () => {
      // What was changed while nobody listened is not told again.
      if (before) void queries.invalidateQueries()
      before = true
    },
    onDisconnected: (_, event) => {
      // The session is over: the door says so, before anybody types into a page of nobody's.
      if (event.code === sessionIsOver) void queries.invalidateQueries({ queryKey: ['door'] })
    },
    onMessage: (_, event: MessageEvent<string>) => heard(JSON.parse(event.data) as Change),
  })
  return { isLost: computed(() => before && status.value === 'CLOSED') }
}
