import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api } from './http'
import type { components } from './schema'
import { answered } from './shop'

type Schemas = components['schemas']
export type ListedModel = Schemas['ListedModelWire']
export type Model = Schemas['ModelWire']
export type JobModel = Schemas['JobModelWire']

/** Models whose name is like what is typed; without words all, in the order of the alphabet. */
export function useModels(
  words: MaybeRefOrGetter<string>,
  skip: MaybeRefOrGetter<number> = 0,
  isAsked: MaybeRefOrGetter<boolean> = true,
  take = 50,
) {
  return useQuery({
    queryKey: computed(() => ['models', toValue(words), toValue(skip)]),
    queryFn: () =>
      answered(
        api.GET('/api/models', { params: { query: { words: toValue(words), skip: toValue(skip), take } } }),
      ),
    enabled: computed(() => toValue(isAsked)),
    placeholderData: (before) => before,
  })
}

/** One model, and what can be changed of the book. */
export function useModel(id: MaybeRefOrGetter<number>) {
  const queries = useQueryClient()
  const of = () => ({ params: { path: { id: toValue(id) } } })
  const anew = async <T>(call: Promise<T>) => {
    const answer = await call
    await queries.invalidateQueries({
      predicate: ({ queryKey }) => queryKey[0] === 'model' || queryKey[0] === 'models',
    })
    return answer
  }
  return {
    sheet: useQuery({
      queryKey: computed(() => ['model', toValue(id)]),
      queryFn: () => answered(api.GET('/api/models/{id}', of())),
    }),
    change: (body: Schemas['ModelChangeWire']) =>
      anew(answered(api.PATCH('/api/models/{id}', { ...of(), body }))),
    merge: (into: number) => anew(answered(api.POST('/api/models/{id}/merged', { ...of(), body: { into } }))),
    split: (body: Schemas['SplitWire']) => anew(answered(api.POST('/api/models/split', { body }))),
  }
}

/** Takes model sheets in from a file. */
export function useModelFile() {
  const queries = useQueryClient()
  return async (file: Schemas['ModelFile']) => {
    const taken = await answered(api.POST('/api/models/file', { body: file }))
    await queries.invalidateQueries({ queryKey: ['models'] })
    return taken
  }
}

/** Fills a job just taken in with what the book has. */
export const takeModel = (id: number, edition: number) =>
  answered(api.PUT('/api/jobs/{id}/gauge/model', { params: { path: { id } }, body: { edition } }))
