import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { onceWhileHeld } from './heldKeys'

const heard = vi.fn()
beforeEach(() => {
  heard.mockClear()
  document.body.innerHTML = '<form><input /><textarea></textarea><button>Go</button></form>'
  window.addEventListener('keydown', onceWhileHeld, true)
  document.querySelector('form')!.addEventListener('keydown', heard)
})
afterEach(() => window.removeEventListener('keydown', onceWhileHeld, true))

function press(on: string, key: string, repeat: boolean) {
  const event = new KeyboardEvent('keydown', { key, repeat, bubbles: true, cancelable: true })
  document.querySelector(on)!.dispatchEvent(event)
  return event.defaultPrevented
}

it('lets Enter through once however long it is held, and other keys as they come', () => {
  expect(press('input', 'Enter', false)).toBe(false)
  expect(press('input', 'Enter', true)).toBe(true)
  expect(press('input', 'Enter', true)).toBe(true)
  expect(heard).toHaveBeenCalledTimes(1)
  expect(press('input', '4', true)).toBe(false)
})

it('leaves lines in a longer text alone', () => {
  expect(press('textarea', 'Enter', true)).toBe(false)
  expect(heard).toHaveBeenCalledTimes(1)
})
