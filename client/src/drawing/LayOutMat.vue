<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed, nextTick, ref, useId, useTemplateRef, watch } from 'vue'
import type { BenchPlace } from '../api/bench'
import type { LayOut, PlacedLink, Shape, Side } from '../api/shop'
import HeldLinks from './HeldLinks.vue'
import PictureShapes from './PictureShapes.vue'
import { useReadable } from './readable'
import { onTheMat, type Place } from './rows'
import { layOutTold } from './told'

const props = defineProps<{
  layOut: LayOut
  changeable: boolean
  /** Where the bench step is worked. */
  marked?: BenchPlace | null
  /** The link that was gone to elsewhere. */
  at?: Place | null
}>()
const emit = defineEmits<{
  toggle: [place: Place]
  position: [position: number]
  here: [place: Place]
  pin: [place: Place]
  across: [place: Place]
  planner: []
}>()

const here = ref(0)
const root = useTemplateRef<SVGSVGElement>('root')
const places = computed(() => onTheMat(props.layOut))
watch(
  () => props.at,
  (now) => {
    const to = places.value.findIndex((p) => p.side === now?.side && p.ordinal === now?.ordinal)
    if (to >= 0) here.value = to
  },
)
watch(places, (now) => (here.value = Math.min(here.value, Math.max(0, now.length - 1))))

interface Drawn {
  x: number
  width: number
  link: PlacedLink
  place: Place
  shapes: Shape[]
  words: LayOut['drawn']['words']
}

const along = (side: Side) => (side === 'twelve' ? props.layOut.twelveAlongMm : props.layOut.sixAlongMm)
const drawn = computed(() => props.layOut.drawn)
/** On a phone the band lies in two rows: its 12 side above, its 6 side below, each with half of the head. */
const isNarrow = useMediaQuery('(max-width: 600px)')
interface Window {
  left: number
  width: number
  y: number
  of: Side | null
}
const windows = computed<Window[]>(() => {
  const { left, top, width, height } = drawn.value
  if (!isNarrow.value) return [{ left, width, y: top, of: null }]
  const middle = (along('twelve')[0] ?? 0) / 2 + (along('six')[0] ?? 0) / 2
  const half = Math.max(middle - left, left + width - middle)
  return [
    { left: middle - half, width: half, y: top, of: 'twelve' },
    { left: middle, width: half, y: top + height, of: 'six' },
  ]
})
const { readable } = useReadable(root, () => ({
  width: windows.value[0]!.width,
  height: drawn.value.height * windows.value.length,
}))
/** Of a run of links that are drawn too narrow for a word each, the first says it for all. */
const wordsOf = (one: Drawn, i: number) => {
  const words = readable(one.words)
  const before = links.value[i - 1]
  const isRun = before?.place.side === one.place.side && before.link.fate === one.link.fate
  return isRun && words.some((w) => w.high * 1.9 > one.width) ? [] : words
}
const toldId = useId()
const lies = (of: Shape['of'], place: Place) => of?.side === place.side && of.ordinal === place.ordinal

/** What of the picture is each link's; the rest lies under them. */
const links = computed(() =>
  places.value.flatMap((place): Drawn[] => {
    const link = props.layOut[place.side][place.ordinal]
    const [from, to] = [along(place.side)[place.ordinal], along(place.side)[place.ordinal + 1]]
    if (!link || from === undefined || to === undefined) return []
    return [
      {
        x: Math.min(from, to),
        width: Math.abs(to - from),
        link,
        place,
        shapes: drawn.value.shapes.filter((s) => lies(s.of, place)),
        words: drawn.value.words.filter((w) => lies(w.of, place)),
      },
    ]
  }),
)
/** While the bench works somewhere, that place is pointed at instead of every joint that is opened. */
const ground = computed(() =>
  drawn.value.shapes.filter((s) => !s.of && !(props.marked && s.role === 'joint')),
)

/** Where the step is worked: its joints, the lugs, the clasp, each as a place along the mat. */
const worked = computed(() => {
  const at = props.marked
  if (!at) return []
  const places = at.joints.map((j) => along(at.side ?? 'six')[j])
  if (at.atLugs) {
    if (at.side !== 'six') places.push(along('twelve')[0])
    if (at.side !== 'twelve') places.push(along('six')[0])
  }
  if (at.atClasp && at.joints.length === 0) places.push(props.layOut.closedAtMm ?? undefined)
  return places.filter((x) => x !== undefined)
})
const isWorked = ({ of }: Pick<Shape, 'of'>) =>
  !!of && props.marked?.side === of.side && props.marked.links.includes(of.ordinal)

