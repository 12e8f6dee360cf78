import { useQuery, useQueryClient } from '@tanstack/vue-query'
import type { MaybeRefOrGetter } from 'vue'
import { useCalls } from './calls'
import { api } from './http'
import { answered } from './shop'
import type { components } from './schema'

type Schemas = components['schemas']
export type BraceletFields = Schemas['OwnBraceletFields']
export type CaliperSource = Schemas['CaliperSource']
export type CaliperKind = Schemas['CaliperKind']
export type CaseShape = NonNullable<Schemas['GaugeWire']['caseShape']>
export type CopyFields = Schemas['CopyWire']
export type Fastener = NonNullable<Schemas['OwnBraceletFields']['fastener']>
export type LoopBy = Schemas['LoopBy']
export type GaugedFigure = Schemas['GaugedFigure']
export type GaugeLine = Schemas['GaugeLineWire']
export type GaugeSheet = Schemas['GaugeSheetWire']
export type AsksByHand = Schemas['AsksByHand']
export type SheetLink = Schemas['SheetLinkWire']
export type Season = Schemas['Season']
export type SurplusBy = Schemas['SurplusBy']
export type SurplusOver = Schemas['SurplusOver']
export type TryOnFields = Schemas['TryOnWire']
export type Ways = Schemas['WaysWire']
export type WornAt = NonNullable<Schemas['GaugeWire']['wornAt']>
export type WristVisit = Schemas['WristVisitWire']

/** The gauging sheet of one job, and what can be entered on it. Every entry answers with the sheet as it then is. */
export function useGauge(jobId: MaybeRefOrGetter<number>) {
  const { id, path, ask, askAnew, put } = useCalls(jobId)

  let others: ReturnType<typeof setTimeout> | undefined
  async function entered(call: Promise<GaugeSheet>) {
    clearTimeout(others)
    const sheet = await put('gauge', call)
    // Loop, rack and stations hang on the figures; the fitter does not wait for them, nor do figures that follow at once.
    clearTimeout(others)
    others = setTimeout(() => void askAnew('gauge'), 200)
    return sheet
  }

  return {
    sheet: ask('gauge', () => answered(api.GET('/api/jobs/{id}/gauge', path()))),
    /** Takes a reading; its name tells it from another of the same figure that is alike. */
    read: (body: Schemas['NewReading'], name: string) =>
      entered(
        answered(
          api.POST('/api/jobs/{id}/gauge/readings', {
            ...path(),
            body,
            headers: { 'Idempotency-Key': name },
          }),
        ),
      ),
    dropReading: (reading: number) =>
      entered(
        answered(
          api.DELETE('/api/jobs/{id}/gauge/readings/{reading}', {
            params: { path: { id: id.value, reading } },
          }),
        ),
      ),
    takeModel: (edition: number) =>
      entered(answered(api.PUT('/api/jobs/{id}/gauge/model', { ...path(), body: { edition } }))),
    confirmModel: () => entered(answered(api.PUT('/api/jobs/{id}/gauge/model/confirmed', path()))),
    leaveModel: () => entered(answered(api.DELETE('/api/jobs/{id}/gauge/model', path()))),
    letStand: (figure: GaugedFigure) =>
      entered(
        answered(
          api.PUT('/api/jobs/{id}/gauge/{figure}/stands', { params: { path: { id: id.value, figure } } }),
        ),
      ),
    choose: async (body: Schemas['GaugeWire']) => {
      await answered(api.PATCH('/api/jobs/{id}/gauge', { ...path(), body }))
      await askAnew()
    },
    tryOn: (body: TryOnFields) =>
      entered(answered(api.PATCH('/api/jobs/{id}/gauge/try-on', { ...path(), body }))),
    copy: (body: CopyFields) =>
      entered(answered(api.PATCH('/api/jobs/{id}/gauge/copy', { ...path(), body }))),
    bracelet: (body: BraceletFields) =>
      entered(answered(api.PATCH('/api/jobs/{id}/gauge/bracelet', { ...path(), body }))),
    linkRow: (side: 'twelve' | 'six', links: SheetLink[]) =>
      entered(
        answered(
          api.PUT('/api/jobs/{id}/gauge/bracelet/{side}', {
            params: { path: { id: id.value, side } },
            body: { links },
          }),
        ),
      ),
  }
}

/** The caliper's line as settled. */
export function useCaliperSource() {
  const queries = useQueryClient()
  const key = ['caliper']
  return {
    line: useQuery({ queryKey: key, queryFn: () => answered(api.GET('/api/caliper')) }),
    settle: async (body: CaliperSource) => {
      queries.setQueryData(key, await answered(api.PUT('/api/caliper', { body })))
    },
  }
}
