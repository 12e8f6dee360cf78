import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { useCalls } from './calls'
import { api, send } from './http'
import { answered, type Verdict } from './shop'
import { RefusedError, type Problem } from './refused'
import type { components } from './schema'

type Schemas = components['schemas']
export type Match = Schemas['MatchWire']
export type MatchSheet = Schemas['MatchSheet']
export type AlsoBand = Schemas['AlsoBandWire']
export type Wishes = Schemas['WishesWire']
export type PullThroughWay = Schemas['PullThroughWay']
export type BandKind = Schemas['BandKind']
export type Catalogue = Schemas['CatalogueWire']
export type Limit = Schemas['LimitWire']
export type SpringBarSheet = Schemas['SpringBarSheet']

/** What the list is narrowed to. */
export interface MatchFilter {
  kind: BandKind | null
  material: Schemas['BandMaterial'] | null
  finish: string | null
  colour: string | null
  mostPrice: string
  inStock: boolean
  verdict: Verdict | null
  skip: number
}

/** Chooses the band that goes on. */
export function useChoice(jobId: MaybeRefOrGetter<number>) {
  const { path, askAnew } = useCalls(jobId)
  return {
    choose: async (body: Schemas['ChooseWire']) => {
      await answered(api.PUT('/api/jobs/{id}/match', { ...path(), body }))
      await askAnew()
    },
  }
}

export function useMatch(jobId: MaybeRefOrGetter<number>, filter: MaybeRefOrGetter<MatchFilter>) {
  const { id, path, askAnew } = useCalls(jobId)
  const query = computed(() => {
    const f = toValue(filter)
    return {
      ...(f.kind && { kind: f.kind }),
      ...(f.material && { material: f.material }),
      ...(f.finish && { finish: f.finish }),
      ...(f.colour && { colour: f.colour }),
      ...(f.mostPrice && { mostPrice: f.mostPrice }),
      ...(f.verdict && { verdict: f.verdict }),
      inStock: f.inStock,
      skip: f.skip,
    }
  })
  return {
    sheet: useQuery({
      queryKey: computed(() => ['match', id.value, query.value]),
      queryFn: () =>
        answered(api.GET('/api/jobs/{id}/match', { params: { ...path().params, query: query.value } })),
      placeholderData: (before) => before,
    }),
    ...useChoice(jobId),
    add: async (body: Schemas['AlongWire']) => {
      await answered(api.PUT('/api/jobs/{id}/match/also', { ...path(), body }))
      await askAnew()
    },
    takeOff: async (bandId: number) => {
      await answered(
        api.DELETE('/api/jobs/{id}/match/also/{bandId}', { params: { path: { id: id.value, bandId } } }),
      )
      await askAnew()
    },
    wish: async (body: Wishes) => {
      await answered(api.PUT('/api/jobs/{id}/match/wishes', { ...path(), body }))
      await askAnew()
    },
  }
}

/** The loop with a band that is only looked at. */
export function useTried(
  jobId: MaybeRefOrGetter<number>,
  tried: MaybeRefOrGetter<{ bandId: number; way: PullThroughWay } | null>,
) {
  return useQuery({
    queryKey: computed(() => ['tried', toValue(jobId), toValue(tried)]),
    enabled: computed(() => toValue(tried) !== null),
    queryFn: () => {
      const { bandId, way } = toValue(tried)!
      return answered(
        api.GET('/api/jobs/{id}/match/{bandId}/loop', {
          params: { path: { id: toValue(jobId), bandId }, query: { way } },
        }),
      )
    },
  })
}

/** Which watches a band in the hand would fit. */
export function useFits(bandId: MaybeRefOrGetter<number>, client: MaybeRefOrGetter<string>) {
  return useQuery({
    queryKey: computed(() => ['fits', toValue(bandId), toValue(client)]),
    queryFn: () =>
      answered(
        api.GET('/api/bands/{id}/fits', {
          params: { path: { id: toValue(bandId) }, query: { client: toValue(client) } },
        }),
      ),
    placeholderData: (before) => before,
  })
}

export function useLimits() {
  const queries = useQueryClient()
  return {
    limits: useQuery({ queryKey: ['limits'], queryFn: () => answered(api.GET('/api/limits')) }),
    set: async (limit: Limit['limit'], value: number | null) => {
      queries.setQueryData(['limits'], await answered(api.PUT('/api/limits', { body: { limit, value } })))
    },
  }
}

export function useSpringBars() {
  const queries = useQueryClient()
  return {
    bars: useQuery({ queryKey: ['bars'], queryFn: () => answered(api.GET('/api/spring-bars')) }),
    set: async (body: SpringBarSheet) => {
      queries.setQueryData(['bars'], await answered(api.PUT('/api/spring-bars', { body })))
    },
  }
}

/** Reads a catalogue file; nothing is stored yet. */
export async function readCatalogue(file: File, of: string): Promise<Catalogue> {
  const response = await send(new Request(`/api/catalogue?of=${of}`, { method: 'POST', body: file }))
  const answer: unknown = await response.json()
  if (!response.ok) throw new RefusedError(answer as Problem, response.status)
  return answer as Catalogue
}

export const mapCatalogue = (id: string, columns: Catalogue['columns']) =>
  answered(api.PUT('/api/catalogue/{id}/columns', { params: { path: { id } }, body: { columns } }))

export const importCatalogue = (id: string, skipBad: boolean) =>
  answered(api.POST('/api/catalogue/{id}/import', { params: { path: { id } }, body: { skipBad } }))

export const cancelCatalogue = (id: string) =>
  answered(api.DELETE('/api/catalogue/{id}', { params: { path: { id } } }))

export const catalogueProgress = (id: string) =>
  answered(api.GET('/api/catalogue/{id}', { params: { path: { id } } }))
