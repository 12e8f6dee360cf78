import { describe, expect, it } from 'vitest'
import { isAnswer, isForward } from './pedal'

function press(key: string, on: string, more: KeyboardEventInit = {}): KeyboardEvent {
  document.body.innerHTML = `<div id="at">${on}</div>`
  const target = document.querySelector('#at > *') ?? document.body
  const event = new KeyboardEvent('keydown', { key, bubbles: true, ...more })
  target.dispatchEvent(event)
  return event
}

describe('the answer at a try-on', () => {
  it('is Enter, where nothing else has it', () => {
    expect(isAnswer(press('Enter', '<p></p>'))).toBe(true)
    expect(isAnswer(press('Enter', '<p></p>', { repeat: true }))).toBe(false)
    expect(isAnswer(press('Enter', '<button></button>'))).toBe(false)
    expect(isAnswer(press('Enter', '<input>'))).toBe(false)
    expect(isAnswer(press(' ', '<p></p>'))).toBe(false)
  })
})

describe('forward by key', () => {
  it('goes forward by Space and by the pedal’s key', () => {
    expect(isForward(press(' ', '<p></p>'), 'PageDown')).toBe(true)
    expect(isForward(press('PageDown', '<p></p>'), 'PageDown')).toBe(true)
    expect(isForward(press('F9', '<p></p>'), 'F9')).toBe(true)
    expect(isForward(press('PageDown', '<p></p>'), 'F9')).toBe(false)
  })

  it('leaves Space to buttons and to what is typed, and a key held down counts once', () => {
    expect(isForward(press(' ', '<button></button>'), 'PageDown')).toBe(false)
    expect(isForward(press(' ', '<button role="tab" aria-selected="true"></button>'), 'PageDown')).toBe(true)
    expect(isForward(press(' ', '<input>'), 'PageDown')).toBe(false)
    expect(isForward(press('PageDown', '<textarea></textarea>'), 'PageDown')).toBe(false)
    expect(isForward(press('PageDown', '<button></button>'), 'PageDown')).toBe(true)
    expect(isForward(press(' ', '<p></p>', { repeat: true }), 'PageDown')).toBe(false)
    expect(isForward(press(' ', '<p></p>', { ctrlKey: true }), 'PageDown')).toBe(false)
  })
})
