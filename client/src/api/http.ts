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

type Heard = 'signedOut' | 'stale'
const listeners = new Map<Heard, () => void>()
/** Says what is to be done when a session is over, or when a job was changed on another screen. */
export function on(heard: Heard, then: () => void) {
  listeners.set(heard, then)
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
    if (version && !request.headers.has('If-Match')) request.headers.set('If-Match', version)
    // Whether a change without an answer was stored is not known, so neither is the version it left.
    const response = await fetch(request).catch((lost: unknown) => {
      seen.delete(job)
      throw lost
    })
    note(job, response)
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
  if (response.status === 401) listeners.get('signedOut')?.()
  if (response.status === 412) listeners.get('stale')?.()
  return response
}

export const api = createClient<paths>({ baseUrl: '', fetch: send })
