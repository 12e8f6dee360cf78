<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import { useGauge, type SheetLink } from '../../api/gauge'
import HeldLinks from '../../drawing/HeldLinks.vue'
import { useReadable } from '../../drawing/readable'
import { useJobHere } from '../../job/here'
import { changed, type Change } from './links'
import { useSaving } from '../../controls/saving'

const { id, job, part } = useJobHere()
const changeable = computed(() => job.value.may.gaugeBracelet.ok)
const gauge = useGauge(id)
const { trouble, save } = useSaving()
const bracelet = computed(() => gauge.sheet.data.value?.bracelet)
const root = useTemplateRef<HTMLElement>('root')

type Side = 'twelve' | 'six'
interface Place {
  side: Side
  at: number
}
const here = ref<Place>({ side: 'twelve', at: 0 })
const headMm = 34
const claspMm = 16

const rowOf = (side: Side) =>
  (side === 'twelve' ? bracelet.value?.twelveLinks : bracelet.value?.sixLinks) ?? []

/** The links from left to right: the 12 side from clasp to case, the head, the 6 side from case to clasp. */
const drawn = computed(() => {
  const links: { place: Place; link: SheetLink; x: number }[] = []
  let x = claspMm
  const lay = (place: Place, link: SheetLink) => {
    links.push({ place, link, x })
    x += link.pitchMm
  }
  for (let at = rowOf('twelve').length - 1; at >= 0; at--) lay({ side: 'twelve', at }, rowOf('twelve')[at]!)
  const head = x
  x += headMm
  rowOf('six').forEach((link, at) => lay({ side: 'six', at }, link))
  return { links, head, width: x + claspMm }
})
const isHere = (place: Place) => place.side === here.value.side && place.at === here.value.at
const current = computed(() => rowOf(here.value.side)[here.value.at])

async function focusHere() {
  await nextTick()
  root.value?.querySelector<SVGGElement>('.link[tabindex="0"]')?.focus()
}

async function change(what: Change, side: Side = here.value.side) {
  const b = bracelet.value
  if (!b || !changeable.value) return
  const at = side === here.value.side ? here.value.at : rowOf(side).length - 1
  const row = changed(rowOf(side), Math.min(at, rowOf(side).length - 1), what, b.fullPitchMm, b.halfPitchMm)
  if (row === null) return
  await save(side, '', () => gauge.linkRow(side, row), '$.links')
  here.value = { side, at: Math.max(0, Math.min(what === 'add' ? at + 1 : at, row.length - 1)) }
  await focusHere()
}

/** From link to link by thumb, where they are drawn too narrow to be touched. */
function step(by: number) {
  const links = drawn.value.links
  const now = links.findIndex((l) => isHere(l.place))
  const to = links[Math.min(links.length - 1, Math.max(0, now + by))]
  if (to) here.value = to.place
}

const svg = useTemplateRef<SVGSVGElement>('svg')
const { high } = useReadable(svg, () => ({ width: drawn.value.width, height: 27 }))

function onKey(event: KeyboardEvent, index: number) {
  const go = (to: number) => {
    const place = drawn.value.links[to]?.place
    if (place) {
      here.value = place
      void focusHere()
    }
  }
  switch (event.key) {
    case 'ArrowLeft':
      go(index - 1)
      break
    case 'ArrowRight':
      go(index + 1)
      break
    case ' ':
    case 'Enter':
      void change('turn')
      break
    case 'h':
      void change('half')
      break
    case '+':
    case 'Insert':
      void change('add')
      break
    case '-':
    case 'Delete':
    case 'Backspace':
      void change('remove')
      break
    default:
      return
  }
  event.preventDefault()
}

function describe(place: Place, link: SheetLink) {
  const side = place.side === 'twelve' ? '12' : '6'
  return `${side} side, link ${place.at + 1} from the case, ${link.pitchMm} mm, ${link.removable ? 'comes out' : 'never comes out'}`
}
</script>

