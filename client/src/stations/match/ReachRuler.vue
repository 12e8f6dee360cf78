<script setup lang="ts">
import { tenths } from '../../api/tenths'
import { computed } from 'vue'
import type { Match } from '../../api/match'

const props = defineProps<{ reach: NonNullable<Match['reach']> }>()

/** From a little before what the band can make, or what is wanted, to a little after. */
const scale = computed(() => {
  const { shortestMm, longestMm, targetMm } = props.reach
  const from = Math.min(shortestMm, targetMm) - 6
  const to = Math.max(longestMm, targetMm) + 6
  const place = (mm: number) => ((mm - from) / (to - from)) * 100
  return {
    start: place(shortestMm),
    end: place(longestMm),
    target: place(targetMm),
    window: (2 * props.reach.windowMm * 100) / (to - from),
  }
})
</script>

<template>
  <span class="reach" role="img" :aria-label="`Makes ${reach.text}; ${reach.targetMm} mm is wanted`">
    <svg viewBox="0 0 100 12" preserveAspectRatio="none" aria-hidden="true">
      <line x1="0" x2="100" y1="9" y2="9" class="line" />
      <rect class="made" :x="scale.start" y="5" :width="Math.max(0.8, scale.end - scale.start)" height="7" />
      <rect
        class="wanted"
        :x="scale.target - scale.window / 2"
        y="1"
        :width="Math.max(1, scale.window)"
        height="11"
      />
    </svg>
    <span class="words"
      ><span class="figure">{{ reach.shortestMm.toFixed(0) }}–{{ reach.longestMm.toFixed(0) }} mm</span
      ><span class="quiet">, wanted </span><span class="figure">{{ tenths(reach.targetMm) }}</span
      ><template v-if="reach.chance"
        ><span class="quiet">, right at first </span><span class="figure">{{ reach.chance }}</span></template
      ></span
    >
    <span v-if="reach.wrists" class="words"
      ><span class="quiet">serves wrists of </span><span class="figure">{{ reach.wrists }}</span></span
    >
  </span>
</template>

<style scoped>
.reach {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 10px;
  font-size: 15px;
}
.words {
  white-space: nowrap;
}
svg {
  width: 150px;
  height: 14px;
  flex: none;
}
.line {
  stroke: rgb(var(--v-theme-iron));
  stroke-width: 0.6;
}
.made {
  fill: rgb(var(--v-theme-steel));
}
.wanted {
  fill: none;
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 1.4;
  vector-effect: non-scaling-stroke;
}
</style>
