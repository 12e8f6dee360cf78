import { computed, inject, provide, ref, watch, type ComputedRef, type InjectionKey, type Ref } from 'vue'
import type { BenchPlace } from '../api/bench'
import type { GaugedFigure } from '../api/gauge'
import { useTried, type PullThroughWay } from '../api/match'
import { useArrange, useBackToPlan, useJob, useLoop } from '../api/job'
import type { Job, LooseLink, LoopSheet, Side, Station } from '../api/shop'
import { useSize } from '../api/size'
import { atPosition, movedAcross, toggled, withLoose, type Place } from '../drawing/rows'

/** The job that is open, and what a station, the drawing beside it and the mat below tell one another. */
export interface JobHere {
  id: ComputedRef<number>
  job: ComputedRef<Job>
  /** The loop as it is, or as it would be with the band that is looked at. */
  loop: ComputedRef<LoopSheet | undefined>
  /** The figure the tool is on. */
  figure: Ref<GaugedFigure | null>
  /** The part of the station's sheet that is open. */
  part: Ref<string>
  /** Where the bench step is worked. */
  marked: Ref<BenchPlace | null>
  /** A band that is only looked at. */
  tried: Ref<{ bandId: number; way: PullThroughWay } | null>
  /** The field that is wanted next, until whoever has it has put the keyboard on it. */
  sought: Ref<string | null>
  /** Whether the sheet takes the whole width. */
  wide: Ref<boolean>
  /** The link the fitter is on. */
  at: Ref<Place | null>
  /** How the links lie, changed by hand. */
  hand: {
    toggle: (place: Place) => void
    putIn: (link: LooseLink, side: Side) => void
    across: (place: Place) => void
    pin: (place: Place) => void
    move: (position: number) => void
    /** Goes back to the planner’s answer. */
    planner: () => void
    plannerRefused: Ref<unknown>
  }
  /** Whether that may be changed now, here. */
  changeable: ComputedRef<boolean>
}

const key: InjectionKey<JobHere> = Symbol('the job that is open')

/** Opens a job for all that is shown of it. */
export function provideJob(id: ComputedRef<number>, station: ComputedRef<Station>) {
  const read = useJob(id)
  // At Take-in no loop is shown.
  const asItIs = useLoop(
    id,
    computed(() => station.value !== 'takeIn'),
  )
  const arrange = useArrange(id)
  const backToPlan = useBackToPlan(id)
  const size = useSize(id)
  const figure = ref<GaugedFigure | null>(null)
  const part = ref('')
  const marked = ref<BenchPlace | null>(null)
  const tried = ref<{ bandId: number; way: PullThroughWay } | null>(null)
  const sought = ref<string | null>(null)
  const wide = ref(false)
  const at = ref<Place | null>(null)
  const triedLoop = useTried(id, tried)
  const loop = computed(() =>
    station.value === 'match' && tried.value && triedLoop.data.value
      ? triedLoop.data.value
      : asItIs.data.value,
  )
  watch([id, station], () => {
    tried.value = null
    // What was wanted elsewhere is not gone to from here.
    sought.value = null
    at.value = null
    marked.value = null
    wide.value = false
  })
  const layOut = computed(() => loop.value?.layOut)
  const changeable = computed(() => station.value === 'size' && read.data.value?.may.arrange.ok === true)
  const here: JobHere = {
    id,
    // Nothing of a job is shown before it is read; while the next one is, a station that leaves still has its own.
    job: computed<Job>((before) => read.data.value ?? before!),
    loop,
    figure,
    part,
    marked,
    tried,
    sought,
    wide,
    at,
    changeable,
    hand: {
      toggle(place) {
        if (layOut.value) arrange.mutate(toggled(layOut.value, place))
      },
      putIn(link, side) {
        if (layOut.value) arrange.mutate(withLoose(layOut.value, link, side))
      },
      across(place) {
        const moved = layOut.value && movedAcross(layOut.value, place)
        if (moved) arrange.mutate(moved)
      },
      pin(place) {
        const link = layOut.value?.[place.side][place.ordinal]
        if (link && (link.pinned || link.fate !== 'fixed')) void size.pin({ ...place, pinned: !link.pinned })
      },
      planner() {
        if (changeable.value && loop.value && !loop.value.isPlanned) backToPlan.mutate()
      },
      plannerRefused: backToPlan.error,
      move(position) {
        const positions = layOut.value?.clasp?.positions ?? layOut.value?.strap?.holesMm.length ?? 1
        if (layOut.value && changeable.value && position >= 0 && position < positions)
          arrange.mutate(atPosition(layOut.value, position))
      },
    },
  }
  provide(key, here)
  return { here, read }
}

/** The job that is open, for a station or what is shown beside it. */
export function useJobHere(): JobHere {
  const here = inject(key)
  if (!here) throw new Error('A station is shown within a job.')
  return here
}
