import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { useCalls } from './calls'
import { api } from './http'
import { answered } from './shop'
import type { components } from './schema'

type Schemas = components['schemas']
export type CounterSheet = Schemas['CounterWire']
export type CounterAnswer = Schemas['CounterAnswer']
export type CounterOffer = Schemas['CounterOffer']
export type RequestAsks = Schemas['RequestAsks']
export type HandWork = Schemas['HandWorkWire']

/** What each short job is asked. */
export function useCounterQuestions() {
  return useQuery({
    queryKey: ['counter', 'questions'],
    queryFn: () => answered(api.GET('/api/counter/questions')),
    staleTime: Infinity,
  })
}

/** What a short job comes to, while it is typed; nothing is stored by asking. */
export function useCounterAnswer(sheet: MaybeRefOrGetter<CounterSheet>) {
  return useQuery({
    queryKey: computed(() => ['counter', JSON.stringify(toValue(sheet))]),
    queryFn: () => answered(api.POST('/api/counter/answer', { body: toValue(sheet) })),
    placeholderData: (before) => before,
    retry: false,
  })
}

/** Takes it in, and to the bench. */
export function useCounter() {
  const queries = useQueryClient()
  return async (sheet: CounterSheet) => {
    const job = await answered(api.POST('/api/counter', { body: sheet }))
    void queries.invalidateQueries()
    return job
  }
}

/** Work on a job that is told by a count, a place or a part. */
export function useTellByHand(jobId: MaybeRefOrGetter<number>) {
  const { path, askAnew, put } = useCalls(jobId)
  const told = async (call: Promise<Schemas['JobWire']>) => {
    await put('job', call)
    await askAnew('job')
  }
  return {
    tell: (body: HandWork) => told(answered(api.PUT('/api/jobs/{id}/by-hand', { ...path(), body }))),
    forget: () => told(answered(api.DELETE('/api/jobs/{id}/by-hand', path()))),
  }
}
