import { useEventListener } from '@vueuse/core'

type Field = HTMLInputElement | HTMLTextAreaElement
const isField = (on: EventTarget | null): on is Field =>
  (on instanceof HTMLInputElement && !['checkbox', 'radio', 'file'].includes(on.type)) ||
  on instanceof HTMLTextAreaElement
const refusedHere = 'main :is([aria-invalid=true], .v-input--error :is(input, textarea, select))'

/** How fields behave, all of them: what is refused is selected, and gone to; Escape restores what was there. */
export function useFields() {
  let before: { field: Field; value: string } | null = null
  useEventListener(document, 'focusin', ({ target }: FocusEvent) => {
    if (!isField(target)) return
    before = { field: target, value: target.value }
    // What was refused is replaced by what is typed.
    if (target.matches(refusedHere)) target.select()
  })
  useEventListener(document, 'keydown', (event: KeyboardEvent) => {
    const field = before?.field
    if (event.key !== 'Escape' || event.defaultPrevented || !field || event.target !== field) return
    if (field.value === before!.value || field.getAttribute('aria-expanded') === 'true') return
    field.value = before!.value
    field.dispatchEvent(new Event('input', { bubbles: true }))
    event.preventDefault()
  })

  // A form that is refused leads to its first refused field, unless somebody types elsewhere by then.
  useEventListener(document, 'submit', () => {
    const from = document.activeElement
    let typed = false
    const stop = useEventListener(document, 'keydown', () => (typed = true), { once: true })
    const already = new Set(document.querySelectorAll(refusedHere))
    const watched = new MutationObserver(() => {
      const first = document.querySelector<HTMLElement>(refusedHere)
      if (!first) return
      over()
      if (typed && isField(document.activeElement) && document.activeElement !== from) return
      first.focus()
      if (isField(first)) first.select()
    })
    const over = () => {
      watched.disconnect()
      stop()
    }
    watched.observe(document.body, {
      subtree: true,
      childList: true,
      attributeFilter: ['aria-invalid', 'class'],
    })
    // What was refused before and still is, is gone to all the same once the answer is here.
    setTimeout(() => {
      over()
      const first = [...document.querySelectorAll<HTMLElement>(refusedHere)].find((e) => already.has(e))
      if (first && !typed && document.activeElement === from) first.focus()
    }, 3_000)
  })
}
