<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import type { BenchPlace } from '../api/bench'
import type { LayOut, PlacedLink } from '../api/shop'
import { onTheMat, type Place } from './rows'

const props = defineProps<{
  layOut: LayOut
  barToBarMm: number
  changeable: boolean
  /** Where the bench step is worked. */
  marked?: BenchPlace | null
}>()
const emit = defineEmits<{
  toggle: [place: Place]
  position: [position: number]
  here: [place: Place]
  pin: [place: Place]
  across: [place: Place]
}>()

const height = 15
const top = 7
const here = ref(0)
const root = useTemplateRef<SVGSVGElement>('root')
const places = computed(() => onTheMat(props.layOut))
watch(places, (now) => (here.value = Math.min(here.value, Math.max(0, now.length - 1))))

interface Drawn {
  x: number
  width: number
  link: PlacedLink
  place: Place
}

/** Everything laid side by side, left to right, in millimetres. */
const mat = computed(() => {
  const { twelve, six, clasp, strap } = props.layOut
  const links: Drawn[] = []
  let x = 0
  const claspTwelve = {
    x,
    width: (clasp?.twelveMm ?? 0) + (clasp?.microSide === 'twelve' ? clasp.microMm : 0),
  }
  x += claspTwelve.width
  for (let i = twelve.length - 1; i >= 0; i--) {
    const link = twelve[i]!
    links.push({ x, width: link.pitchMm, link, place: { side: 'twelve', ordinal: i } })
    x += link.pitchMm
  }
  const buckle = { x, width: strap?.bucklePieceMm ?? 0 }
  x += buckle.width
  const head = { x, width: props.barToBarMm }
  x += head.width
  const tail = { x, width: strap?.tailMm ?? 0 }
  x += tail.width
  six.forEach((link, i) => {
    links.push({ x, width: link.pitchMm, link, place: { side: 'six', ordinal: i } })
    x += link.pitchMm
  })
  const claspSix = { x, width: (clasp?.sixMm ?? 0) + (clasp?.microSide === 'six' ? clasp.microMm : 0) }
  x += claspSix.width
  return { links, claspTwelve, claspSix, head, buckle, tail, width: x }
})

/** The micro positions in the clasp's cover, the tightest deepest in it; too many for single dots are left out. */
const holes = computed(() => {
  const clasp = props.layOut.clasp
  const drawn = clasp !== null && clasp.positions > 1 && clasp.positions <= 16
  if (!drawn) return { drawn, from: 0, apart: 0, radius: 0 }
  const on12 = clasp.microSide === 'twelve'
  const cover = on12 ? mat.value.claspTwelve : mat.value.claspSix
  const apart = Math.min(3.4, (cover.width - 5) / (clasp.positions - 1))
  const row = apart * (clasp.positions - 1)
  return {
    drawn,
    from: on12 ? cover.x + cover.width - 2.5 - row : cover.x + 2.5 + row,
    apart: on12 ? apart : -apart,
    radius: Math.min(1.1, apart / 2.4),
  }
})

/** Where joints are opened: between the links as they lie, and at the clasp. */
const joints = computed(() => {
  const { twelve, six, twelveJoints, sixJoints } = props.layOut
  const along = (row: readonly PlacedLink[], joint: number) =>
    row.slice(0, joint).reduce((sum, link) => sum + link.pitchMm, 0)
  return [
    ...(twelveJoints ?? []).map((j) => mat.value.head.x - along(twelve, j)),
    ...(sixJoints ?? []).map((j) => mat.value.head.x + mat.value.head.width + along(six, j)),
  ]
})

/** The keepers where they hold the tail when it is closed in the hole. */
const keepers = computed(() => {
  const edges = props.layOut.strap?.keepersMm ?? []
  return edges.flatMap((from, i) => (i % 2 === 0 ? [{ from, to: edges[i + 1] ?? from }] : []))
})

