import { useMutation, useQuery, useQueryClient, type QueryKey } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { place } from './answers'
import { hangAnew } from './tags'

/** What is the house's own: no work on a job changes it. */
const ofTheHouse = new Set<unknown>([
  'door',
  'fitters',
  'limits',
  'bars',
  'caliper',
  'tools',
  'hands',
  'keys',
  'backups',
  'claspKey',
  // Its tags are hung anew one by one.
  'rack',
])

/** Which questions have another answer once a job was changed: its own, and the lists that tell of jobs and of stock. */
export function touchedBy(jobId: number, but?: string) {
  return ({ queryKey }: { queryKey: QueryKey }) => {
    const [name, of] = queryKey
    if (typeof of === 'number') return of === jobId && name !== but
    return !ofTheHouse.has(name)
  }
}

/** The calls about one job: what is asked has the job's number second in its key, and a change tells what it touches. */
export function useCalls(jobId: MaybeRefOrGetter<number>) {
  const queries = useQueryClient()
  const id = computed(() => toValue(jobId))

  /** Asks anew for what a change touches; what it answered is there already. */
  const askAnew = (answered?: string) => {
    void hangAnew(queries, [id.value])
    return queries.invalidateQueries({ predicate: touchedBy(id.value, answered) })
  }

  return {
    id,
    path: () => ({ params: { path: { id: id.value } } }),
    askAnew,
    ask: <T>(
      name: string,
      call: () => Promise<T>,
      refetchInterval: number | false = false,
      isShown: MaybeRefOrGetter<boolean> = true,
    ) =>
      useQuery({
        queryKey: computed(() => [name, id.value]),
        queryFn: call,
        refetchInterval,
        enabled: computed(() => toValue(isShown)),
      }),
    /** Puts what a change answered in the place of what was asked for by that name. */
    async put<T>(name: string, call: Promise<T>): Promise<T> {
      const answer = await call
      await place(queries, [name, id.value], answer)
      return answer
    },
    /** A change that answers with what is asked for by a name: shown at once, the rest asked for anew. */
    change<T, A>(name: string, call: (what: T) => Promise<A>) {
      return useMutation({
        mutationFn: call,
        onSuccess: async (answer: A) => {
          await place(queries, [name, id.value], answer)
          return askAnew(name)
        },
      })
    },
  }
}
