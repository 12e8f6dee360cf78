import { computed, onScopeDispose, shallowReactive, type ComputedRef } from 'vue'
import type { RouteLocationRaw } from 'vue-router'

/** Something that can be done with what is shown. */
export interface Act {
  /** What comes of it. */
  says: string
  /** Where it leads. */
  to?: RouteLocationRaw
  press?: () => unknown
  /** The form it hands over. */
  form?: string
  busy?: boolean
  /** Why it cannot be done now. */
  off?: string | null
  /** Offered, but not as the one that comes next. */
  quiet?: boolean
  /** Space, held over from the act before, does not answer it: what happens then. */
  onSpace?: (() => void) | undefined
}

/** What the bar of a sheet holds. */
export interface Acts {
  back?: Act
  lesser?: Act[]
  /** The one that comes next. */
  first?: Act | null | undefined
}

/** What is shown lays its acts over those of the page that it is shown on. */
const laid = shallowReactive<ComputedRef<Acts | null>[]>([])

/** Lays the acts of what is shown into the bar; null leaves it to the page around. */
export function useActs(acts: () => Acts | null) {
  const mine = computed(acts)
  laid.push(mine)
  onScopeDispose(() => laid.splice(laid.indexOf(mine), 1))
}

/** What the bar holds now. */
export const actsNow = computed<Acts | null>(() => {
  const now: Acts = {}
  for (let i = laid.length - 1; i >= 0; i--) {
    const acts = laid[i]!.value
    if (!acts) continue
    // What is not said is as the page around has it.
    if (now.back === undefined && acts.back) now.back = acts.back
    if (now.lesser === undefined && acts.lesser) now.lesser = acts.lesser
    if (now.first === undefined && acts.first !== undefined) now.first = acts.first
  }
  return now.back || now.lesser || now.first ? now : null
})

/** Fingers that bounce do not do two. */
const rest = 400
let done = -rest
/** Whether an act may be taken now; what asks so has taken it. */
export function mayActNow(now = performance.now()): boolean {
  if (now - done < rest) return false
  done = now
  return true
}
/** What was pressed elsewhere in between was no bounce: the next act is meant. */
export function endRest() {
  done = -rest
}

/** Puts the keyboard on the act that comes next, where one is offered as that. */
export function focusFirstAct(): boolean {
  const act = document.querySelector<HTMLElement>('[data-act=first]:not(.quiet):not(:disabled)')
  act?.focus()
  return act !== null
}
