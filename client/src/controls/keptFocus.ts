import { useEventListener } from '@vueuse/core'
import { onScopeDispose } from 'vue'
import { focusFirstAct } from './acts'

/** Puts the keyboard on the heading of what is shown, where nothing else is to be on it. */
export function focusHeading() {
  const heading = document.querySelector<HTMLElement>('main h1, main h2, main')
  if (!heading) return
  heading.tabIndex = -1
  heading.focus({ preventScroll: true })
}

/**
 * The keyboard is never left on nothing: where what it was on goes away, or is of no use any more, it goes to the act
 * that comes next, else to the heading.
 */
export function useKeptFocus() {
  let last: HTMLElement | null = null
  let timer: ReturnType<typeof setTimeout> | undefined
  useEventListener(document, 'focusin', (event: FocusEvent) => (last = event.target as HTMLElement))
  // Whoever presses beside everything means to.
  useEventListener(document, 'pointerdown', () => (last = null), { capture: true })

  const isLost = () => document.activeElement === document.body || document.activeElement === null
  function look() {
    if (!last || !isLost()) return
    const isGone = !last.isConnected || !last.checkVisibility()
    const isUsable = !isGone && !last.matches(':disabled')
    clearTimeout(timer)
    // What comes in its place, or comes back, has its chance first; and between two fields the keyboard is on nothing
    // for as long as the one is left.
    timer = setTimeout(
      () => {
        if (!isLost()) return
        if (last?.isConnected && !last.matches(':disabled') && last.checkVisibility()) last.focus()
        else if (!focusFirstAct()) focusHeading()
      },
      isUsable ? 0 : isGone ? 60 : 700,
    )
  }
  // A browser minds autofocus once a page; what is shown later is minded here, unless somebody types elsewhere.
  function given(added: Node) {
    if (!(added instanceof HTMLElement) || document.activeElement?.matches('input, textarea, select')) return
    const field = added.matches('[autofocus]') ? added : added.querySelector<HTMLElement>('[autofocus]')
    field?.focus()
  }
  const watched = new MutationObserver((changes) => {
    for (const change of changes) change.addedNodes.forEach(given)
    look()
  })
  watched.observe(document.body, { childList: true, subtree: true, attributeFilter: ['disabled'] })
  onScopeDispose(() => {
    watched.disconnect()
    clearTimeout(timer)
  })
}