/** Where the step is worked: its joints, the lugs, the clasp, each as a place along the mat. */
const worked = computed(() => {
  const at = props.marked
  if (!at) return []
  const { twelve, six } = props.layOut
  const m = mat.value
  const along = (row: readonly PlacedLink[], joint: number) =>
    row.slice(0, joint).reduce((sum, link) => sum + link.pitchMm, 0)
  const places = at.joints.map((j) =>
    at.side === 'twelve' ? m.head.x - along(twelve, j) : m.head.x + m.head.width + along(six, j),
  )
  if (at.atLugs) {
    if (at.side !== 'six') places.push(m.head.x)
    if (at.side !== 'twelve') places.push(m.head.x + m.head.width)
  }
  if (at.atClasp && at.joints.length === 0) {
    if (props.layOut.clasp)
      places.push(
        props.layOut.clasp.microSide === 'twelve'
          ? m.claspTwelve.x + m.claspTwelve.width / 2
          : m.claspSix.x + m.claspSix.width / 2,
      )
    else if (props.layOut.strap)
      places.push(m.tail.x + (props.layOut.strap.holesMm[props.layOut.strap.hole] ?? 0))
  }
  return places
})
const isWorked = (place: Place) =>
  props.marked?.side === place.side && props.marked.links.includes(place.ordinal)

