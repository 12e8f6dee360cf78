import { reactive, ref, watch, type UnwrapNestedRefs } from 'vue'

/** A form over something kept: what is typed, put right when it changes elsewhere, and why it was refused. */
export function useKept<T extends object>(stored: () => T, send: (typed: T) => Promise<unknown>) {
  const typed = reactive({ ...stored() }) as UnwrapNestedRefs<T> & T
  watch(stored, (now, before) => {
    if (JSON.stringify(now) !== JSON.stringify(before)) Object.assign(typed, now)
  })
  const error = ref<unknown>(null)
  async function keep() {
    try {
      await send({ ...typed })
      error.value = null
    } catch (refusal) {
      error.value = refusal
    }
  }
  return { typed, error, keep }
}
