import { useQuery } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api } from './http'
import type { components } from './schema'
import { answered } from './shop'

export type Found = components['schemas']['FoundWire']

export const find = (words: string) => answered(api.GET('/api/find', { params: { query: { words } } }))

/** What the shop knows by words. */
export function useFind(words: MaybeRefOrGetter<string>) {
  return useQuery({
    queryKey: computed(() => ['find', toValue(words)]),
    queryFn: () => find(toValue(words)),
    enabled: computed(() => toValue(words).trim() !== ''),
    placeholderData: (before) => before,
  })
}
