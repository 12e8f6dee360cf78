import { onScopeDispose, reactive, ref, watch } from 'vue'
import { RefusedError, saidOf, wholeOf } from '../api/refused'

/** What could not be handed over yet, on whatever sheet it was typed: by sheet and field, as typed. */
export const notSavedYet = reactive(new Map<string, string>())
let sheets = 0

/**
 * Entries are stored one after the other, in the order they were made. What the server refuses is said by its field;
 * what could not be handed over is kept, shown as not saved, and tried again.
 */
export function useSaving(again = 2_000) {
  const refused = reactive<Record<string, string[]>>({})
  /** What was refused, as it was typed. */
  const returned = reactive<Record<string, string>>({})
  const unsaved = reactive<Record<string, string>>({})
  const trouble = ref<string | null>(null)
  let last: Promise<unknown> = Promise.resolve()
  const waiting = new Map<string, () => Promise<unknown>>()
  const sheet = ++sheets
  let timer: ReturnType<typeof setTimeout> | undefined
  watch(unsaved, (now) => {
    for (const key of [...notSavedYet.keys()]) if (key.startsWith(`${sheet} `)) notSavedYet.delete(key)
    for (const [field, text] of Object.entries(now)) notSavedYet.set(`${sheet} ${field}`, text)
  })
  onScopeDispose(() => {
    clearTimeout(timer)
    for (const key of [...notSavedYet.keys()]) if (key.startsWith(`${sheet} `)) notSavedYet.delete(key)
  })

  /** Stores an entry; answers whether it is stored. */
  async function save(
    key: string,
    text: string,
    store: () => Promise<unknown>,
    path = `$.${key}`,
  ): Promise<boolean> {
    delete returned[key]
    const mine = last.then(store)
    last = mine.catch(() => undefined)
    try {
      await mine
      delete refused[key]
      delete unsaved[key]
      waiting.delete(key)
      trouble.value = null
      return true
    } catch (error) {
      const said = saidOf(error, path)
      if (error instanceof RefusedError && error.status !== 0 && error.status < 500) {
        refused[key] = said
        returned[key] = text
        trouble.value = said.length > 0 ? null : wholeOf(error)
        delete unsaved[key]
        waiting.delete(key)
      } else {
        unsaved[key] = text
        trouble.value = wholeOf(error)
        waiting.set(key, () => save(key, text, store, path))
        clearTimeout(timer)
        timer = setTimeout(() => [...waiting.values()].forEach((retry) => void retry()), again)
      }
      return false
    }
  }

  return { refused, returned, unsaved, trouble, save }
}

export type Saving = ReturnType<typeof useSaving>
