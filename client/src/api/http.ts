import createClient from 'openapi-fetch'
import type { paths } from './schema'

/** The name this screen gives itself, so that it is not told of its own changes. */
export const screenName = Math.random().toString(36).slice(2)

/** What every change carries as a sign that it comes from a page of ours; told by the door. */
let token = ''
export function holdToken(given: string) {
  token = given
}

/** The version of each job that this screen last saw. */
const seen = new Map<string, string>()
/** Changes to one job go one after the other: each is made on what the one before left. */
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

const ofJob = /^\/api\/jobs\/(\d+)(\/.*)?$/

/** A call, with what the shop wants to know about every change. */
export async function send(request: Request): Promise<Response> {
  const [, job, rest] = ofJob.exec(new URL(request.url, location.origin).pathname) ?? []
  if (request.method === 'GET') {
    const response = await fetch(request)
    if (job && !rest) note(job, response)
    return heard(response)
  }
  request.headers.set('X-Iron-Loop-Token', token)
  request.headers.set('X-Iron-Loop-Screen', screenName)
  if (!job) return heard(await fetch(request))
  const turn = (turns.get(job) ?? Promise.resolve()).then(async () => {
    const version = seen.get(job)
    const showsBoth = request.headers.has('If-Match')
    const kept = request.clone()
    if (version && !showsBoth) request.headers.set('If-Match', version)
    // Whether a change without an answer was stored is not known, so neither is the version it left.
    const response = await fetch(request).catch((lost: unknown) => {
      seen.delete(job)
      throw lost
    })
    note(job, response)
    if (response.status === 412) listeners.stale?.(showsBoth ? null : await stale(response.clone(), kept))
    return heard(response)
  })
  turns.set(
    job,
    turn.catch(() => undefined),
  )
  return turn
}

function note(job: string, response: Response) {
  const version = response.headers.get('ETag')
  if (response.ok && version) seen.set(job, version)
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
