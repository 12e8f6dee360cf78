import { nextTick, ref, watch, type Ref } from 'vue'
import { useRoute, useRouter, type LocationQueryRaw } from 'vue-router'

/** What several of them change at once is one change of the address. */
let pending: LocationQueryRaw | null = null

/**
 * What is chosen on a page stands in its address, so that back and forward walk it and a link opens the same.
 * @param name Its name in the address.
 * @param start What is shown where the address says nothing.
 * @param known What there is; anything else in the address is left there, and shown as the start.
 * @param how Whether the way back leads to what was chosen before, or past what was only typed on the way.
 */
export function useInAddress<T extends string>(
  name: string,
  start: T,
  known: (word: string) => boolean = () => true,
  how: 'push' | 'replace' = 'push',
): Ref<T> {
  const route = useRoute()
  const router = useRouter()
  const path = route.path
  const told = () => {
    const word = route.query[name]
    return typeof word === 'string' && known(word) ? (word as T) : start
  }
  const at = ref(told()) as Ref<T>
  watch(
    () => [route.query[name], known(String(route.query[name]))] as const,
    ([now, isKnown], [before, wasKnown]) => {
      if (route.path === path && (now !== before || isKnown !== wasKnown)) at.value = told()
    },
  )
  watch(at, (now) => {
    if (route.path !== path || now === told()) return
    const isFirst = pending === null
    pending = { ...(pending ?? route.query), [name]: now === start ? undefined : now }
    if (!isFirst) return
    void nextTick(() => {
      const query = pending!
      pending = null
      if (route.path === path) void router[how]({ query, hash: route.hash })
    })
  })
  return at
}
