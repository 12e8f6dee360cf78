<script setup lang="ts">
import { computed } from 'vue'
import type { Ruler, Temper } from '../api/shop'
import { placeOn, scaleOf } from './scale'

const props = defineProps<{ name: string; ruler: Ruler; least: number; most: number; temper?: Temper }>()

const scale = computed(() => scaleOf(props.ruler, props.least, props.most))
const from = computed(() =>
  props.ruler.fromMm === null ? null : placeOn(scale.value, props.ruler.fromMm) * 100,
)
const to = computed(() => (props.ruler.toMm === null ? 100 : placeOn(scale.value, props.ruler.toMm) * 100))
const at = computed(() => placeOn(scale.value, props.ruler.mm) * 100)
const word = computed(
  () =>
    props.temper ?? (from.value === null ? 'shown, not judged' : props.ruler.inside ? 'OK' : 'out of range'),
)
</script>

<template>
  <div class="ruler" :class="temper">
    <span class="label">{{ name }}</span>
    <span class="figure mm">{{ ruler.text }}</span>
    <div class="scale" aria-hidden="true">
      <svg viewBox="0 0 100 10" preserveAspectRatio="none">
        <rect
          v-if="from !== null"
          class="window"
          :x="from"
          y="0"
          :width="Math.max(0.6, to - from)"
          height="10"
        />
        <line class="line" x1="0" x2="100" y1="10" y2="10" />
      </svg>
      <span class="marker" :style="{ left: `${at}%` }" />
    </div>
    <span class="figure quiet inch">{{ ruler.inches }}</span>
    <span class="word">{{ word }}</span>
  </div>
</template>

<style scoped>
.ruler {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: baseline;
  gap: 0 8px;
}
.label {
  font-weight: 600;
}
.mm {
  font-size: 20px;
  font-weight: 600;
}
.inch {
  font-size: 14px;
}
/* The marker stands on the line, above and below it nothing but room. */
.scale {
  position: relative;
  grid-column: 1 / -1;
  padding-top: 5px;
}
svg {
  width: 100%;
  height: 16px;
  display: block;
  overflow: visible;
}
.window {
  fill: rgb(var(--v-theme-steel));
}
.line {
  stroke: rgb(var(--v-theme-iron));
  vector-effect: non-scaling-stroke;
  stroke-width: 1.5;
}
.marker {
  position: absolute;
  bottom: 0;
  width: 4px;
  height: 20px;
  margin-left: -2px;
  background: rgb(var(--v-theme-on-surface));
}
.word {
  text-align: right;
  font-size: 14px;
  color: rgb(var(--v-theme-iron));
}
/* The colours of heated steel, for ease alone: straw right, blue tight, rust loose. */
.right .marker,
.right .window {
  background: rgb(var(--v-theme-straw));
}
.right .window {
  fill: rgb(var(--v-theme-straw), 0.45);
}
.tight .marker {
  background: rgb(var(--v-theme-blue));
}
.tight .mm,
.tight .word {
  color: rgb(var(--v-theme-blue));
}
.loose .marker {
  background: rgb(var(--v-theme-rust));
}
.loose .mm,
.loose .word {
  color: rgb(var(--v-theme-rust));
}
</style>
