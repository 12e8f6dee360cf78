<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'

/** A signature as an SVG path in moves and lines, on a ground of 300 by 90. */
const path = defineModel<string>({ required: true })
const ground = useTemplateRef<SVGSVGElement>('ground')
const drawing = ref(false)
const isEmpty = computed(() => path.value.length === 0)

function at(event: PointerEvent): string {
  const box = ground.value!.getBoundingClientRect()
  const x = ((event.clientX - box.left) / box.width) * 300
  const y = ((event.clientY - box.top) / box.height) * 90
  return `${x.toFixed(0)} ${y.toFixed(0)}`
}
function begin(event: PointerEvent) {
  drawing.value = true
  ground.value?.setPointerCapture(event.pointerId)
  path.value += `M${at(event)}`
}
function go(event: PointerEvent) {
  if (drawing.value && path.value.length < 19_000) path.value += `L${at(event)}`
}
</script>

<template>
  <div class="pad">
    <svg
      ref="ground"
      viewBox="0 0 300 90"
      role="img"
      aria-label="Sign here"
      data-testid="signature"
      @pointerdown.prevent="begin"
      @pointermove="go"
      @pointerup="drawing = false"
      @pointercancel="drawing = false"
    >
      <line x1="14" y1="72" x2="286" y2="72" class="line" />
      <text v-if="isEmpty" x="150" y="62" class="hint">Sign here</text>
      <path :d="path" class="ink" />
    </svg>
    <v-btn v-if="!isEmpty" variant="text" @click="path = ''">Clear</v-btn>
  </div>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  aspect-ratio: 300 / 90;
  border: 1px solid rgb(var(--v-theme-hairline));
  touch-action: none;
  cursor: crosshair;
}
.line {
  stroke: rgb(var(--v-theme-hairline));
}
.hint {
  font: 14px var(--label);
  text-anchor: middle;
  fill: rgb(var(--v-theme-iron));
}
.ink {
  fill: none;
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 2;
  stroke-linejoin: round;
  stroke-linecap: round;
}
</style>
