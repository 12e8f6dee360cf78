import type { MaybeRefOrGetter } from 'vue'
import { useCalls } from './calls'
import { api } from './http'
import { answered } from './shop'
import type { components } from './schema'

type Schemas = components['schemas']
export type BenchSheet = Schemas['BenchSheet']
export type BenchStep = Schemas['StepWire']
export type BenchPlace = Schemas['PlaceWire']
export type BenchSetup = Schemas['SetupWire']
export type TrayAct = Schemas['TrayAct']
export type JointGroup = Schemas['JointGroup']
export type JointLook = Schemas['LookWire']
export type Came = Schemas['CameWire']
export type OnTheWatch = Schemas['OnTheWatch']
export type HeldBy = Schemas['HeldBy']
export type Tried = Schemas['TriedSheet']
export type Note = Schemas['NoteWire']
export type Closes = NonNullable<BenchSheet['closes']>
export type EaseFelt = NonNullable<Schemas['TriedWire']['ease']>

/** The bench of one job; asked for again now and then, so that two devices show the same. */
export function useBench(jobId: MaybeRefOrGetter<number>, isShown: MaybeRefOrGetter<boolean> = true) {
  const { id, path, ask, askAnew, put } = useCalls(jobId)

  async function changed(call: Promise<BenchSheet>) {
    await put('bench', call)
    // The next step is there: a pedal pressed now must not wait for the rest of the screen.
    void askAnew('bench')
  }

  return {
    sheet: ask('bench', () => answered(api.GET('/api/jobs/{id}/bench', path())), 3000, isShown),
    /** What lies in stock for its tray; asked for where it is shown. */
    stock: () => ask('trayStock', () => answered(api.GET('/api/jobs/{id}/bench/tray/stock', path()))),
    setUp: (body: BenchSetup) =>
      changed(answered(api.PUT('/api/jobs/{id}/bench/setup', { ...path(), body }))),
    note: (body: Schemas['NewNoteWire']) =>
      changed(answered(api.POST('/api/jobs/{id}/bench/notes', { ...path(), body }))),
    answer: (note: number, answer: string) =>
      changed(
        answered(
          api.PUT('/api/jobs/{id}/bench/notes/{note}', {
            params: { path: { id: id.value, note } },
            body: { answer },
          }),
        ),
      ),
    openFirst: (groups: JointGroup[]) =>
      changed(answered(api.PUT('/api/jobs/{id}/bench/open', { ...path(), body: { groups } }))),
    lend: (lines: BenchSheet['lent']) =>
      changed(answered(api.PUT('/api/jobs/{id}/bench/lent', { ...path(), body: { lines } }))),
    setHands: (body: BenchSheet['hands']) =>
      changed(answered(api.PUT('/api/jobs/{id}/bench/hands', { ...path(), body }))),
    found: (body: JointLook) =>
      changed(answered(api.PUT('/api/jobs/{id}/bench/joints', { ...path(), body }))),
    came: (body: Came) => changed(answered(api.PUT('/api/jobs/{id}/bench/came', { ...path(), body }))),
    tick: (step: string, done: boolean, skipped = '', asPlanned = false) =>
      changed(
        answered(
          api.PUT('/api/jobs/{id}/bench/steps/{key}', {
            params: { path: { id: id.value, key: step } },
            body: { done, skipped, asPlanned },
          }),
        ),
      ),
    sign: (body: Schemas['SignWire']) =>
      changed(answered(api.PUT('/api/jobs/{id}/bench/consent', { ...path(), body }))),
    part: (body: Schemas['TrayActWire']) =>
      changed(answered(api.POST('/api/jobs/{id}/bench/tray', { ...path(), body }))),
    tryOn: async (body: Schemas['TriedWire']) => {
      const tried = await answered(api.PUT('/api/jobs/{id}/bench/try-on', { ...path(), body }))
      if (body.take) {
        await put('bench', Promise.resolve(tried.bench))
        await askAnew('bench')
      }
      return tried
    },
  }
}