<template>
  <div v-if="bracelet && part === 'bracelet'" ref="root" class="lay">
    <svg
      ref="svg"
      :viewBox="`0 -3 ${drawn.width} 27`"
      preserveAspectRatio="xMidYMid meet"
      role="group"
      aria-label="The bracelet as entered: 12 side left, 6 side right"
    >
      <HeldLinks />
      <rect class="clasp" x="1" y="4" :width="claspMm - 1.5" height="13" rx="1.5" />
      <rect
        class="clasp"
        :x="drawn.width - claspMm + 0.5"
        y="4"
        :width="claspMm - 1.5"
        height="13"
        rx="1.5"
      />
      <g class="head">
        <rect :x="drawn.head + 0.5" y="-1" :width="headMm - 1" height="23" rx="2" />
        <text :x="drawn.head + 4.5" y="12" :font-size="Math.max(4, high)">12</text>
        <text :x="drawn.head + headMm - 4" y="12" :font-size="Math.max(4, high)">6</text>
      </g>
      <g
        v-for="(d, i) in drawn.links"
        :key="`${d.place.side}-${d.place.at}`"
        class="link"
        :class="{ fixed: !d.link.removable }"
        role="checkbox"
        :aria-checked="d.link.removable"
        :aria-label="describe(d.place, d.link)"
        :tabindex="isHere(d.place) ? 0 : -1"
        @click="((here = d.place), void change('turn'))"
        @focus="here = d.place"
        @keydown="onKey($event, i)"
      >
        <rect
          class="body"
          :x="d.x + 0.3"
          y="3"
          :width="Math.max(0.5, d.link.pitchMm - 0.6)"
          height="15"
          rx="0.9"
        />
      </g>
    </svg>
    <div v-if="changeable" class="acts">
      <button type="button" :disabled="drawn.links.length === 0" @click="step(-1)">‹ Link</button>
      <button type="button" :disabled="drawn.links.length === 0" @click="step(1)">Link ›</button>
      <span v-if="current" class="quiet"
        >{{ here.side === 'twelve' ? '12' : '6' }} side, link {{ here.at + 1 }}:
        <span class="figure">{{ current.pitchMm }} mm</span></span
      >
      <button type="button" :disabled="!current" @click="change('turn')">
        {{ current && !current.removable ? 'comes out' : 'fixed' }} (Space)
      </button>
      <button
        type="button"
        :disabled="!current || bracelet.halfPitchMm === null || bracelet.fullPitchMm === null"
        @click="change('half')"
      >
        half or full (H)
      </button>
      <button type="button" @click="change('add', 'twelve')">add on 12 (+)</button>
      <button type="button" @click="change('add', 'six')">add on 6</button>
      <button type="button" :disabled="!current" @click="change('remove')">remove (−)</button>
      <span v-if="trouble" class="refused" role="alert">{{ trouble }}</span>
    </div>
  </div>
</template>

<style scoped>
.lay {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  height: 138px;
}
@media (max-width: 960px) {
  .lay {
    height: auto;
    grid-template-rows: auto auto;
  }
  svg {
    min-height: 64px;
  }
}
svg {
  width: 100%;
  height: 100%;
  min-height: 0;
}
.clasp {
  fill: rgb(var(--v-theme-iron));
}
.head rect {
  fill: rgb(var(--v-theme-background));
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 0.5;
}
.head text {
  font-family: var(--figure);
  font-weight: 600;
  fill: rgb(var(--v-theme-on-surface));
  text-anchor: middle;
}
.link {
  cursor: pointer;
  outline: none;
}
.body {
  fill: rgb(var(--v-theme-steel));
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 0.4;
}
.fixed .body {
  fill: url('#held-links');
}
.link:focus-visible .body,
.link[tabindex='0'] .body {
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 1.1;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  font-size: 16px;
}
.acts button {
  min-height: 44px;
  padding: 0 8px;
  border: 1px solid rgb(var(--v-theme-hairline));
}
.acts button:disabled {
  opacity: 0.5;
}
</style>
