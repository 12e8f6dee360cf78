import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, holdToken } from './http'
import { answered } from './shop'
import type { components } from './schema'

type Schemas = components['schemas']
export type Role = Schemas['Role']
/** A role as it is called. */
export const roleNames: Record<Role, string> = { counter: 'counter', fitter: 'fitter', lead: 'manager' }
export type Hands = Schemas['HandsWire']
type Door = Schemas['DoorWire']

/** How this browser stands before the door, and the ways in and out. */
export function useDoor() {
  const queries = useQueryClient()
  const { data: door, error } = useQuery({
    queryKey: ['door'],
    queryFn: async () => hold(await answered(api.GET('/api/door'))),
    staleTime: Infinity,
  })

  function hold(door: Door) {
    holdToken(door.token)
    return door
  }

  /** Whoever comes in or goes out sees nothing of what was asked for before. */
  async function through(call: Promise<Door>) {
    const door = hold(await call)
    queries.setQueryData(['door'], door)
    await queries.resetQueries({ predicate: (query) => query.queryKey[0] !== 'door' })
  }

  return {
    door,
    error,
    initials: computed(() => door.value?.initials ?? null),
    isIn: computed(() => door.value !== undefined && (door.value.isOpen || door.value.initials !== null)),
    /** Whether somebody of this role may do what is shown; the server has the last word. */
    mayAs: (role: Role) =>
      computed(() => door.value?.isOpen === true || rank(door.value?.role) >= rank(role)),
    first: (body: Schemas['SignInWire']) => through(answered(api.POST('/api/door/first', { body }))),
    signIn: (body: Schemas['SignInWire']) => through(answered(api.POST('/api/door/in', { body }))),
    signOut: () => through(answered(api.POST('/api/door/out'))),
    newPassphrase: async (body: Schemas['NewPassphraseWire']) => {
      const { error, response } = await api.PUT('/api/door/passphrase', { body })
      if (!response.ok) await answered(Promise.resolve({ error, response }))
    },
  }
}

const rank = (role: Role | null | undefined) =>
  role ? (['counter', 'fitter', 'lead'] as Role[]).indexOf(role) : -1

/** Who works here; a lead's business. */
export function useHands() {
  const queries = useQueryClient()
  const keep = async (call: Promise<Hands>) => {
    queries.setQueryData(['hands'], await call)
  }
  return {
    hands: useQuery({ queryKey: ['hands'], queryFn: () => answered(api.GET('/api/hands')) }).data,
    add: (body: Schemas['NewHandWire']) => keep(answered(api.POST('/api/hands', { body }))),
    change: (initials: string, body: Schemas['HandChangeWire']) =>
      keep(answered(api.PUT('/api/hands/{initials}', { params: { path: { initials } }, body }))),
    end: (mark: string) =>
      keep(answered(api.DELETE('/api/hands/sessions/{mark}', { params: { path: { mark } } }))),
  }
}

/** The keys of the shop for other programs; a lead's business. */
export function useKeys() {
  const queries = useQueryClient()
  const set = (keys: Schemas['KeyWire'][]) => queries.setQueryData(['keys'], keys)
  return {
    keys: useQuery({ queryKey: ['keys'], queryFn: () => answered(api.GET('/api/hands/keys')) }).data,
    make: async (name: string) => {
      const made = await answered(api.POST('/api/hands/keys', { body: { name } }))
      set(made.keys)
      return made.key
    },
    end: async (id: number) => {
      set(await answered(api.DELETE('/api/hands/keys/{id}', { params: { path: { id } } })))
    },
  }
}
