import { beforeEach, describe, expect, it } from 'vitest'
import { actOf, keyActs, keyOf, setKey, whyNotKey } from './keys'

const press = (key: string, more: KeyboardEventInit = {}) =>
  actOf(new KeyboardEvent('keydown', { key, ...more }))

describe('the keys', () => {
  beforeEach(() => keyActs.forEach((k) => setKey(k.act, null)))

  it('are as they come until somebody changes one, and one that is switched off does nothing', () => {
    expect(press('F2')).toBe('find')
    expect(press('ArrowDown', { ctrlKey: true })).toBe('next')
    expect(press('ArrowDown')).toBeUndefined()
    setKey('find', 'F9')
    expect([press('F2'), press('F9')]).toEqual([undefined, 'find'])
    setKey('find', '')
    expect(press('F9')).toBeUndefined()
    setKey('find', null)
    expect(keyOf('find')).toBe('F2')
  })

  it('are never a character alone, since calipers, scanners and sleeves type those', () => {
    expect(keyActs.every((k) => k.key.length > 1)).toBe(true)
    for (const typed of ['c', '7', ' ', 'P']) expect(press(typed)).toBeUndefined()
    expect(whyNotKey('C', 'find')).toContain('calipers and scanners')
  })

  it.each(['F5', 'F12', 'Ctrl+T', 'Ctrl+W', 'Tab', 'Enter', 'Escape', 'ArrowUp', 'Alt+ArrowLeft'])(
    'are not %s, which a browser or a field keeps',
    (key) => expect(whyNotKey(key, 'find')).toContain('kept'),
  )

  it('are one for each act', () => {
    expect(whyNotKey('F8', 'find')).toContain('Counter')
    expect(whyNotKey('F8', 'counter')).toBeNull()
    expect(whyNotKey('Ctrl+ArrowLeft', 'find')).toBeNull()
  })
})
