import { reactive, ref, watch } from 'vue'

/** The form of a device of the house: it follows what is settled, and settles what is filled in. */
export function useSettling<T extends object>(
  start: T,
  now: () => T | undefined,
  settle: (form: T) => Promise<unknown>,
) {
  const form = reactive({ ...start }) as T
  watch(now, (settled) => settled && Object.assign(form, settled), { immediate: true })
  const error = ref<unknown>(null)
  const kept = ref(false)

  async function keep() {
    try {
      await settle({ ...form })
      error.value = null
      kept.value = true
    } catch (refusal) {
      error.value = refusal
      kept.value = false
    }
  }

  return { form, error, kept, keep }
}
