<script setup lang="ts">
import { place, width } from './lengths'

/** Every length that can be made near the one wanted, as ticks on a line; shaded is what can be worn. */
defineProps<{
  lengths: readonly number[]
  /** What is made only with the clasp further off its place than is wanted: short, faint ticks. */
  aside?: readonly number[]
  target: number
  window: number
  /** The length that is made now. */
  best: number | null
  label: string
}>()
</script>

<template>
  <svg :viewBox="`0 0 ${width} 26`" preserveAspectRatio="none" role="img" :aria-label="label">
    <rect
      class="window"
      :x="place(target - window, target)"
      y="0"
      :width="place(target + window, target) - place(target - window, target)"
      height="26"
    />
    <line x1="0" :x2="width" y1="20" y2="20" class="line" />
    <line
      v-for="mm in aside ?? []"
      :key="`aside ${mm}`"
      class="aside"
      :x1="place(mm, target)"
      :x2="place(mm, target)"
      y1="14"
      y2="20"
    />
    <line
      v-for="mm in lengths"
      :key="mm"
      class="made"
      :class="{ worn: Math.abs(mm - target) <= window + 0.05 }"
      :x1="place(mm, target)"
      :x2="place(mm, target)"
      y1="7"
      y2="20"
    />
    <path v-if="best !== null" class="best" :d="`M${place(best, target)} 20 l-4 6 h8 z`" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: 26px;
}
.window {
  fill: rgb(var(--v-theme-primary), 0.16);
}
.line {
  stroke: rgb(var(--v-theme-iron));
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}
.made {
  stroke: rgb(var(--v-theme-iron));
  stroke-width: 1.6;
  vector-effect: non-scaling-stroke;
}
.aside {
  stroke: rgb(var(--v-theme-iron));
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}
.made.worn {
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 2.6;
}
.best {
  fill: rgb(var(--v-theme-primary));
}
</style>
