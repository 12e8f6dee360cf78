import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api } from './http'
import type { components } from './schema'
import { answered } from './shop'

type Schemas = components['schemas']
export type Day = Schemas['TheDayWire']
export type DayPiece = Schemas['DayPieceWire']
export type Ring = Schemas['RingWire']
export type LateJob = Schemas['LateJobWire']
export type WorkHours = Schemas['WorkHoursWire']
export type Service = NonNullable<Schemas['TakeInWire']['request']>

/** The day, and what can be said to it. */
export function useDay() {
  const queries = useQueryClient()
  const put = async (call: Promise<Day>) => queries.setQueryData(['day'], await call)
  const of = (id: number) => ({ params: { path: { id } } })
  return {
    day: useQuery({
      queryKey: ['day'],
      queryFn: () => answered(api.GET('/api/day')),
      refetchInterval: 60_000,
    }),
    rang: (id: number, body: Schemas['RangWire']) =>
      put(answered(api.POST('/api/jobs/{id}/rings', { ...of(id), body }))),
    hold: (id: number, body: Schemas['HoldWire']) =>
      put(answered(api.PUT('/api/jobs/{id}/hold', { ...of(id), body }))),
    give: (id: number, hand: string | null) =>
      put(answered(api.PUT('/api/jobs/{id}/hand', { ...of(id), body: { hand } }))),
    pull: (id: number, inFront: boolean) =>
      put(answered(api.PUT('/api/jobs/{id}/front', { ...of(id), body: { inFront } }))),
    /** What pulling a job to the front makes late. */
    front: (id: number) => answered(api.GET('/api/day/front/{id}', of(id))),
  }
}

/** What can be promised for a service, and what a day would make late. */
export function usePromise(
  request: MaybeRefOrGetter<Service>,
  due: MaybeRefOrGetter<string>,
  isAsked: MaybeRefOrGetter<boolean>,
) {
  return useQuery({
    queryKey: computed(() => ['promise', toValue(request), toValue(due)]),
    queryFn: () =>
      answered(
        api.GET('/api/day/promise', {
          params: { query: { service: toValue(request), day: toValue(due) } },
        }),
      ),
    enabled: computed(() => toValue(isAsked)),
    placeholderData: (before) => before,
  })
}

/** Who works when. */
export function useWorkHours() {
  const queries = useQueryClient()
  return {
    hours: useQuery({ queryKey: ['workHours'], queryFn: () => answered(api.GET('/api/day/hours')) }),
    set: async (body: WorkHours) => {
      queries.setQueryData(['workHours'], await answered(api.PUT('/api/day/hours', { body })))
      await queries.invalidateQueries({ queryKey: ['day'] })
    },
  }
}

/** The house's words for who is rung. */
export function useMessages() {
  const queries = useQueryClient()
  return {
    messages: useQuery({ queryKey: ['messages'], queryFn: () => answered(api.GET('/api/day/messages')) }),
    set: async (body: Schemas['MessagesWire']) => {
      queries.setQueryData(['messages'], await answered(api.PUT('/api/day/messages', { body })))
      await queries.invalidateQueries({ queryKey: ['day'] })
    },
  }
}

/** Says the hour of its day a job is promised for. */
export function usePromisedHour(id: MaybeRefOrGetter<number>) {
  const queries = useQueryClient()
  return async (hour: string) => {
    await answered(
      api.PUT('/api/jobs/{id}/hour', { params: { path: { id: toValue(id) } }, body: { hour: hour || null } }),
    )
    await queries.invalidateQueries({
      predicate: ({ queryKey }) => queryKey[0] === 'job' || queryKey[0] === 'day',
    })
  }
}
