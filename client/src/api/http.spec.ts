import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { StaleChange } from './http'

interface Call {
  method: string
  path: string
  ifMatch: string | null
  token: string | null
  name: string | null
}

/** A server that notes what it is asked and answers what it is told to. */
function server(answer: (call: Call) => Response | Promise<Response> = () => at('1')) {
  const calls: Call[] = []
  vi.stubGlobal('fetch', async (request: Request) => {
    const call = {
      method: request.method,
      path: new URL(request.url).pathname,
      ifMatch: request.headers.get('If-Match'),
      token: request.headers.get('X-Iron-Loop-Token'),
      name: request.headers.get('Idempotency-Key'),
    }
    calls.push(call)
    return answer(call)
  })
  return calls
}
const at = (version: string, status = 200) =>
  new Response('{}', { status, headers: { ETag: `"${version}"` } })
const ask = (path: string, method = 'GET') => new Request(`http://shop${path}`, { method })

// What was seen and whose turn it is belongs to a page: each test opens one of its own.
let http: typeof import('./http')
beforeEach(async () => {
  vi.resetModules()
  http = await import('./http')
})

describe('calls to the server', () => {
  it('carry the sign of a page of ours with every change, and only with changes', async () => {
    const calls = server()
    http.holdToken('a sign')
    await http.send(ask('/api/jobs'))
    await http.send(ask('/api/jobs', 'POST'))
    expect(calls.map((c) => c.token)).toEqual([null, 'a sign'])
  })

  it('say on which sight of the job a change was made, and follow their own changes', async () => {
    let version = 4
    const calls = server((call) => at(String(call.method === 'GET' ? version : ++version)))
    await http.send(ask('/api/jobs/7'))
    await http.send(ask('/api/jobs/7/size', 'PUT'))
    await http.send(ask('/api/jobs/7/clasp', 'PUT'))
    expect(calls.map((c) => c.ifMatch)).toEqual([null, '"4"', '"5"'])
  })

  it('keep one job’s version apart from another’s, and from what is read of its parts', async () => {
    const calls = server((call) =>
      at(call.path.includes('/8') ? '80' : call.path.endsWith('/bench') ? '99' : '4'),
    )
    await http.send(ask('/api/jobs/7'))
    await http.send(ask('/api/jobs/7/bench'))
    await http.send(ask('/api/jobs/8'))
    await http.send(ask('/api/jobs/7/size', 'PUT'))
    await http.send(ask('/api/jobs/8/size', 'PUT'))
    await http.send(ask('/api/parts', 'POST'))
    await http.send(ask('/api/jobs/8/bench/notes', 'POST'))
    expect(calls.slice(3).map((c) => c.ifMatch)).toEqual(['"4"', '"80"', null, null])
  })

  it('say on which sight of a list it was changed, a catalogue on that of the bands', async () => {
    const calls = server((call) => at(call.path === '/api/parts/5/entries' ? '99' : '4'))
    await http.send(ask('/api/parts'))
    await http.send(ask('/api/parts/5/entries'))
    await http.send(ask('/api/parts', 'PUT'))
    await http.send(ask('/api/bands'))
    await http.send(ask('/api/catalogue/x/import', 'POST'))
    await http.send(ask('/api/limits', 'PUT'))
    expect(calls.filter((c) => c.method !== 'GET').map((c) => c.ifMatch)).toEqual(['"4"', '"4"', '*'])
  })

  it('change a job one after the other, and two jobs at once', async () => {
    const free: (() => void)[] = []
    const calls = server(() => new Promise((done) => free.push(() => done(at('1')))))
    const all = [
      http.send(ask('/api/jobs/7/a', 'PUT')),
      http.send(ask('/api/jobs/7/b', 'PUT')),
      http.send(ask('/api/jobs/8/a', 'PUT')),
    ]
    await vi.waitFor(() => expect(free).toHaveLength(2))
    expect(calls.map((c) => c.path)).toEqual(['/api/jobs/7/a', '/api/jobs/8/a'])
    free.forEach((f) => f())
    await vi.waitFor(() => expect(free).toHaveLength(3))
    free[2]!()
    await Promise.all(all)
  })

  it('forget a version once a change got no answer, for nobody knows whether it was stored', async () => {
    let isUp = true
    const calls = server(() => (isUp ? at('4') : Promise.reject(new TypeError('gone'))))
    await http.send(ask('/api/jobs/7'))
    isUp = false
    await expect(http.send(ask('/api/jobs/7/gauge', 'POST'))).rejects.toThrow('gone')
    isUp = true
    await http.send(ask('/api/jobs/7/gauge', 'POST'))
    expect(calls.map((c) => c.ifMatch)).toEqual([null, '"4"', '*'])
  })

  it('keep the version seen when a change is refused', async () => {
    const calls = server((call) => (call.method === 'GET' ? at('4') : at('9', 400)))
    await http.send(ask('/api/jobs/7'))
    await http.send(ask('/api/jobs/7/gauge', 'POST'))
    await http.send(ask('/api/jobs/7/gauge', 'POST'))
    expect(calls.map((c) => c.ifMatch)).toEqual([null, '"4"', '"4"'])
  })

  it('give every change a name, the same one to a press whose answer was lost, another to the next', async () => {
    let isUp = true
    const calls = server(() => (isUp ? at('4') : Promise.reject(new TypeError('gone'))))
    const reading = (typed: string) =>
      new Request('http://shop/api/jobs/7/gauge/readings', {
        method: 'POST',
        body: JSON.stringify({ typed }),
        headers: { 'Content-Type': 'application/json' },
      })
    await http.send(reading('20.0'))
    isUp = false
    await expect(http.send(reading('20.1'))).rejects.toThrow('gone')
    isUp = true
    await http.send(reading('20.1'))
    await http.send(reading('20.4'))
    const [first, lost, again, other] = calls.map((c) => c.name)
    expect(again).toBe(lost)
    expect(new Set([first, lost, other]).size).toBe(3)
  })

  it('give what was lost a new name once something else was changed there meanwhile', async () => {
    let isUp = false
    const calls = server(() => (isUp ? at('4') : Promise.reject(new TypeError('gone'))))
    const count = (of: number, job = 7) =>
      new Request(`http://shop/api/jobs/${job}/take-in/came-with`, {
        method: 'PUT',
        body: JSON.stringify({ what: 'box', count: of }),
        headers: { 'Content-Type': 'application/json' },
      })
    await expect(http.send(count(2))).rejects.toThrow('gone')
    isUp = true
    await http.send(count(5, 8))
    await http.send(count(2))
    expect(calls[2]!.name).toBe(calls[0]!.name)
    isUp = false
    await expect(http.send(count(1))).rejects.toThrow('gone')
    isUp = true
    await http.send(count(3))
    await http.send(count(1))
    expect(calls[5]!.name).not.toBe(calls[3]!.name)
  })

  it('make one call of one press that comes twice, and tell both what it was answered', async () => {
    const free: (() => void)[] = []
    const calls = server(() => new Promise((done) => free.push(() => done(at('4', 201)))))
    const both = [http.send(ask('/api/jobs', 'POST')), http.send(ask('/api/jobs', 'POST'))]
    await vi.waitFor(() => expect(free).toHaveLength(1))
    free[0]!()
    const answers = await Promise.all(both)
    expect(calls).toHaveLength(1)
    expect(await Promise.all(answers.map((a) => a.json()))).toEqual([{}, {}])
  })

  it('take a press that makes something as one while a finger may bounce, and readings that are alike as two', async () => {
    vi.useFakeTimers()
    const calls = server(() => at('4', 201))
    const heldFor = async (ms: number) => {
      await http.send(ask('/api/jobs', 'POST'))
      await vi.advanceTimersByTimeAsync(ms)
    }
    await heldFor(200)
    await heldFor(300)
    await heldFor(0)
    expect(calls).toHaveLength(2)
    for (const name of ['first', 'second']) {
      const request = ask('/api/jobs/7/gauge/readings', 'POST')
      request.headers.set('Idempotency-Key', name)
      await http.send(request)
    }
    expect(calls.slice(2).map((c) => c.name)).toEqual(['first', 'second'])
    vi.useRealTimers()
  })

  it('tell when a session is over', async () => {
    const over = vi.fn()
    http.on('signedOut', over)
    server(() => new Response('{}', { status: 401 }))
    await http.send(ask('/api/log'))
    expect(over).toHaveBeenCalledOnce()
  })

  it('keep what somebody else was before with, value by value, and make it again by choice', async () => {
    const stale = vi.fn<(change: StaleChange | null) => void>()
    http.on('stale', stale)
    let meanwhile = true
    const calls = server((call) =>
      call.method === 'GET'
        ? at(meanwhile ? '4' : '5')
        : meanwhile
          ? new Response('{"title":"Job 7 was changed by MK."}', { status: 412 })
          : at('6'),
    )
    await http.send(ask('/api/jobs/7'))
    const body = { position: 3, twelve: { out: [8, 7], in: [] }, note: '', mark: null, wristAspect: '1.3' }
    await http.send(new Request('http://shop/api/jobs/7/size', { method: 'PUT', body: JSON.stringify(body) }))
    const change = stale.mock.calls[0]?.[0]
    expect(change).toMatchObject({
      says: 'Job 7 was changed by MK.',
      yours: ['position: 3', 'twelve, out: 2', 'wrist aspect: 1.3'],
    })
    meanwhile = false
    await http.send(ask('/api/jobs/7'))
    expect((await change!.again()).status).toBe(200)
    expect((await change!.again()).status).toBe(200)
    expect(calls.map((c) => c.ifMatch)).toEqual([null, '"4"', null, '"5"', '"6"'])
  })

  it('leave it to a screen that says what it saw to show both itself', async () => {
    const stale = vi.fn()
    http.on('stale', stale)
    server(() => new Response('{}', { status: 412 }))
    const request = ask('/api/jobs/7/take-in', 'PUT')
    request.headers.set('If-Match', '"3"')
    await http.send(request)
    expect(stale).toHaveBeenCalledExactlyOnceWith(null)
  })
})
