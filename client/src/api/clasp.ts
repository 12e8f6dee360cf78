import { useQuery } from '@tanstack/vue-query'
import type { MaybeRefOrGetter } from 'vue'
import { useCalls } from './calls'
import { api } from './http'
import { answered } from './shop'
import type { components } from './schema'

type Schemas = components['schemas']
export type ClaspSheet = Schemas['ClaspSheetWire']
export type ClaspCandidate = Schemas['ClaspCandidateWire']
export type ClaspEffect = NonNullable<ClaspCandidate['effect']>
export type ClaspKind = Schemas['ClaspKindWire']['kind']
export type ClaspQuestion = Schemas['ClaspQuestion']
export type ClaspSeen = Schemas['ClaspSeenWire']
export type OwnPart = Schemas['OwnPartWire']
export type OwnPartKind = Schemas['OwnPartKind']
export type PartOffers = Schemas['PartOffersWire']

export function useClaspKey() {
  return useQuery({
    queryKey: ['claspKey'],
    queryFn: () => answered(api.GET('/api/clasp-key')),
    staleTime: Infinity,
  })
}

/** The Clasp station of one job. */
export function useClasp(jobId: MaybeRefOrGetter<number>) {
  const { id, path, ask, askAnew, put } = useCalls(jobId)

  async function changed(call: Promise<ClaspSheet>) {
    await put('clasp', call)
    await askAnew('clasp')
  }

  return {
    sheet: ask('clasp', () => answered(api.GET('/api/jobs/{id}/clasp', path()))),
    see: (body: ClaspSeen) => changed(answered(api.PUT('/api/jobs/{id}/clasp/seen', { ...path(), body }))),
    keep: async (signedBy: string) => {
      const query = signedBy.trim() ? { consentSignedBy: signedBy } : {}
      await answered(api.PUT('/api/jobs/{id}/clasp/keep', { params: { path: { id: id.value }, query } }))
      await askAnew()
    },
    replace: async (body: Schemas['OtherClaspWire']) => {
      await answered(api.PUT('/api/jobs/{id}/clasp/other', { ...path(), body }))
      await askAnew()
    },
    offers: () => answered(api.GET('/api/jobs/{id}/clasp/offers', path())),
    takeOffer: (article: string) =>
      changed(answered(api.POST('/api/jobs/{id}/clasp/offers', { ...path(), body: { article } }))),
    ownPartOffers: (kind: OwnPartKind) =>
      answered(
        api.GET('/api/jobs/{id}/clasp/own-parts/{kind}/offers', { params: { path: { id: id.value, kind } } }),
      ),
    inspect: (body: Schemas['InspectedWire']) =>
      changed(answered(api.PUT('/api/jobs/{id}/clasp/own-parts', { ...path(), body }))),
    forget: (kind: OwnPartKind) =>
      changed(
        answered(
          api.DELETE('/api/jobs/{id}/clasp/own-parts/{kind}', { params: { path: { id: id.value, kind } } }),
        ),
      ),
    takeInstead: (body: Schemas['ReplacementWire']) =>
      changed(answered(api.PUT('/api/jobs/{id}/clasp/own-parts/replacement', { ...path(), body }))),
  }
}
