import createClient from 'openapi-fetch'
import type { paths } from './schema'

/** The name this screen gives itself, so that it is not told of its own changes. */
export const screenName = Math.random().toString(36).slice(2)

/** What every change carries as a sign that it comes from a page of ours; told by the door. */
let token = ''
export function holdToken(given: string) {
  token = given
}

/** The version of each job, and of each list that several people change, that this screen last saw. */
const seen = new Map<string, string>()
/** Changes to one of them go one after the other: each is made on what the one before left. */
const turns = new Map<string, Promise<unknown>>()

/** A change to a job that was refused since somebody else changed the job meanwhile. */
export interface StaleChange {
  /** What the shop says of it. */
  says: string
  /** What was to be stored, value by value. */
  yours: string[]
  /** Makes the change all the same, on how the job stands now. */
  again: () => Promise<Response>
}

interface Heard {
  signedOut: () => void
  /** Null where the screen that made the change shows both itself. */
  stale: (change: StaleChange | null) => void
}
const listeners: Partial<Heard> = {}
/** Says what is to be done when a session is over, or when a job was changed on another screen. */
export function on<K extends keyof Heard>(heard: K, then: Heard[K]) {
  listeners[heard] = then
}

/** What a call is about: a job, or a list by the first word of its calls. A catalogue is taken into the bands. */
function aboutOf(path: string) {
  const [, list, job, rest] = /^\/api\/([^/]+)(?:\/([^/]+))?(\/.+)?$/.exec(path) ?? []
  if (list === 'jobs' && job) return { about: `jobs/${job}`, isWhole: !rest }
  return { about: list === 'catalogue' ? 'bands' : (list ?? ''), isWhole: !job }
}

/** Adds something and overwrites nothing, so it may be made on any sight of the rest. */
function onlyAdds(method: string, path: string) {
  if (method !== 'POST') return false
  return path.startsWith('/api/jobs/')
    ? /\/(readings|notes|photos|marks)$/.test(path)
    : !/\/(stock-take|received|import)$/.test(path)
}

/** A call, with what the shop wants to know about every change. */
export async function send(request: Request): Promise<Response> {
  const { pathname } = new URL(request.url, location.origin)
  const { about, isWhole } = aboutOf(pathname)
  // What only asks is asked for, whatever it is asked with.
  if (request.method === 'GET' || pathname === '/api/counter/answer') {
    const response = await fetch(request)
    if (isWhole) note(about, response)
    return heard(response)
  }
  return pressed(request, about, () => {
    const turn = (turns.get(about) ?? Promise.resolve()).then(() => change(request, about, pathname))
    turns.set(
      about,
      turn.catch(() => undefined),
    )
    return turn
  })
}

async function change(request: Request, about: string, path: string) {
  request.headers.set('X-Iron-Loop-Token', token)
  request.headers.set('X-Iron-Loop-Screen', screenName)
  const showsBoth = request.headers.has('If-Match')
  const kept = request.clone()
  kept.headers.delete('Idempotency-Key')
  if (!showsBoth && !onlyAdds(request.method, path)) request.headers.set('If-Match', seen.get(about) ?? '*')
  // Whether a change without an answer was stored is not known, so neither is the version it left.
  const response = await fetch(request).catch((lost: unknown) => {
    seen.delete(about)
    throw lost
  })
  note(about, response)
  if (response.status === 412) listeners.stale?.(showsBoth ? null : await stale(response.clone(), kept))
  return heard(response)
}

function note(about: string, response: Response) {
  const version = response.headers.get('ETag')
  if (response.ok && version) seen.set(about, version)
}

/** A name that no other press has; the browser's own names are for secured pages only. */
export const newName = () =>
  Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, '0')).join(
    '',
  )

/** Presses that are under way, or whose answer was lost, by what they ask for. */
interface Press {
  name: string
  about: string
  answer?: Promise<Response> | undefined
}
const presses = new Map<string, Press>()

/** For so long after it was answered a press that makes something and comes again is still the same. */
const bounce = 400

/**
 * Every change carries a name, by which the shop knows one press from two. The same press made again while the first is under way is
 * the first; made again after its answer was lost it keeps its name, so that it is done once whether or not it had been stored.
 */
async function pressed(request: Request, about: string, go: () => Promise<Response>): Promise<Response> {
  const isPlain = request.headers.get('Content-Type')?.includes('json') ?? !request.body
  // Two readings may be alike: whoever types them names each.
  const named = request.headers.get('Idempotency-Key')
  const asks =
    named ?? (isPlain ? `${request.method} ${request.url} ${await request.clone().text()}` : newName())
  const before = presses.get(asks)
  if (before?.answer) return (await before.answer).clone()
  const press: Press = { name: named ?? before?.name ?? newName(), about }
  request.headers.set('Idempotency-Key', press.name)
  press.answer = go()
  presses.set(asks, press)
  const over = () => void (presses.get(asks) === press && presses.delete(asks))
  try {
    const answer = await press.answer
    if (answer.status < 500) forgetLost(about)
    if (answer.status >= 500) press.answer = undefined
    else if (answer.ok && request.method === 'POST') setTimeout(over, bounce)
    else over()
    return answer.clone()
  } catch (lost) {
    press.answer = undefined
    throw lost
  }
}

/** Once something else was changed there, what was lost before is no press to be made good: the same again is a new one. */
function forgetLost(about: string) {
  for (const [asks, press] of presses) if (press.about === about && !press.answer) presses.delete(asks)
}

function heard(response: Response) {
  if (response.status === 401) listeners.signedOut?.()
  return response
}

async function stale(response: Response, kept: Request): Promise<StaleChange> {
  const { title } = (await response.json().catch(() => ({}))) as { title?: string }
  const sent: unknown = await kept
    .clone()
    .json()
    .catch(() => null)
  return { says: title ?? '', yours: valuesOf(sent), again: () => send(kept.clone()) }
}

/** The plain values of what was sent, each with its name in words; of places counted from the case, how many. */
function valuesOf(sent: unknown, name = ''): string[] {
  if (sent === null || sent === '') return []
  if (typeof sent !== 'object') return [`${name}: ${String(sent as string | number | boolean)}`]
  if (Array.isArray(sent)) {
    const words: unknown[] = sent.filter((value) => typeof value === 'string')
    return sent.length === 0 ? [] : [`${name}: ${words.length > 0 ? words.join(', ') : sent.length}`]
  }
  return Object.entries(sent).flatMap(([key, value]) => {
    const words = key.replace(/[A-Z]/g, (capital) => ` ${capital.toLowerCase()}`)
    return valuesOf(value, name ? `${name}, ${words}` : words)
  })
}

export const api = createClient<paths>({ baseUrl: '', fetch: send })
