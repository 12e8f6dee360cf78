import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { place } from './answers'
import { api } from './http'
import { answered } from './shop'
import type { components } from './schema'

type Schemas = components['schemas']
export type Part = Schemas['PartWire']
export type PartKind = Schemas['PartKind']
export type PartSheet = Schemas['PartSheet']
export type Order = Schemas['OrderWire']
export type OrderBook = Schemas['OrderBookWire']
export type OrderState = Schemas['OrderState']

export function useParts() {
  const queries = useQueryClient()
  async function changed(call: Promise<Part[]>) {
    await place(queries, ['parts'], await call)
    await queries.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'parts' })
  }
  return {
    parts: useQuery({ queryKey: ['parts'], queryFn: () => answered(api.GET('/api/parts')) }),
    set: (body: PartSheet) => changed(answered(api.PUT('/api/parts', { body }))),
    count: (body: Schemas['StockTakeWire']) => changed(answered(api.POST('/api/parts/stock-take', { body }))),
    order: async (partId: number, count: number) => {
      await answered(api.POST('/api/orders/lines', { body: { partId, count } }))
      await queries.invalidateQueries()
    },
  }
}

/** Every change of one part's count. */
export function useStockEntries(part: MaybeRefOrGetter<number | null>) {
  return useQuery({
    queryKey: computed(() => ['entries', toValue(part)]),
    enabled: computed(() => toValue(part) !== null),
    queryFn: () =>
      answered(api.GET('/api/parts/{id}/entries', { params: { path: { id: toValue(part) ?? 0 } } })),
  })
}

/** What is to be ordered, what is ordered; asked again while something is on its way. */
export function useOrders() {
  const queries = useQueryClient()
  async function changed(call: Promise<OrderBook>) {
    await place(queries, ['orders'], await call)
    await queries.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'orders' })
  }
  return {
    book: useQuery({
      queryKey: ['orders'],
      queryFn: () => answered(api.GET('/api/orders')),
      refetchInterval: (query) => (query.state.data?.orders.some((o) => o.isAsked) ? 3_000 : false),
    }),
    make: (supplier: string, by: string) =>
      changed(answered(api.POST('/api/orders', { body: { supplier, by } }))),
    quote: (supplier: string) => answered(api.POST('/api/orders/quote', { body: { supplier } })),
    dropLine: (id: number) =>
      changed(answered(api.DELETE('/api/orders/lines/{id}', { params: { path: { id } } }))),
    fillUp: () => changed(answered(api.POST('/api/orders/fill-up'))),
    ask: () => changed(answered(api.POST('/api/orders/ask'))),
    receive: (id: number, body: Schemas['DeliveryWire']) =>
      changed(answered(api.POST('/api/orders/{id}/received', { params: { path: { id } }, body }))),
    settle: (address: string) => changed(answered(api.PUT('/api/orders/suppliers', { body: { address } }))),
  }
}