const viewBox = computed(() => `-2 0 ${mat.value.width + 4} ${top + height + 8}`)

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
    :viewBox="viewBox"
    preserveAspectRatio="xMidYMid meet"
    role="group"
    aria-label="The band opened flat: 12 side left, 6 side right"
  >
    <defs>
      <pattern
        id="mat-hatch"
        width="2"
        height="2"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width="2" height="2" class="hatch-ground" />
        <line x1="0" y1="0" x2="0" y2="2" class="hatch-line" />
      </pattern>
    </defs>

    <g v-if="layOut.clasp" class="clasp">
      <rect
        :x="mat.claspTwelve.x"
        :y="top + 1"
        :width="mat.claspTwelve.width"
        :height="height - 2"
        rx="1.5"
      />
      <rect :x="mat.claspSix.x" :y="top + 1" :width="mat.claspSix.width" :height="height - 2" rx="1.5" />
      <g v-if="holes.drawn">
        <circle
          v-for="n in layOut.clasp.positions"
          :key="n"
          class="hole"
          :class="{ now: n - 1 === layOut.clasp.position }"
          :cx="holes.from + (n - 1) * holes.apart"
          :cy="top + height / 2"
          :r="holes.radius"
        />
      </g>
    </g>

    <g v-if="layOut.strap" class="strap">
      <rect :x="mat.buckle.x" :y="top + 1" :width="mat.buckle.width" :height="height - 2" rx="1" />
      <rect :x="mat.tail.x" :y="top + 1" :width="mat.tail.width" :height="height - 2" rx="4" />
      <circle
        v-for="(hole, i) in layOut.strap.holesMm"
        :key="i"
        class="hole"
        :class="{ now: i === layOut.strap.hole }"
        :cx="mat.tail.x + hole"
        :cy="top + height / 2"
        r="1.1"
      />
      <rect
        v-for="(keeper, i) in keepers"
        :key="`keeper-${i}`"
        class="keeper"
        :class="{ missed: !layOut.strap.keepersHold && i === keepers.length - 1 }"
        :x="mat.tail.x + keeper.from"
        :y="top - 1"
        :width="keeper.to - keeper.from"
        :height="height + 2"
        rx="0.8"
      />
    </g>

    <g class="head">
      <rect :x="mat.head.x" :y="top - 4" :width="mat.head.width" :height="height + 8" rx="2" />
      <circle
        :cx="mat.head.x + mat.head.width / 2"
        :cy="top + height / 2"
        :r="Math.min(mat.head.width, height + 4) / 2.3"
      />
      <text :x="mat.head.x + 3.5" :y="top + height / 2 + 1.6">12</text>
      <text :x="mat.head.x + mat.head.width - 3.5" :y="top + height / 2 + 1.6">6</text>
    </g>

    <path
      v-for="x in worked"
      :key="`worked-${x}`"
      class="worked-at"
      :d="`M${x} ${top - 1.5} l-2.6 -4.6 h5.2 z M${x} ${top - 1} v${height + 2}`"
    />
    <path
      v-for="x in marked ? [] : joints"
      :key="`joint-${x}`"
      class="joint"
      :d="`M${x} ${top + height + 1.2} l-1.9 3.6 h3.8 z`"
    />
    <g
      v-for="(drawn, i) in mat.links"
      :key="`${drawn.place.side}-${drawn.place.ordinal}`"
      class="link"
      :class="[drawn.link.fate, { worked: isWorked(drawn.place) }]"
      role="checkbox"
      :aria-checked="drawn.link.fate !== 'leaves'"
      :aria-disabled="!changeable || drawn.link.fate === 'fixed'"
      :aria-label="describe(drawn)"
      :tabindex="i === here ? 0 : -1"
      @click="toggle(drawn, i)"
      @focus="emit('here', drawn.place)"
      @keydown="onKey($event, drawn, i)"
    >
      <rect class="target" :x="drawn.x" y="0" :width="drawn.width" :height="top + height + 8" />
      <rect
        class="body"
        :x="drawn.x + 0.3"
        :y="drawn.link.fate === 'leaves' ? top + 4 : top"
        :width="drawn.width - 0.6"
        :height="height"
        rx="0.9"
      />
      <path
        v-if="drawn.link.pinned"
        class="pinned"
        :d="`M${drawn.x + drawn.width / 2} ${top + height / 2 - 2.4} v4.8 m-2.4 -2.4 h4.8`"
      />
      <text
        v-else-if="drawn.link.mark"
        class="mark"
        :x="drawn.x + drawn.width / 2"
        :y="top + height / 2 + 1.5"
      >
        {{ drawn.link.mark }}
      </text>
      <text
        v-if="drawn.link.fate === 'leaves' || drawn.link.fate === 'joins'"
        class="fate"
        :x="drawn.x + drawn.width / 2"
        :y="top - 1.5"
      >
        {{ drawn.link.fate === 'leaves' ? 'out' : 'in' }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.mat {
  display: block;
  width: 100%;
  height: 100%;
}
.clasp rect {
  fill: rgb(var(--v-theme-iron));
}
.strap rect {
  fill: rgb(var(--v-theme-steel));
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 0.4;
}
.hole {
  fill: rgb(var(--v-theme-background));
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 0.3;
}
.hole.now {
  fill: rgb(var(--v-theme-primary));
  stroke: rgb(var(--v-theme-background));
  stroke-width: 0.5;
}
.head rect,
.head circle {
  fill: none;
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 0.5;
}
.head text,
.fate {
  font: 600 4px var(--figure);
  text-anchor: middle;
  fill: rgb(var(--v-theme-on-surface));
}
.fate {
  font: 600 4px var(--label);
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
.body {
  fill: rgb(var(--v-theme-steel));
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 0.4;
}
.fixed .body {
  fill: url('#mat-hatch');
}
.pinned {
  fill: none;
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 1.1;
}
.mark {
  font: 600 4px var(--label);
  text-anchor: middle;
  fill: rgb(var(--v-theme-on-surface));
}
.strap .keeper {
  fill: none;
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 0.7;
}
.strap .keeper.missed {
  stroke: rgb(var(--v-theme-error));
  stroke-dasharray: 1.4 0.9;
}
.leaves .body {
  fill: none;
  stroke-dasharray: 1.4 0.9;
}
.joins .body {
  fill: rgb(var(--v-theme-primary));
}
.link:focus-visible .body {
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 1.3;
  stroke-dasharray: none;
}
.joint {
  fill: rgb(var(--v-theme-primary));
}
.worked .body {
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 1.1;
}
.worked-at {
  fill: rgb(var(--v-theme-primary));
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 0.7;
}
.hatch-ground {
  fill: rgb(var(--v-theme-steel));
}
.hatch-line {
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 0.8;
}
</style>
