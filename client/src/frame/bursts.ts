import { useEventListener } from '@vueuse/core'
import { useRouter } from 'vue-router'
import { find } from '../api/find'
import { placeOf } from './places'

/** Fingers are slower than this between two keys; scanners and calipers are not. */
const fastest = 30
const leastKeys = 3
const figure = /^[-+]?\d+([.,]\d+)?( ?\d+\/\d+)?\s*(mm|cm|in|")?$/i

type Field = HTMLInputElement | HTMLTextAreaElement
const fieldOf = (on: EventTarget | null): Field | null =>
  on instanceof HTMLInputElement || on instanceof HTMLTextAreaElement ? on : null

function fill(field: Field, text: string) {
  field.value = text
  field.dispatchEvent(new Event('input', { bubbles: true }))
}
const enter = () => new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true })

/** The figure in hand: the first on the page that was not read yet, else the first. */
function figureInHand(): HTMLInputElement | null {
  const all = [...document.querySelectorAll<HTMLInputElement>('main input[data-figure]:not(:disabled)')]
  return all.find((f) => f.placeholder === '') ?? all[0] ?? null
}

/**
 * A burst of characters that ends in Enter is a scan, or a caliper that types, wherever the focus is: a code that the
 * shop knows leads to its tag or article, a figure goes to the figure in hand. Anything else stays where it was typed.
 */
export function useBursts() {
  const router = useRouter()
  let text = ''
  let last = 0
  let before: { field: Field; value: string } | null = null

  async function code(typed: string, field: Field | null, held: typeof before) {
    const found = await find(typed).catch(() => [])
    const one = found.find((f) => f.exact)
    if (one) {
      if (held) fill(held.field, held.value)
      return router.push(placeOf(one).to)
    }
    // It stays where it was typed, and its Enter counts there.
    const on = field ?? document.activeElement
    if (!on?.isConnected) return
    if (on.dispatchEvent(enter())) (on as Field).form?.requestSubmit()
  }

  useEventListener(
    'keydown',
    (event: KeyboardEvent) => {
      if (!event.isTrusted || event.ctrlKey || event.metaKey || event.altKey) return
      const now = event.timeStamp
      const field = fieldOf(event.target)
      if (event.key.length === 1) {
        if (text === '' || now - last > fastest) {
          text = ''
          before = field && { field, value: field.value }
        }
        text += event.key
        last = now
        return
      }
      if (event.key === 'Shift') return
      const typed = text.trim()
      const isBurst = event.key === 'Enter' && typed.length >= leastKeys && now - last <= fastest
      text = ''
      const held = before
      before = null
      // Where keys have a meaning of their own they keep it.
      if (!isBurst || (event.target as HTMLElement | null)?.closest?.('[data-keys], textarea, [role=dialog]'))
        return
      if (figure.test(typed)) {
        const hand = field ? null : figureInHand()
        if (!hand) return
        event.preventDefault()
        event.stopImmediatePropagation()
        hand.focus()
        fill(hand, typed)
        hand.dispatchEvent(enter())
        return
      }
      // Names and sentences are typed by hand; a code has no blank but the one behind "tag" or "bag".
      if (!/^((tag|bag) \d+|\S*\d\S*)$/i.test(typed)) return
      event.preventDefault()
      event.stopImmediatePropagation()
      void code(typed, field, held)
    },
    { capture: true },
  )
}
