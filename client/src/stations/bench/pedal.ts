import { useLocalStorage } from '@vueuse/core'

/** The key that a foot pedal types; Space always goes forward too. It belongs to the device, not to the job. */
export const pedalKey = useLocalStorage('iron-loop-pedal', 'PageDown')

/** Whether a key press means forward: not while something is typed or a button has it. */
export function isForward(event: KeyboardEvent, pedal: string): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return false
  const on = event.target instanceof HTMLElement ? event.target : null
  if (on?.closest('input, textarea, select, [role="combobox"]')) return false
  if (event.key === pedal) return true
  return event.key === ' ' && !on?.closest('button, a, [role="tab"], [role="checkbox"]')
}
