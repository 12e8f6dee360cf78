import { useQueryClient } from '@tanstack/vue-query'
import { onScopeDispose, ref } from 'vue'
import { on, screenName } from './http'

interface Change {
  jobId: number | null
  version: number | null
  by: string | null
  screen: string | null
}

/** Listens to what other screens change, and asks anew for what it touches. */
export function useLive() {
  const queries = useQueryClient()
  const isLive = ref(false)
  const stream = new EventSource('/api/changes')
  let before = false

  stream.addEventListener('listening', () => {
    isLive.value = true
    // What was changed while nobody listened is not told again.
    if (before) void queries.invalidateQueries()
    before = true
  })
  stream.addEventListener('change', (event) => {
    const change = JSON.parse(String(event.data)) as Change
    if (change.screen === screenName) return
    // What belongs to another job is left alone.
    void queries.invalidateQueries({
      predicate: ({ queryKey }) =>
        change.jobId === null || typeof queryKey[1] !== 'number' || queryKey[1] === change.jobId,
    })
  })
  stream.onerror = () => (isLive.value = false)
  on('stale', () => void queries.invalidateQueries())
  onScopeDispose(() => stream.close())
  return { isLive }
}
