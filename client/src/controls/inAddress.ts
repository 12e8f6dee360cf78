import { ref, watch, type Ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'

/**
 * What is chosen on a page stands in its address, so that back and forward walk it and a link opens the same.
 * @param name Its name in the address.
 * @param start What is shown where the address says nothing.
 * @param known What there is; anything else in the address is left there, and shown as the start.
 */
export function useInAddress<T extends string>(
  name: string,
  start: T,
  known: (word: string) => boolean = () => true,
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
    void router.push({ query: { ...route.query, [name]: now === start ? undefined : now }, hash: route.hash })
  })
  return at
}
