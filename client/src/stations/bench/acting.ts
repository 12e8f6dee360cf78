import { ref } from 'vue'

/** One act at a time: a second press while the first is under way does nothing; why it was refused is kept until the next succeeds. */
export function useActing() {
  const busy = ref(false)
  const error = ref<unknown>(null)
  async function act(what: () => Promise<unknown>) {
    if (busy.value) return
    busy.value = true
    try {
      await what()
      error.value = null
    } catch (refusal) {
      error.value = refusal
    } finally {
      busy.value = false
    }
  }
  return { busy, error, act }
}
