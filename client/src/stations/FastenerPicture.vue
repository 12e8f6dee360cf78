<script setup lang="ts">
import type { Fastener } from '../api/gauge'

/** What is seen at a joint: the link from inside in the middle, its two edges as circles where something looks out of them. */
defineProps<{ fastener: Fastener }>()
const mouths = [
  { x: 9, edge: 'left' },
  { x: 71, edge: 'right' },
] as const
</script>

<template>
  <svg viewBox="0 0 80 40" class="seen" aria-hidden="true">
    <g v-if="fastener === 'springBar'">
      <path d="M18 3 H62 V16 H18 Z M18 24 H62 V37 H18 Z" class="link" />
      <path d="M18 20 H62" class="bar" />
      <path d="M18 18 v4 M62 18 v4" class="line" />
    </g>
    <g v-else-if="fastener === 'notLookedAt'">
      <path d="M18 8 H62 V32 H18 Z" class="link open" />
      <path d="M36 17 q0 -4 4 -4 t4 4 q0 2 -4 4 v2" class="line" />
      <circle cx="40" cy="27" r="1.2" class="dot" />
    </g>
    <g v-else-if="fastener === 'frictionPin'">
      <path d="M18 3 H62 V14 H18 Z" class="link" />
      <path d="M22 14 h14 v12 h-14 z M44 14 h14 v12 h-14 z M22 26 h36 v11 h-36 z" class="link" />
      <g v-for="m in mouths" :key="m.edge">
        <circle :cx="m.x" cy="20" r="6" class="link" />
        <circle :cx="m.x" cy="20" r="3" class="dot" />
      </g>
    </g>
    <g v-else>
      <path d="M18 8 H62 V32 H18 Z" class="link" />
      <path
        v-if="fastener === 'splitPin' || fastener === 'pinWithTube'"
        d="M28 20 H50 M44 15 L51 20 L44 25"
        class="line"
      />
      <g v-for="m in mouths" :key="m.edge">
        <template v-if="fastener === 'splitPin' || fastener === 'pinWithTube'">
          <circle :cx="m.x" cy="20" r="8" class="link" />
          <circle
            v-if="fastener === 'pinWithTube' || m.edge === 'left'"
            :cx="m.x"
            cy="20"
            r="3"
            class="dot"
          />
          <path v-else d="M71 13 V27" class="hair" />
        </template>
        <template v-else-if="fastener === 'screwInTube' || m.edge === 'right'">
          <circle :cx="m.x" cy="20" r="8" class="link" />
          <path :d="`M${m.x - 5.5} 20 h11`" class="slot" />
        </template>
      </g>
    </g>
  </svg>
</template>

<style scoped>
.seen {
  width: 80px;
  height: 40px;
  flex: none;
}
.link {
  fill: rgb(var(--v-theme-surface));
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 1.4;
}
.open {
  stroke-dasharray: 3 3;
}
.line {
  fill: none;
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 1.4;
}
.bar {
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 3;
}
.hair {
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 1;
}
.slot {
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 3.2;
}
.dot {
  fill: rgb(var(--v-theme-on-surface));
}
</style>
