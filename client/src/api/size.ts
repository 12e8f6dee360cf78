import type { MaybeRefOrGetter } from 'vue'
import { useCalls } from './calls'
import { api } from './http'
import { answered, type LoopSheet, type Variant } from './shop'
import type { components } from './schema'

type Schemas = components['schemas']
export type Cure = Schemas['CureWire']
export type OddLink = Schemas['OddLink']
export type PullThroughWay = Schemas['PullThroughWay']
export type School = Schemas['SchoolWire']
export type Worn = Schemas['WornWire']

/** What is tried at Size beside the plan itself. */
export function useSize(jobId: MaybeRefOrGetter<number>) {
  const { path, ask: asked, askAnew, put } = useCalls(jobId)
  const ask = <T>(what: string, call: () => Promise<T>) => asked(`size ${what}`, call)

  /** A change that answers with the loop: drawn at once, the rest asked for anew. */
  async function reshaped(call: Promise<LoopSheet>) {
    await put('loop', call)
    await askAnew('loop')
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
    punch: (after: number | null) =>
      reshaped(answered(api.PUT('/api/jobs/{id}/size/extra-hole', { ...path(), body: { after } }))),
    settle: async (body: School) => {
      await answered(api.PUT('/api/jobs/{id}/size/school', { ...path(), body }))
      await askAnew()
    },
    stockLinks: () => ask('links', () => answered(api.GET('/api/jobs/{id}/size/links', path()))),
    straps: () => ask('straps', () => answered(api.GET('/api/jobs/{id}/size/straps', path()))),
    cures: () => ask('cures', () => answered(api.GET('/api/jobs/{id}/size/cures', path()))),
    ways: () => ask('ways', () => answered(api.GET('/api/jobs/{id}/size/ways', path()))),
    school: () => ask('school', () => answered(api.GET('/api/jobs/{id}/size/school', path()))),
  }
}
