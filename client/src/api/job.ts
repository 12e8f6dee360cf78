import { useQuery } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, type Ref } from 'vue'
import { useCalls } from './calls'
import { api, send } from './http'
import { RefusedError, type Problem } from './refused'
import type { components } from './schema'
import { answered, type ByHand, type Habits, type TakeIn, type TakeInSheet } from './shop'

type Schemas = components['schemas']

/** A job: who, what, how far it is, and what may be done on it now. */
export function useJob(jobId: MaybeRefOrGetter<number>) {
  const { ask, path } = useCalls(jobId)
  return ask('job', () => answered(api.GET('/api/jobs/{id}', path())))
}

/** A job, where there is one. */
export function useJobIfAny(jobId: Ref<number | null>) {
  return useQuery({
    queryKey: computed(() => ['job', jobId.value]),
    enabled: computed(() => jobId.value !== null),
    queryFn: () => answered(api.GET('/api/jobs/{id}', { params: { path: { id: jobId.value! } } })),
  })
}

/** Its loop, lay-out and rulers. */
export function useLoop(jobId: MaybeRefOrGetter<number>, isShown: MaybeRefOrGetter<boolean> = true) {
  const { ask, path } = useCalls(jobId)
  return ask('loop', () => answered(api.GET('/api/jobs/{id}/loop', path())), false, isShown)
}

/** Puts right what was heard, as it was seen at a version of the job. */
export function useCorrect(jobId: MaybeRefOrGetter<number>) {
  const { change, path } = useCalls(jobId)
  return change('job', ({ body, seen }: { body: TakeIn; seen: number }) =>
    answered(api.PUT('/api/jobs/{id}/take-in', { ...path(), headers: { 'If-Match': `"${seen}"` }, body })),
  )
}

/** Lays the links by hand. */
export function useArrange(jobId: MaybeRefOrGetter<number>) {
  const { change, path } = useCalls(jobId)
  return change('loop', (body: ByHand) => answered(api.PUT('/api/jobs/{id}/size', { ...path(), body })))
}

/** Goes back to the planner's answer. */
export function useBackToPlan(jobId: MaybeRefOrGetter<number>) {
  const { change, path } = useCalls(jobId)
  return change<void, Schemas['LoopSheet']>('loop', () => answered(api.DELETE('/api/jobs/{id}/size', path())))
}

/** Agrees the plan. */
export function useAgree(jobId: MaybeRefOrGetter<number>) {
  const { change, path } = useCalls(jobId)
  return change<void, Schemas['JobWire']>('job', () =>
    answered(api.POST('/api/jobs/{id}/size/agree', path())),
  )
}

/** How its client wears things. */
export function useHabits(jobId: MaybeRefOrGetter<number>) {
  const { ask, askAnew, path } = useCalls(jobId)
  return {
    habits: ask('habits', () => answered(api.GET('/api/jobs/{id}/size/habits', path()))),
    wears: async (body: Habits) => {
      await answered(api.PUT('/api/jobs/{id}/size/habits', { ...path(), body }))
      await askAnew()
    },
  }
}

/** What is told, packed and counted when it goes back. */
export function useHandOverSheet(jobId: MaybeRefOrGetter<number>) {
  const { ask, path } = useCalls(jobId)
  return ask('handOver', () => answered(api.GET('/api/jobs/{id}/hand-over', path())))
}

/** Hands it over. */
export function useHandOver(jobId: MaybeRefOrGetter<number>) {
  const { change, path } = useCalls(jobId)
  return change('job', (body: Schemas['HandOverWire']) =>
    answered(api.POST('/api/jobs/{id}/hand-over', { ...path(), body })),
  )
}

/** Gives the watch back as it came. */
export function useGoBackUnworked(jobId: MaybeRefOrGetter<number>) {
  const { change, path } = useCalls(jobId)
  return change('job', (body: Schemas['UnworkedWire']) =>
    answered(api.POST('/api/jobs/{id}/hand-over/unworked', { ...path(), body })),
  )
}

/** Condition, what came along, photos and referral. */
export function useTakeInSheet(jobId: MaybeRefOrGetter<number>) {
  const { ask, path } = useCalls(jobId)
  return ask('takeIn', () => answered(api.GET('/api/jobs/{id}/take-in', path())))
}

/** Puts a mark on the drawn watch, or takes it away. */
export function useMarks(jobId: MaybeRefOrGetter<number>) {
  const { change, path, id } = useCalls(jobId)
  return {
    mark: change('takeIn', (body: Schemas['NewMark']) =>
      answered(api.POST('/api/jobs/{id}/take-in/marks', { ...path(), body })),
    ),
    unmark: change('takeIn', (mark: number) =>
      answered(
        api.DELETE('/api/jobs/{id}/take-in/marks/{mark}', { params: { path: { id: id.value, mark } } }),
      ),
    ),
  }
}

/** Counts what came along. */
export function useCameWith(jobId: MaybeRefOrGetter<number>) {
  const { change, path } = useCalls(jobId)
  return change('takeIn', (body: Schemas['CameWithWire']) =>
    answered(api.PUT('/api/jobs/{id}/take-in/came-with', { ...path(), body })),
  )
}

export type Terms = Schemas['TermsWire']

/** Whose work it is, and how it goes back. */
export function useTerms(jobId: MaybeRefOrGetter<number>) {
  const { change, path } = useCalls(jobId)
  return change('takeIn', (body: Terms) =>
    answered(api.PUT('/api/jobs/{id}/take-in/terms', { ...path(), body })),
  )
}

/** Keeps a watch under observation, and notes what a look showed. */
export function useObservation(jobId: MaybeRefOrGetter<number>) {
  const { change, path } = useCalls(jobId)
  return {
    observe: change('handOver', (body: Schemas['ObserveWire']) =>
      answered(api.PUT('/api/jobs/{id}/observation', { ...path(), body })),
    ),
    look: change('handOver', (body: Schemas['LookedWire']) =>
      answered(api.POST('/api/jobs/{id}/observation/looks', { ...path(), body })),
    ),
  }
}

/** Notes what is outside the craft. */
export function useRefer(jobId: MaybeRefOrGetter<number>) {
  const { change, path } = useCalls(jobId)
  return change('takeIn', (body: Schemas['ReferralWire']) =>
    answered(api.PUT('/api/jobs/{id}/take-in/referral', { ...path(), body })),
  )
}

/** Adds a photo, or takes it away. */
export function usePhotos(jobId: MaybeRefOrGetter<number>) {
  const { change, id } = useCalls(jobId)
  return {
    addPhoto: change('takeIn', async (file: File) => {
      // The picture goes as it is: the generated client knows JSON bodies only.
      const response = await send(
        new Request(`/api/jobs/${id.value}/take-in/photos`, { method: 'POST', body: file }),
      )
      const answer: unknown = await response.json()
      if (!response.ok) throw new RefusedError(answer as Problem, response.status)
      return answer as TakeInSheet
    }),
    dropPhoto: change('takeIn', (photo: number) =>
      answered(
        api.DELETE('/api/jobs/{id}/take-in/photos/{photo}', { params: { path: { id: id.value, photo } } }),
      ),
    ),
  }
}
