import { onScopeDispose, ref } from 'vue'

/** News from the caliper's line. */
export interface CaliperWord {
  news: 'line' | 'reading' | 'garbage'
  connected: boolean
  says: string
  typed: string | null
  inInches: boolean
  number: number
}

/** Listens to the caliper's line while the screen stands; a reading goes to whoever took the call. */
export function useCaliper(onReading: (typed: string) => void) {
  const word = ref<CaliperWord | null>(null)
  const garbage = ref<string | null>(null)
  const stream = new EventSource('/api/caliper/stream')
  stream.onmessage = (event: MessageEvent<string>) => {
    const now = JSON.parse(event.data) as CaliperWord
    garbage.value = now.news === 'garbage' ? now.says : null
    word.value = now
    // Two windows may stand open: the reading belongs to the one that is looked at.
    if (now.news === 'reading' && now.typed !== null && document.visibilityState === 'visible')
      onReading(now.typed)
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
  onScopeDispose(() => stream.close())
  return { word, garbage }
}
