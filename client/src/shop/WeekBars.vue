<script setup lang="ts">
import { computed } from 'vue'
import { asDay } from '../controls/days'

/** A bar a week from nought; of a part of it, filled. */
const props = defineProps<{
  weeks: readonly { monday: string; count: number; marked?: number }[]
  label: string
}>()
const most = computed(() => Math.max(1, ...props.weeks.map((w) => w.count)))
const wide = computed(() => 400 / Math.max(1, props.weeks.length))
const high = (count: number) => (count / most.value) * 90
/** Every so many weeks a day stands below, so that they do not touch. */
const named = computed(() => Math.ceil(props.weeks.length / 5))
</script>

<template>
  <svg viewBox="-24 -12 428 128" role="img" :aria-label="label">
    <text x="-4" y="4" class="scale">{{ most }}</text>
    <text x="-4" y="93" class="scale">0</text>
    <line x1="0" x2="400" y1="0" y2="0" class="top" />
    <g v-for="(w, i) in weeks" :key="w.monday">
      <rect
        :x="i * wide + wide * 0.12"
        :width="wide * 0.76"
        :y="90 - high(w.count)"
        :height="high(w.count)"
        :class="w.marked === undefined ? 'bar' : 'all'"
      >
        <title>
          {{ asDay(w.monday) }}: {{ w.marked === undefined ? w.count : `${w.marked} of ${w.count}` }}
        </title>
      </rect>
      <rect
        v-if="w.marked"
        :x="i * wide + wide * 0.12"
        :width="wide * 0.76"
        :y="90 - high(w.marked)"
        :height="high(w.marked)"
        class="bar"
      />
      <text v-if="i % named === 0 && i * wide < 350" :x="i * wide" y="108" class="day">
        {{ asDay(w.monday).replace(/^\w+ /, '') }}
      </text>
    </g>
    <line x1="0" x2="400" y1="90" y2="90" class="line" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
}
.bar {
  fill: rgb(var(--v-theme-iron));
}
.all {
  fill: none;
  stroke: rgb(var(--v-theme-iron));
  stroke-width: 1;
}
.line {
  stroke: rgb(var(--v-theme-on-surface));
}
.top {
  stroke: rgb(var(--v-theme-hairline));
}
text {
  font: 400 17px var(--label);
  fill: rgb(var(--v-theme-iron));
}
.scale {
  text-anchor: end;
  font-family: var(--figure);
}
</style>
