import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { RefusedError, type Problem } from './refused'
import { place } from './answers'
import { api, send } from './http'
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
export type Drawing = Schemas['DrawingWire']
export type Figure = Schemas['FigureWire']
export type Alternative = Schemas['AlternativeWire']
export type Habits = Schemas['HabitsWire']
export type HandOverSheet = Schemas['HandOverSheet']
export type Job = Schemas['JobWire']
export type LayOut = Schemas['LayOutWire']
export type LooseLink = Schemas['LooseLinkWire']
export type LoopSheet = Schemas['LoopSheet']
export type Piece = Schemas['PieceWire']
export type OutsideCraft = Schemas['OutsideCraft']
export type PlacedLink = Schemas['PlacedLinkWire']
export type Request = Schemas['Request']
export type Ruler = Schemas['RulerWire']
export type Rulers = Schemas['RulersWire']
export type Side = Schemas['Side']
export type Station = Schemas['Station']
export type Tag = Schemas['TagWire']
export type TakeIn = Schemas['TakeInWire']
export type TakeInSheet = Schemas['TakeInSheet']
export type Temper = Schemas['Temper']
export type Verdict = Schemas['Verdict']
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

export function useFitters() {
  return useQuery({ queryKey: ['fitters'], queryFn: () => answered(api.GET('/api/fitters')) })
}

/** Clients found as their name is typed. */
export function useClients(typed: MaybeRefOrGetter<string>) {
  return useQuery({
    queryKey: computed(() => ['clients', toValue(typed)]),
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

/** Everything a station asks of one job. */
export function useJob(jobId: MaybeRefOrGetter<number>) {
  const queries = useQueryClient()
  const id = computed(() => toValue(jobId))
  const path = () => ({ params: { path: { id: id.value } } })
  const everything = () => queries.invalidateQueries()

  /** A change that answers with the job: shown at once, everything that hangs on it asked for anew. */
  function change<T>(call: (what: T) => Promise<Job>) {
    return useMutation({
      mutationFn: call,
      onSuccess: (job: Job) => {
        queries.setQueryData(['job', job.id], job)
        return everything()
      },
    })
  }

  /** A change that answers with the loop. */
  function reshape<T>(call: (what: T) => Promise<LoopSheet>) {
    return useMutation({
      mutationFn: call,
      onSuccess: async (loop: LoopSheet) => {
        await place(queries, ['loop', id.value], loop)
        return queries.invalidateQueries({ queryKey: ['job', id.value] })
      },
    })
  }

  return {
    job: useQuery({
      queryKey: computed(() => ['job', id.value]),
      queryFn: () => answered(api.GET('/api/jobs/{id}', path())),
    }),
    loop: useQuery({
      queryKey: computed(() => ['loop', id.value]),
      queryFn: () => answered(api.GET('/api/jobs/{id}/loop', path())),
    }),
    /** Puts right what was heard, as it was seen at a version of the job. */
    correct: change(({ body, seen }: { body: TakeIn; seen: number }) =>
      answered(api.PUT('/api/jobs/{id}/take-in', { ...path(), headers: { 'If-Match': `"${seen}"` }, body })),
    ),
    arrange: reshape((body: ByHand) => answered(api.PUT('/api/jobs/{id}/size', { ...path(), body }))),
    backToPlan: reshape<void>(() => answered(api.DELETE('/api/jobs/{id}/size', path()))),
    habits: useQuery({
      queryKey: computed(() => ['habits', id.value]),
      queryFn: () => answered(api.GET('/api/jobs/{id}/size/habits', path())),
    }),
    wears: async (body: Habits) => {
      await answered(api.PUT('/api/jobs/{id}/size/habits', { ...path(), body }))
      await everything()
    },
    agree: change<void>(() => answered(api.POST('/api/jobs/{id}/size/agree', path()))),
    handOver: change((body: Schemas['HandOverWire']) =>
      answered(api.POST('/api/jobs/{id}/hand-over', { ...path(), body })),
    ),
  }
}

/** Condition, what came along, photos and referral of one job. */
export function useTakeInSheet(jobId: MaybeRefOrGetter<number>) {
  const queries = useQueryClient()
  const id = computed(() => toValue(jobId))
  const key = computed(() => ['takeIn', id.value])
  const path = () => ({ params: { path: { id: id.value } } })

  function change<T>(call: (what: T) => Promise<TakeInSheet>) {
    return useMutation({
      mutationFn: call,
      onSuccess: (sheet: TakeInSheet) => {
        queries.setQueryData(key.value, sheet)
        return queries.invalidateQueries()
      },
    })
  }

  return {
    sheet: useQuery({
      queryKey: key,
      queryFn: () => answered(api.GET('/api/jobs/{id}/take-in', path())),
    }),
    mark: change((body: Schemas['NewMark']) =>
      answered(api.POST('/api/jobs/{id}/take-in/marks', { ...path(), body })),
    ),
    unmark: change((mark: number) =>
      answered(
        api.DELETE('/api/jobs/{id}/take-in/marks/{mark}', { params: { path: { id: id.value, mark } } }),
      ),
    ),
    count: change((body: Schemas['CameWithWire']) =>
      answered(api.PUT('/api/jobs/{id}/take-in/came-with', { ...path(), body })),
    ),
    refer: change((body: Schemas['ReferralWire']) =>
      answered(api.PUT('/api/jobs/{id}/take-in/referral', { ...path(), body })),
    ),
    addPhoto: change(async (file: File) => {
      // The picture goes as it is: the generated client knows JSON bodies only.
      const response = await send(
        new Request(`/api/jobs/${id.value}/take-in/photos`, { method: 'POST', body: file }),
      )
      const answer: unknown = await response.json()
      if (!response.ok) throw new RefusedError(answer as Problem, response.status)
      return answer as TakeInSheet
    }),
    dropPhoto: change((photo: number) =>
      answered(
        api.DELETE('/api/jobs/{id}/take-in/photos/{photo}', { params: { path: { id: id.value, photo } } }),
      ),
    ),
  }
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

export function useHandOverSheet(jobId: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: computed(() => ['handOver', toValue(jobId)]),
    queryFn: () =>
      answered(api.GET('/api/jobs/{id}/hand-over', { params: { path: { id: toValue(jobId) } } })),
  })
}
