import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { api } from './http'
import { answered } from './shop'
import type { components } from './schema'

type Schemas = components['schemas']
export type Tool = Schemas['ToolWire']
export type ToolKind = Tool['kind']
export type NewTool = Schemas['NewToolWire']

/** The tool wall; what hangs there decides what a bench step names. */
export function useTools() {
  const queries = useQueryClient()
  async function changed(call: Promise<Tool[]>) {
    queries.setQueryData(['tools'], await call)
    await queries.invalidateQueries({ queryKey: ['bench'] })
  }
  const path = (id: number) => ({ params: { path: { id } } })
  return {
    /** Asked for where the wall is shown. */
    tools: () => useQuery({ queryKey: ['tools'], queryFn: () => answered(api.GET('/api/tools')) }),
    add: (body: NewTool) => changed(answered(api.POST('/api/tools', { body }))),
    change: (id: number, body: Schemas['ToolChangeWire']) =>
      changed(answered(api.PUT('/api/tools/{id}', { ...path(id), body }))),
    remove: (id: number) => changed(answered(api.DELETE('/api/tools/{id}', path(id)))),
    /** How this house works at the bench, where a job says nothing else. */
    settle: async (body: Schemas['SetupWire']) => {
      await answered(api.PUT('/api/bench/setup', { body }))
      await queries.invalidateQueries({ queryKey: ['bench'] })
    },
  }
}
