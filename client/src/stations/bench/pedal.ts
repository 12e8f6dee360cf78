import { useLocalStorage } from '@vueuse/core'

/** The key that a foot pedal types; Space always goes forward too. It belongs to the device, not to the job. */
export const pedalKey = useLocalStorage('iron-loop-pedal', 'PageDown')

/** Whether Enter is pressed where nothing else has it: it answers "as planned" at a try-on. */
export function isAnswer(event: KeyboardEvent): boolean {
  if (event.key !== 'Enter' || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return false
  const on = event.target instanceof HTMLElement ? event.target : null
  return !on?.closest('input, textarea, select, button, a, [role="combobox"]')
}

/** Whether a key press means forward: not while something is typed, nor where a button has it. */
export function isForward(event: KeyboardEvent, pedal: string): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return false
  const on = event.target instanceof HTMLElement ? event.target : null
  if (on?.closest('input, textarea, select, [role="combobox"]')) return false
  if (event.key === pedal) return true
  // On the tab that is open already Space does nothing of its own.
  return event.key === ' ' && !on?.closest('button:not([aria-selected="true"]), a, [role="checkbox"]')
}
