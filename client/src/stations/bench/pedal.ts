import { useLocalStorage } from '@vueuse/core'

/** The key that a foot pedal types. It belongs to the device, not to the job. */
export const pedalKey = useLocalStorage('iron-loop-pedal', 'PageDown')

/** Whether the pedal is pressed: wherever the focus is, but never by a character that is being typed. */
export function isPedal(event: KeyboardEvent, pedal: string): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || event.key !== pedal) return false
  const on = event.target instanceof HTMLElement ? event.target : null
  return pedal.length > 1 || !on?.closest('input, textarea, select, [role="combobox"]')
}
