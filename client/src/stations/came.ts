import type { HeldBy, OnTheWatch } from '../api/bench'

export const onTheWatch: { value: OnTheWatch; title: string }[] = [
  { value: 'nothing', title: 'Nothing' },
  { value: 'soft', title: 'A strap of two pieces' },
  { value: 'mesh', title: 'Mesh' },
  { value: 'pulledThrough', title: 'A pull-through band' },
  { value: 'bracelet', title: 'A bracelet' },
]

export const heldBy: { value: HeldBy; title: string }[] = [
  { value: 'notLookedAt', title: 'Not looked at yet' },
  { value: 'looseBars', title: 'Spring bars' },
  { value: 'leveredBars', title: 'Bars with a lever' },
  { value: 'screws', title: 'Screws' },
]
