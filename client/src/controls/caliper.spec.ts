import { effectScope, nextTick } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useCaliper, type CaliperWord } from './caliper'

class Stream {
  static last: Stream
  onmessage: ((event: { data: string }) => void) | null = null
  onerror: (() => void) | null = null
  closed = false
  constructor(readonly url: string) {
    Stream.last = this
  }
  close() {
    this.closed = true
  }
  says(word: Partial<CaliperWord>) {
    this.onmessage?.({
      data: JSON.stringify({
        news: 'line',
        connected: true,
        says: '',
        typed: null,
        inInches: false,
        number: 1,
        ...word,
      }),
    })
  }
}

describe('the caliper’s line', () => {
  beforeEach(() => void vi.stubGlobal('EventSource', Stream))
  afterEach(() => void vi.unstubAllGlobals())

  it('hands readings on, and garbage only to be said', () => {
    const readings: string[] = []
    const scope = effectScope()
    const { word, garbage } = scope.run(() => useCaliper((typed) => readings.push(typed)))!
    Stream.last.says({ says: 'Listening.' })
    Stream.last.says({ news: 'reading', typed: '19.42 mm' })
    Stream.last.says({ news: 'garbage', says: 'no reading' })
    expect(readings).toEqual(['19.42 mm'])
    expect(garbage.value).toBe('no reading')
    Stream.last.says({ news: 'reading', typed: '19.5 mm' })
    expect(garbage.value).toBeNull()
    Stream.last.onerror?.()
    expect(word.value).toMatchObject({ connected: false })
    scope.stop()
    expect(Stream.last.closed).toBe(true)
  })

  it('is let go of by a window that is not looked at, and taken up again by the one that is', async () => {
    const readings: string[] = []
    const looked = (at: DocumentVisibilityState) => {
      vi.spyOn(document, 'visibilityState', 'get').mockReturnValue(at)
      document.dispatchEvent(new Event('visibilitychange'))
    }
    looked('visible')
    effectScope().run(() => useCaliper((typed) => readings.push(typed)))
    const first = Stream.last
    looked('hidden')
    await nextTick()
    expect(first.closed).toBe(true)
    first.says({ news: 'reading', typed: '19.42 mm' })
    looked('visible')
    await nextTick()
    expect(Stream.last).not.toBe(first)
    Stream.last.says({ news: 'reading', typed: '19.5 mm' })
    expect(readings).toEqual(['19.5 mm'])
    vi.restoreAllMocks()
  })
})
