import { onScopeDispose, ref, watch } from 'vue'
import { asMoment } from './days'

/** Drafts are kept in the browser: per form and job, with their time, for a week. A passphrase is never one. */
const prefix = 'iron-loop-draft '
const week = 7 * 24 * 60 * 60 * 1000

interface Draft<T> {
  at: number
  what: T
}

const read = <T>(key: string): Draft<T> | null => {
  try {
    const kept = JSON.parse(localStorage.getItem(key) ?? 'null') as Draft<T> | null
    if (kept && Date.now() - kept.at < week) return kept
  } catch {
    // What cannot be read is no draft.
  }
  localStorage.removeItem(key)
  return null
}

/**
 * Throws drafts away.
 * @param which Which, by what they hold; all where nothing is said.
 */
export function dropDrafts(which: (text: string, form: string) => boolean = () => true) {
  for (const key of Object.keys(localStorage).filter((k) => k.startsWith(prefix)))
    if (which(localStorage.getItem(key) ?? '', key.slice(prefix.length)) || !read(key))
      localStorage.removeItem(key)
}

/**
 * Keeps what is typed into a form that is saved as a whole.
 * @param name The form, with the number of its job where it has one.
 * @param now What stands in it.
 * @param put Puts a draft back into it.
 */
export function useDraft<T>(name: string, now: () => T, put: (draft: T) => void) {
  const key = prefix + name
  const clean = JSON.stringify(now())
  const found = read<T>(key)
  /** What was typed here before and not saved. */
  const offered = ref<{ says: string } | null>(
    found && JSON.stringify(found.what) !== clean
      ? { says: asMoment(new Date(found.at).toISOString()) }
      : null,
  )
  const isTyped = ref(false)
  let timer: ReturnType<typeof setTimeout> | undefined
  let over = false

  function keep() {
    clearTimeout(timer)
    const text = JSON.stringify(now())
    isTyped.value = text !== clean && !over
    if (isTyped.value) localStorage.setItem(key, JSON.stringify({ at: Date.now(), what: now() }))
    else if (!offered.value) localStorage.removeItem(key)
  }
  watch(
    now,
    () => {
      if (over) return
      isTyped.value = JSON.stringify(now()) !== clean
      clearTimeout(timer)
      timer = setTimeout(keep, 300)
    },
    { deep: true },
  )
  onScopeDispose(() => {
    if (!over && timer !== undefined) keep()
    clearTimeout(timer)
  })

  return {
    offered,
    /** Whether something stands in it that is saved nowhere but as a draft. */
    isTyped,
    take() {
      if (found) put(found.what)
      offered.value = null
    },
    drop() {
      localStorage.removeItem(key)
      offered.value = null
    },
    /** What was typed is saved: it is no draft any more. */
    done() {
      over = true
      isTyped.value = false
      clearTimeout(timer)
      localStorage.removeItem(key)
      offered.value = null
      setTimeout(() => (over = false))
    },
  }
}
