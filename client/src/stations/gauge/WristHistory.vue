<script setup lang="ts">
import { computed } from 'vue'
import type { WristVisit } from '../../api/gauge'
import { asDay } from '../../controls/days'
import { placesOf } from './history'

const props = defineProps<{ visits: WristVisit[] }>()
const places = computed(() => placesOf(props.visits, 400, 56))
</script>

<template>
  <figure v-if="visits.length > 0" class="history">
    <figcaption class="quiet">
      The wrist over {{ visits.length === 1 ? 'one visit' : `${visits.length} visits` }}
    </figcaption>
    <svg viewBox="-22 -18 444 96" role="img" :aria-label="`Wrist over ${visits.length} visits`">
      <polyline v-if="visits.length > 1" :points="places.map((p) => `${p.x},${p.y}`).join(' ')" />
      <g v-for="(p, i) in places" :key="p.visit.jobId" :class="{ here: p.visit.here }">
        <title>{{ asDay(p.visit.day) }}: {{ p.visit.mm }} mm, {{ p.visit.season }}</title>
        <circle :cx="p.x" :cy="p.y" r="4.5" />
        <text :x="p.x" :y="p.y - 8" :text-anchor="p.anchor" class="figure">
          {{ p.visit.mm }}{{ i === 0 ? ' mm' : '' }}
        </text>
        <text :x="p.x" y="72" :text-anchor="p.anchor">{{ p.visit.season }}</text>
      </g>
    </svg>
  </figure>
</template>

<style scoped>
.history {
  margin: 0;
}
svg {
  width: 100%;
  max-height: 110px;
}
polyline {
  fill: none;
  stroke: rgb(var(--v-theme-iron));
}
circle {
  fill: rgb(var(--v-theme-background));
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 1.6;
}
.here circle {
  fill: rgb(var(--v-theme-primary));
}
text {
  font-size: 19px;
  fill: rgb(var(--v-theme-on-surface));
}
</style>
