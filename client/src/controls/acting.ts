import { ref } from 'vue'

/**
 * One act at a time: a press while another is under way does nothing; why one was refused is kept until the next succeeds.
 * @param rest Milliseconds after an act was begun in which no other is taken: fingers that bounce do not do two.
 */
export function useActing(rest = 0) {
  const busy = ref(false)
  const error = ref<unknown>(null)
  async function act(what: () => Promise<unknown>) {
    if (busy.value) return
    busy.value = true
    const rested = new Promise((over) => setTimeout(over, rest))
    try {
      await what()
      error.value = null
      if (rest > 0) await rested
    } catch (refusal) {
      error.value = refusal
    } finally {
      busy.value = false
    }
  }
  return { busy, error, act }
}
