import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter, type Ref } from 'vue'
import { RefusedError, type Problem } from './refused'
import { api } from './http'
import type { components } from './schema'

type Schemas = components['schemas']
export type Attachment = NonNullable<Schemas['GaugeWire']['attachment']>
export type Band = Schemas['BandWire']
export type BandAttachment = Schemas['BandAttachment']
export type BandMaterial = Schemas['BandMaterial']
export type BandSheet = Schemas['BandSheet']
export type ByHand = Schemas['ByHand']
/** A variant tried at Size, whole. */
export type Variant = Schemas['ReturnWire']
export type CameWith = Schemas['CameWith']
export type DamageKind = Schemas['DamageKind']
export type DamagePlace = Schemas['DamagePlace']
export type Alternative = Schemas['AlternativeWire']
export type Habits = Schemas['HabitsWire']
export type HandOverSheet = Schemas['HandOverSheet']
export type Job = Schemas['JobWire']
export type LayOut = Schemas['LayOutWire']
export type LooseLink = Schemas['LooseLinkWire']
export type LoopSheet = Schemas['LoopSheet']
export type Picture = Schemas['Picture']
export type OutsideCraft = Schemas['OutsideCraft']
export type PlacedLink = Schemas['PlacedLinkWire']
export type Request = Schemas['Request']
export type Ruler = Schemas['RulerWire']
export type Rulers = Schemas['RulersWire']
export type Shape = Schemas['Shape']
export type Side = Schemas['Side']
export type Station = Schemas['Station']
export type Tag = Schemas['TagWire']
export type TakeIn = Schemas['TakeInWire']
export type TakeInSheet = Schemas['TakeInSheet']
export type Temper = Schemas['Temper']
export type Verdict = Schemas['Verdict']
export type Certainty = Schemas['Certainty']
export type Word = Schemas['Word']
export type WearPreference = NonNullable<Schemas['GaugeWire']['wear']>

/** Waits for an answer and turns a refusal, or a server that does not answer, into one kind of error. */
export async function answered<T>(
  call: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<NonNullable<T>> {
  let got
  try {
    got = await call
  } catch {
    throw new RefusedError({
      title: 'The shop’s server does not answer, so this may not be stored. Is it running?',
    })
  }
  if (got.data === undefined || got.data === null)
    throw new RefusedError((got.error ?? {}) as Problem, got.response.status)
  return got.data
}

export function useRack(words: MaybeRefOrGetter<string> = '', by: MaybeRefOrGetter<string> = '') {
  return useQuery({
    queryKey: computed(() => ['rack', toValue(words), toValue(by)]),
    queryFn: () =>
      answered(api.GET('/api/jobs', { params: { query: { words: toValue(words), by: toValue(by) } } })),
    placeholderData: (before) => before,
  })
}

export function useFitters(enabled: Ref<boolean>) {
  return useQuery({ queryKey: ['fitters'], enabled, queryFn: () => answered(api.GET('/api/fitters')) })
}

/** Clients found as their name is typed. */
export function useClients(typed: MaybeRefOrGetter<string>) {
  return useQuery({
    queryKey: computed(() => ['clients', toValue(typed)]),
    // Nothing is looked for before something is typed.
    enabled: computed(() => toValue(typed) !== ''),
    queryFn: () => answered(api.GET('/api/clients', { params: { query: { typed: toValue(typed) } } })),
    placeholderData: (before) => before,
  })
}

export function useTakeIn() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (body: TakeIn) => answered(api.POST('/api/jobs', { body })),
    onSuccess: () => queries.invalidateQueries(),
  })
}

/** Puts a band in stock, or, with a job, enters its owner's own. */
export function useAddBand() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: ({ jobId, sheet }: { jobId: number | null; sheet: BandSheet }) =>
      jobId === null
        ? answered(api.POST('/api/bands', { body: sheet }))
        : answered(api.POST('/api/jobs/{id}/bands', { params: { path: { id: jobId } }, body: sheet })),
    onSuccess: () => queries.invalidateQueries(),
  })
}
