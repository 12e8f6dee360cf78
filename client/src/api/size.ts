import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { place } from './answers'
import { api } from './http'
import { answered, type LoopSheet, type Variant } from './shop'
import type { components } from './schema'

type Schemas = components['schemas']
export type OddLink = Schemas['OddLink']
export type PullThroughWay = Schemas['PullThroughWay']
export type School = Schemas['SchoolWire']
export type StockLink = Schemas['StockLinkWire']
export type StrapLength = Schemas['StrapLengthWire']
export type Worn = Schemas['WornWire']

/** What is tried at Size beside the plan itself. */
export function useSize(jobId: MaybeRefOrGetter<number>) {
  const queries = useQueryClient()
  const id = computed(() => toValue(jobId))
  const path = () => ({ params: { path: { id: id.value } } })
  const ask = <T>(what: string, call: () => Promise<T>) =>
    useQuery({ queryKey: computed(() => ['size', what, id.value]), queryFn: call })

  /** A change that answers with the loop: drawn at once, the rest asked for anew. */
  async function reshaped(call: Promise<LoopSheet>) {
    await place(queries, ['loop', id.value], await call)
    await queries.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'loop' })
  }

  return {
    pin: (body: Schemas['PinWire']) =>
      reshaped(answered(api.PUT('/api/jobs/{id}/size/pinned', { ...path(), body }))),
    free: (body: Schemas['FreedWire']) =>
      reshaped(answered(api.PUT('/api/jobs/{id}/size/freed', { ...path(), body }))),
    takeLinks: (body: Schemas['TakeLinkWire']) =>
      reshaped(answered(api.PUT('/api/jobs/{id}/size/links', { ...path(), body }))),
    returnTo: (body: Variant) =>
      reshaped(answered(api.PUT('/api/jobs/{id}/size/variant', { ...path(), body }))),
    wear: (way: PullThroughWay) =>
      reshaped(answered(api.PUT('/api/jobs/{id}/size/way', { ...path(), body: { way } }))),
    settle: async (body: School) => {
      await answered(api.PUT('/api/jobs/{id}/size/school', { ...path(), body }))
      await queries.invalidateQueries()
    },
    stockLinks: () => ask('links', () => answered(api.GET('/api/jobs/{id}/size/links', path()))),
    straps: () => ask('straps', () => answered(api.GET('/api/jobs/{id}/size/straps', path()))),
    ways: () => ask('ways', () => answered(api.GET('/api/jobs/{id}/size/ways', path()))),
    school: () => ask('school', () => answered(api.GET('/api/jobs/{id}/size/school', path()))),
  }
}
