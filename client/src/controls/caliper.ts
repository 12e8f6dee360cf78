import { useDocumentVisibility, useEventListener } from '@vueuse/core'
import { onScopeDispose, ref, watch } from 'vue'

/** News from the caliper's line. */
export interface CaliperWord {
  news: 'line' | 'reading' | 'garbage'
  connected: boolean
  says: string
  typed: string | null
  inInches: boolean
  number: number
}

/**
 * Listens to the caliper's line while the screen is looked at; a reading goes to whoever took the call. A browser keeps only six
 * connections to one server, so a page that is hidden or left lets go of its own.
 */
export function useCaliper(onReading: (typed: string) => void) {
  const word = ref<CaliperWord | null>(null)
  const garbage = ref<string | null>(null)
  const visibility = useDocumentVisibility()
  let stream: EventSource | undefined

  function letGo() {
    stream?.close()
    stream = undefined
  }

  function listen() {
    letGo()
    stream = new EventSource('/api/caliper/stream')
    stream.onmessage = (event: MessageEvent<string>) => {
      const now = JSON.parse(event.data) as CaliperWord
      garbage.value = now.news === 'garbage' ? now.says : null
      word.value = now
      // Two windows may stand open: the reading belongs to the one that is looked at.
      if (now.news === 'reading' && now.typed !== null && visibility.value === 'visible') onReading(now.typed)
    }
    stream.onerror = () => {
      word.value = {
        news: 'line',
        connected: false,
        says: 'The shop’s server does not answer; readings cannot come.',
        typed: null,
        inInches: false,
        number: 0,
      }
    }
  }

  watch(visibility, (now) => (now === 'visible' ? listen() : letGo()), { immediate: true })
  useEventListener(window, 'pagehide', letGo)
  useEventListener(window, 'pageshow', (event: PageTransitionEvent) => event.persisted && listen())
  onScopeDispose(letGo)
  return { word, garbage }
}