function describe(drawn: Drawn): string {
  const side = drawn.place.side === 'twelve' ? '12' : '6'
  const fate = { fixed: 'never comes out', stays: 'stays', leaves: 'comes out', joins: 'put in' }[
    drawn.link.fate
  ]
  const kind = drawn.link.mark ? ` kind ${drawn.link.mark}` : ''
  return `${side} side, link ${drawn.place.ordinal + 1} from the case, ${drawn.link.pitchMm} mm${kind}, ${drawn.link.pinned ? 'never taken' : fate}`
}

async function go(to: number) {
  here.value = Math.max(0, Math.min(places.value.length - 1, to))
  await nextTick()
  root.value?.querySelector<SVGGElement>('.link[tabindex="0"]')?.focus()
}

function toggle(drawn: Drawn, index: number) {
  here.value = index
  if (props.changeable && drawn.link.fate !== 'fixed') emit('toggle', drawn.place)
}

function onKey(event: KeyboardEvent, drawn: Drawn, index: number) {
  const position = props.layOut.clasp?.position ?? 0
  switch (event.key) {
    case 'ArrowLeft':
      void go(index - 1)
      break
    case 'ArrowRight':
      void go(index + 1)
      break
    case 'ArrowUp':
      emit('position', position + 1)
      break
    case 'ArrowDown':
      emit('position', position - 1)
      break
    case ' ':
    case 'Enter':
      toggle(drawn, index)
      break
    case 'n':
    case 'N':
      if (props.changeable && drawn.link.fate !== 'joins') emit('pin', drawn.place)
      break
    case 'p':
    case 'P':
      if (props.changeable) emit('planner')
      break
    case 'm':
    case 'M':
      if (props.changeable) emit('across', drawn.place)
      break
    default:
      return
  }
  event.preventDefault()
}
</script>

<template>
  <svg
    ref="root"
    class="mat"
    :viewBox="`${drawn.left} ${drawn.top} ${windows[0]!.width} ${drawn.height * windows.length}`"
    preserveAspectRatio="xMidYMid meet"
    role="group"
    aria-label="The band opened flat: 12 side left, 6 side right"
    :aria-describedby="toldId"
  >
    <HeldLinks />
    <desc :id="toldId">{{ layOutTold(layOut) }}</desc>
    <svg
      v-for="w in windows"
      :key="w.left"
      :x="drawn.left"
      :y="w.y"
      :width="w.width"
      :height="drawn.height"
      :viewBox="`${w.left} ${drawn.top} ${w.width} ${drawn.height}`"
    >
      <PictureShapes :shapes="ground" :words="readable(drawn.words.filter((word) => !word.of))" />
      <path
        v-for="x in worked"
        :key="`worked-${x}`"
        class="worked-at"
        :d="`M${x} -1.5l-2.6 -4.6h5.2zM${x} -1v${layOut.bandHighMm + 2}`"
      />
      <template v-for="(one, i) in links" :key="`${one.place.side}-${one.place.ordinal}`">
        <g
          v-if="!w.of || w.of === one.place.side"
          class="link"
          :class="[one.link.fate, { at: at?.side === one.place.side && at.ordinal === one.place.ordinal }]"
          role="checkbox"
          :aria-checked="one.link.fate !== 'leaves'"
          :aria-disabled="!changeable || one.link.fate === 'fixed'"
          :aria-label="describe(one)"
          :tabindex="i === here ? 0 : -1"
          @click="toggle(one, i)"
          @focus="emit('here', one.place)"
          @keydown="onKey($event, one, i)"
        >
          <rect class="target" :x="one.x" :y="drawn.top" :width="one.width" :height="drawn.height" />
          <PictureShapes :shapes="one.shapes" :words="wordsOf(one, i)" :worked="isWorked" />
        </g>
      </template>
    </svg>
  </svg>
</template>

<style scoped>
.mat {
  display: block;
  width: 100%;
  height: 100%;
}
.link {
  cursor: pointer;
  outline: none;
}
.link.fixed {
  cursor: default;
}
.target {
  fill: transparent;
}
.link:focus-visible :deep(path:first-of-type),
.link.at :deep(path:first-of-type) {
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 1.3;
  stroke-dasharray: none;
}
.worked-at {
  fill: rgb(var(--v-theme-primary));
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 0.7;
}
</style>
