import { useLocalStorage } from '@vueuse/core'

/** What a key does wherever the focus is. */
export interface KeyAct {
  act: 'help' | 'find' | 'takeIn' | 'counter' | 'former' | 'next'
  says: string
  key: string
}

/** The keys as they come. Calipers and scanners type: no character alone is one of them. */
export const keyActs: KeyAct[] = [
  { act: 'help', says: 'Show the keys', key: 'F1' },
  { act: 'find', says: 'Find and go', key: 'F2' },
  { act: 'takeIn', says: 'Take in a job', key: 'F4' },
  { act: 'counter', says: 'Counter', key: 'F8' },
  { act: 'former', says: 'The former tag', key: 'Ctrl+ArrowUp' },
  { act: 'next', says: 'The next tag', key: 'Ctrl+ArrowDown' },
]

/** Keys that belong to a place, and work while it has the focus. */
export const keysByPlace: { place: string; keys: { key: string; says: string }[] }[] = [
  {
    place: 'A row of tabs, the stations, the rack',
    keys: [
      { key: 'Arrows', says: 'one on, one back' },
      { key: 'Home, End', says: 'the first, the last' },
    ],
  },
  {
    place: 'A figure',
    keys: [
      { key: 'Enter', says: 'takes it and goes on to the next' },
      { key: 'Shift+Enter', says: 'takes it and stays, for a second reading' },
      { key: 'Escape', says: 'restores what was there' },
    ],
  },
  {
    place: 'The lay-out',
    keys: [
      { key: 'Arrows', says: 'from link to link; up and down the micro-adjust' },
      { key: 'Space', says: 'takes the link out, or puts it back' },
      { key: 'M', says: 'moves it to the other side' },
      { key: 'N', says: 'keeps it for good' },
      { key: 'P', says: 'the planner’s answer' },
    ],
  },
  {
    place: 'The bench',
    keys: [
      { key: 'Space or Enter', says: 'the step is done' },
      { key: 'Enter', says: 'tried on, as planned' },
      { key: 'The pedal’s key', says: 'the step is done, wherever the focus is' },
    ],
  },
]

/** Each one's own; nothing is switched off, what is not there is as it comes. */
const changed = useLocalStorage<Partial<Record<KeyAct['act'], string>>>('iron-loop-keys', {})

export const keyOf = (act: KeyAct['act']) =>
  changed.value[act] ?? keyActs.find((k) => k.act === act)?.key ?? ''

export function setKey(act: KeyAct['act'], key: string | null) {
  const now = { ...changed.value }
  if (key === null) delete now[act]
  else now[act] = key
  changed.value = now
}

/** A key as it is written down: "Ctrl+ArrowUp". */
export function written(event: KeyboardEvent): string {
  const with_ = [
    event.ctrlKey && 'Ctrl',
    event.altKey && 'Alt',
    event.shiftKey && 'Shift',
    event.metaKey && 'Meta',
  ]
  const key = event.key.length === 1 ? event.key.toUpperCase() : event.key
  return [...with_.filter(Boolean), key].join('+')
}

/** Keys that browsers keep for themselves, or that a field needs. */
const kept =
  /^(F5|F6|F7|F11|F12|Tab|Enter|Escape|Backspace|Delete|Home|End|Page(Up|Down)|Arrow\w+|CapsLock|Dead|Process|Unidentified)$|^(Ctrl|Alt|Shift|Meta|Control)$|^Shift\+|^Meta\+|^Alt\+(Arrow(Left|Right)|F4|Tab|Home)$|^Ctrl\+(Tab|F4|F5|[A-Z0-9+=-])$|^Ctrl\+Shift\+/

/** Why a key cannot be had; null where it can. */
export function whyNotKey(key: string, act: KeyAct['act']): string | null {
  if (key.length === 1 || key === 'Space')
    return `${key} alone is a character: calipers and scanners type those.`
  if (kept.test(key)) return `${key} is kept by the browser or by the fields.`
  const other = keyActs.find((k) => k.act !== act && keyOf(k.act) === key)
  return other ? `${key} is taken: ${other.says}.` : null
}

/** What a key press asks for, if anything. */
export function actOf(event: KeyboardEvent): KeyAct['act'] | undefined {
  const key = written(event)
  return keyActs.find((k) => keyOf(k.act) === key)?.act
}
