import { ref, watch } from 'vue'

/** What stands in a field that is stored as it is left: what the server holds, unless something else is being typed. */
export function useStored(stored: () => string, typed: (text: string) => void) {
  const text = ref(stored())
  /** What stood in it when it was last stored or handed on. */
  let left = stored()
  watch(stored, (now) => {
    if (text.value === left) text.value = left = now
  })
  /** Hands on what was typed; the same once more only where it is asked for again. */
  function take(again = false) {
    if (text.value.trim() === stored() || (text.value === left && !again)) return
    left = text.value
    typed(text.value)
  }
  return { text, take }
}
