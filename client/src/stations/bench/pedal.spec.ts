import { describe, expect, it } from 'vitest'
import { isPedal } from './pedal'

function press(on: string, init: KeyboardEventInit) {
  document.body.innerHTML = '<input id="typing" /><button id="done">Done</button><p id="text"></p>'
  let event = new KeyboardEvent('keydown', { bubbles: true, ...init })
  document.querySelector(`#${on}`)!.addEventListener('keydown', (e) => (event = e as KeyboardEvent))
  document.querySelector(`#${on}`)!.dispatchEvent(event)
  return event
}

describe('a foot pedal', () => {
  it('goes forward wherever the focus is', () => {
    for (const on of ['typing', 'done', 'text'])
      expect(isPedal(press(on, { key: 'PageDown' }), 'PageDown')).toBe(true)
  })

  it('does not go forward while it is held, nor with another key', () => {
    expect(isPedal(press('text', { key: 'PageDown', repeat: true }), 'PageDown')).toBe(false)
    expect(isPedal(press('text', { key: ' ' }), 'PageDown')).toBe(false)
    expect(isPedal(press('text', { key: 'PageDown', ctrlKey: true }), 'PageDown')).toBe(false)
  })

  it('that types a character does not go forward while something is typed', () => {
    expect(isPedal(press('typing', { key: 'b' }), 'b')).toBe(false)
    expect(isPedal(press('text', { key: 'b' }), 'b')).toBe(true)
  })
})
