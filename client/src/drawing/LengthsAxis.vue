<script setup lang="ts">
import { place, ticks, width } from './lengths'

/** Whole fives under lines of lengths. */
defineProps<{ target: number }>()
</script>

<template>
  <svg :viewBox="`0 0 ${width} 22`" aria-hidden="true">
    <g v-for="mm in ticks(target)" :key="mm">
      <line :x1="place(mm, target)" :x2="place(mm, target)" y1="0" y2="4" />
      <text :x="place(mm, target)" y="18">{{ mm }}</text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-height: 30px;
}
line {
  stroke: rgb(var(--v-theme-iron));
  stroke-width: 1;
}
text {
  font: 400 15px var(--figure);
  fill: rgb(var(--v-theme-iron));
  text-anchor: middle;
}
</style>
