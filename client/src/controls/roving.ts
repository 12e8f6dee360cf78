import { onMounted, onUpdated, type Ref } from 'vue'

const on: Record<string, number> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }

/**
 * A row or list that is one stop for Tab: arrows go from one to the next, Home and End to the ends.
 * @param within What holds them.
 * @param which Which of it they are, as a selector.
 * @param isHere The one that Tab comes to, as a selector; else the one last gone to, else the first.
 */
export function useRoving(within: Ref<HTMLElement | null | undefined>, which: string, isHere: string) {
  const all = () => [...(within.value?.querySelectorAll<HTMLElement>(which) ?? [])]
  let last: HTMLElement | undefined

  function settle() {
    const items = all()
    const stop =
      items.find((i) => i === document.activeElement) ??
      items.find((i) => i.matches(isHere)) ??
      items.find((i) => i === last) ??
      items[0]
    for (const item of items) item.tabIndex = item === stop ? 0 : -1
  }
  function key(event: KeyboardEvent) {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    const items = all()
    const at = items.findIndex((i) => i.contains(event.target as Node))
    if (at < 0) return
    const to =
      event.key === 'Home'
        ? 0
        : event.key === 'End'
          ? items.length - 1
          : on[event.key] === undefined
            ? -1
            : Math.min(items.length - 1, Math.max(0, at + on[event.key]!))
    if (to < 0) return
    event.preventDefault()
    last = items[to]
    last?.focus()
    settle()
  }
  onMounted(() => {
    settle()
    within.value?.addEventListener('keydown', key)
    within.value?.addEventListener('focusin', settle)
  })
  onUpdated(settle)
}
