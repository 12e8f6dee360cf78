/** A key that is held down is one press: Enter that repeats sends nothing again. Lines in a longer text may be held. */
export function onceWhileHeld(event: KeyboardEvent) {
  if (!event.repeat || event.key !== 'Enter' || event.target instanceof HTMLTextAreaElement) return
  event.preventDefault()
  event.stopImmediatePropagation()
}
