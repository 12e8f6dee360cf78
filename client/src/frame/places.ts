import type { Found } from '../api/find'
import { nameOf, pathOf, stations } from '../job/stations'
import { shopParts } from '../shop/shopParts'

/** Somewhere to go. */
export interface Place {
  kind: string
  says: string
  more: string
  to: string
}

const pages: Place[] = [
  { kind: 'Page', says: 'Start', more: '', to: '/' },
  { kind: 'Page', says: 'Take in a job', more: '', to: '/take-in' },
  { kind: 'Page', says: 'Counter', more: '', to: '/counter' },
  { kind: 'Page', says: 'Log', more: '', to: '/log' },
  { kind: 'Page', says: 'Log: over time', more: '', to: '/log?part=figures' },
  { kind: 'Page', says: 'Put a band in stock', more: '', to: '/bands/new' },
  { kind: 'Page', says: 'Your keys and passphrase', more: '', to: '/own' },
  ...shopParts.map((p) => ({ kind: 'Page', says: p.title, more: 'Shop', to: `/house/${p.part}` })),
]

const starts = (says: string, words: string[]) => {
  const here = says.toLowerCase().split(/[^\p{L}\p{N}]+/u)
  return words.every((w) => here.some((h) => h.startsWith(w)))
}

/** Pages and stations whose words begin like those typed, in any order. */
export function placesFor(typed: string, job: string | undefined): Place[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean)
  const here = job
    ? stations.map((s) => ({
        kind: 'Station',
        says: s.name,
        more: `of tag ${job}`,
        to: `/jobs/${job}/${pathOf[s.station]}`,
      }))
    : []
  return [...here, ...pages].filter((p) => starts(`${p.says} ${p.more}`, words))
}

const kinds = {
  job: 'Tag',
  client: 'Person',
  watch: 'Watch',
  band: 'Band',
  part: 'Article',
  model: 'Model',
} as const

/** Where something that was found leads. */
export function placeOf(found: Found): Place {
  const to = {
    job: `/jobs/${found.id}/${found.next ? pathOf[found.next] : pathOf.handOver}`,
    client: `/clients/${found.id}`,
    watch: `/clients/${found.id}`,
    band: `/bands/${found.id}/fits`,
    model: `/models/${found.id}`,
    part: `/house/parts?words=${encodeURIComponent(found.more)}`,
  }[found.kind]
  const at = found.kind === 'job' && found.next ? `, at ${nameOf(found.next)}` : ''
  return { kind: kinds[found.kind], says: found.says, more: found.more + at, to }
}
