<script setup lang="ts">
import { computed } from 'vue'
import type { GaugeLine } from '../api/gauge'
import { blades, jaws } from './jaws'

const props = defineProps<{ line: GaugeLine }>()
const placed = computed(() => jaws[props.line.figure])
const wedges = computed(() => blades(placed.value))
const links = Array.from({ length: 7 }, (_, i) => 50 + i * 16)
</script>

<template>
  <figure class="jaws">
    <svg viewBox="20 8 160 94" role="img" :aria-label="`Where the tool goes for the ${line.name}`">
      <g v-if="placed.scene === 'above'" class="thing">
        <path d="M52 28 h16 l8 5 v10 l-8 -4 h-16 z M52 82 h16 l8 -5 v-10 l-8 4 h-16 z" />
        <path d="M148 28 h-16 l-8 5 v10 l8 -4 h16 z M148 82 h-16 l-8 -5 v-10 l8 4 h16 z" />
        <circle cx="100" cy="55" r="35" />
        <circle cx="100" cy="55" r="25" class="fine" />
        <path d="M57 39 v32 M143 39 v32" class="bars" />
        <path d="M96 18 h8 v-5 h-8 z" />
        <text x="76" y="57">12</text>
        <text x="124" y="57">6</text>
      </g>
      <g v-else-if="placed.scene === 'side'" class="thing">
        <path d="M69 78 L66 62 L74 42 Q100 26 126 42 L134 62 L131 78 Z" />
        <path d="M74 42 L52 60 q-3 6 4 8 L68 68 M126 42 L148 60 q3 6 -4 8 L132 68" />
        <circle cx="58" cy="62" r="2.4" class="dot" />
        <circle cx="142" cy="62" r="2.4" class="dot" />
        <path d="M30 78 H170" class="plane" />
      </g>
      <g v-else-if="placed.scene === 'lug'" class="thing">
        <path d="M50 92 Q56 36 92 30 h26 q20 2 22 24 l-4 14 q-30 -4 -44 24 z" />
        <circle cx="100" cy="55" r="9" />
      </g>
      <g v-else-if="placed.scene === 'bar'" class="thing">
        <rect x="44" y="47" width="112" height="16" rx="2" />
        <path d="M44 43 h-10 v24 h10 M156 43 h10 v24 h-10 M160 50 v10" />
      </g>
      <g v-else-if="placed.scene === 'slot'" class="thing">
        <path d="M40 28 h110 q16 27 0 56 h-110 v-20 h36 v-16 h-36 z" />
        <circle cx="64" cy="38" r="3" />
      </g>
      <g v-else-if="placed.scene === 'band'" class="thing">
        <path d="M30 33 L150 40 V70 L30 77 Z" />
        <path
          v-for="x in links"
          :key="x"
          :d="`M${x} ${34.2 + (x - 30) * 0.058} V${75.8 - (x - 30) * 0.058}`"
          class="fine"
        />
        <rect x="150" y="38" width="24" height="34" rx="2" class="dark" />
      </g>
      <g v-else-if="placed.scene === 'bandSide'" class="thing">
        <path d="M36 44 a11 11 0 1 0 0 22 q10 0 18 -4 H170 V50 H54 q-8 -6 -18 -6 z" />
        <circle cx="36" cy="55" r="4" />
      </g>
      <g v-else-if="placed.scene === 'clasp'" class="thing">
        <path d="M24 36 H60 V74 H24 Z" class="fine" />
        <path d="M58 27 H150 q8 0 8 8 V75 q0 8 -8 8 H58 V77 H132 V33 H58 Z" />
        <path d="M72 33 V77" class="bars" />
      </g>
      <g v-else-if="placed.scene === 'claspSide'" class="thing">
        <path d="M30 38 H150 q10 0 10 10 v3 H30 Z" />
        <path d="M30 65 H136 v6 H30 Z" />
        <circle v-for="x in [80, 94, 108, 122]" :key="x" :cx="x" cy="44" r="2.6" />
        <path d="M136 68 L150 60 L166 74" class="bars" />
        <circle cx="136" cy="68" r="3" />
      </g>
      <g v-else-if="placed.scene === 'butterfly'" class="thing">
        <path d="M44 30 H176 V80 H44 Z" />
        <path d="M32 46 H50 V64 H32 Z" class="dark" />
        <path d="M100 21 h20 v9 h-20 z M100 80 h20 v9 h-20 z" class="dark" />
        <path v-for="x in [70, 90, 130, 152]" :key="x" :d="`M${x} 30 V80`" class="fine" />
      </g>
      <g v-else-if="placed.scene === 'tip'" class="thing">
        <path d="M26 25 H124 V42 H104 V68 H124 V85 H26 Z" />
        <path d="M112 25 V42 M112 68 V85" class="plane" />
        <circle cx="112" cy="25" r="5" />
        <path v-for="x in [44, 62, 80]" :key="x" :d="`M${x} 25 V85`" class="fine" />
      </g>
      <g v-else-if="placed.scene === 'pin'" class="thing">
        <path d="M50 49 H150 V61 H50 Z M50 52 h-6 v6 h6 M150 52 h6 v6 h-6" />
      </g>
      <g v-else class="thing">
        <ellipse cx="100" cy="55" rx="52" ry="38" class="skin" />
        <circle cx="84" cy="60" r="9" class="fine" />
        <circle cx="118" cy="57" r="11" class="fine" />
      </g>

      <g v-if="placed.tool === 'tape'" class="tape"><ellipse cx="100" cy="55" rx="54" ry="40" /></g>
      <g v-else class="tool">
        <path v-if="placed.tool === 'rod'" :d="`M${placed.from[0]} 14 V${placed.from[1]}`" class="rod" />
        <path v-else :d="wedges[0]" />
        <path v-if="placed.tool !== 'rod'" :d="wedges[1]" />
        <path class="measure" :d="`M${placed.from[0]} ${placed.from[1]} L${placed.to[0]} ${placed.to[1]}`" />
      </g>
    </svg>
    <figcaption>
      <strong>{{ line.name }}</strong> {{ line.jaws }}
    </figcaption>
  </figure>
</template>

<style scoped>
.jaws {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  min-height: 0;
  margin: 0;
}
svg {
  width: 100%;
  height: 100%;
  min-height: 0;
}
.thing {
  fill: rgb(var(--v-theme-steel), 0.45);
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 0.7;
  stroke-linejoin: round;
}
.fine {
  fill: none;
  stroke-width: 0.4;
}
.bars,
.plane {
  fill: none;
}
.bars {
  stroke-width: 1.6;
}
.plane {
  stroke-dasharray: 3 2;
  stroke: rgb(var(--v-theme-iron));
}
.dot,
.dark {
  fill: rgb(var(--v-theme-on-surface));
}
.dark {
  fill: rgb(var(--v-theme-iron));
}
.skin {
  fill: rgb(var(--v-theme-skin));
}
.thing text {
  font: 400 6px var(--figure);
  fill: rgb(var(--v-theme-iron));
  stroke: none;
  text-anchor: middle;
}
.tool path {
  fill: rgb(var(--v-theme-primary));
}
.tool .rod,
.tool .measure {
  fill: none;
  stroke: rgb(var(--v-theme-primary));
}
.tool .rod {
  stroke-width: 2.4;
}
.tool .measure {
  stroke-width: 0.9;
}
.tape ellipse {
  fill: none;
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 2.6;
}
figcaption {
  text-align: center;
}
figcaption strong {
  display: inline-block;
  margin-right: 6px;
}
figcaption strong::first-letter {
  text-transform: uppercase;
}
</style>
