import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, toValue, type MaybeRefOrGetter } from 'vue'
import { api } from './http'
import { answered } from './shop'
import type { components, paths } from './schema'

type Schemas = components['schemas']
export type Visit = Schemas['VisitWire']
export type Client = Schemas['ClientLifeWire']
export type LongWork = Schemas['LongWorkWire']
export type LabelPrinter = Schemas['LabelPrinter']
export type PrinterKind = Schemas['PrinterKind']
export type LogQuestion = NonNullable<paths['/api/log']['get']['parameters']['query']>

export function useLog(question: MaybeRefOrGetter<LogQuestion>) {
  return useQuery({
    queryKey: computed(() => ['log', toValue(question)]),
    queryFn: () => answered(api.GET('/api/log', { params: { query: toValue(question) } })),
    placeholderData: (before) => before,
  })
}

export function useLogFigures(weeks: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: computed(() => ['logFigures', toValue(weeks)]),
    queryFn: () => answered(api.GET('/api/log/figures', { params: { query: { weeks: toValue(weeks) } } })),
  })
}

export function useObservations() {
  const queries = useQueryClient()
  return {
    list: useQuery({ queryKey: ['observations'], queryFn: () => answered(api.GET('/api/observations')) }),
    note: async (id: number, body: Schemas['ObservedWire']) => {
      await answered(api.POST('/api/jobs/{id}/observed', { params: { path: { id } }, body }))
      await queries.invalidateQueries()
    },
  }
}

export function useClient(clientId: MaybeRefOrGetter<number>) {
  const queries = useQueryClient()
  const path = () => ({ params: { path: { id: toValue(clientId) } } })
  return {
    client: useQuery({
      queryKey: computed(() => ['client', toValue(clientId)]),
      queryFn: () => answered(api.GET('/api/clients/{id}', path())),
    }),
    erase: useMutation({
      mutationFn: () => answered(api.DELETE('/api/clients/{id}', path())),
      onSuccess: () => queries.invalidateQueries(),
    }),
  }
}

export function useBackups() {
  return useQuery({ queryKey: ['backups'], queryFn: () => answered(api.GET('/api/backups')) })
}

export async function comesAgain(id: number, body: Schemas['AgainWire']) {
  return answered(api.POST('/api/jobs/{id}/again', { params: { path: { id } }, body }))
}

export async function printLabel(id: number) {
  return answered(api.POST('/api/jobs/{id}/label/print', { params: { path: { id } } }))
}

export function useLabelPrinter() {
  const queries = useQueryClient()
  return {
    printer: useQuery({ queryKey: ['labelPrinter'], queryFn: () => answered(api.GET('/api/label-printer')) }),
    settle: async (body: LabelPrinter) => {
      queries.setQueryData(['labelPrinter'], await answered(api.PUT('/api/label-printer', { body })))
    },
  }
}

/** Long work that is watched until it ends, and can be cancelled. */
export function useLongWork() {
  const queries = useQueryClient()
  const work = ref<LongWork | null>(null)
  const error = ref<unknown>(null)

  async function watch(begun: Promise<LongWork>) {
    try {
      error.value = null
      work.value = await begun
      while (work.value.state === 'running') {
        await new Promise((resume) => setTimeout(resume, 300))
        work.value = await answered(
          api.GET('/api/long-work/{id}', { params: { path: { id: work.value.id } } }),
        )
      }
      await queries.invalidateQueries()
    } catch (refusal) {
      error.value = refusal
    }
  }

  return {
    work,
    error,
    archive: () => watch(answered(api.POST('/api/archive'))),
    backUp: () => watch(answered(api.POST('/api/backups'))),
    goBack: (name: string) =>
      watch(answered(api.POST('/api/backups/{name}/restore', { params: { path: { name } } }))),
    reindex: () => watch(answered(api.POST('/api/log/index'))),
    restore: (file: File) =>
      watch(
        answered(
          api.POST('/api/archive/restore', {
            // The file goes as it is: it may be larger than what a page should hold.
            body: file as unknown as string,
            bodySerializer: (body) => body as unknown as File,
            headers: { 'Content-Type': 'application/octet-stream' },
          }),
        ),
      ),
    cancel: async () => {
      if (work.value)
        await answered(api.DELETE('/api/long-work/{id}', { params: { path: { id: work.value.id } } }))
    },
  }
}
