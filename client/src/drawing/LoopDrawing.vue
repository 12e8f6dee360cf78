<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import type { BenchPlace } from '../api/bench'
import type { Picture, Shape, Word } from '../api/shop'
import HeldLinks from './HeldLinks.vue'
import PictureShapes from './PictureShapes.vue'
import { viewBoxOf } from './picture'
import { useReadable } from './readable'

const props = defineProps<{
  drawing: Picture
  /** Drawn at half the height: the words then need twice the size. */
  small?: boolean
  /** Where the bench step is worked. */
  marked?: BenchPlace | null
}>()

const svg = useTemplateRef<SVGSVGElement>('svg')
const { readable } = useReadable(svg, () => props.drawing)
/** Small, only what cannot be seen from the drawing is said, and larger. */
const words = computed(() =>
  props.small
    ? props.drawing.words
        .filter((w) => w.role !== 'wrist' && w.role !== 'out')
        .map((w) => (w.role === 'head' ? w : { ...w, high: 5 }))
    : props.drawing.words,
)

function isWorked({ of }: Shape | Word) {
  const at = props.marked
  if (!at || !of) return false
  if (of.kind === 'clasp') return at.atClasp
  return of.side === at.side && at.links.some((l) => l >= of.ordinal && l < of.ordinal + of.count)
}
</script>

<template>
  <svg
    ref="svg"
    class="loop"
    :viewBox="viewBoxOf(drawing)"
    role="img"
    aria-label="The closed loop round the wrist, to scale"
  >
    <HeldLinks />
    <PictureShapes :shapes="drawing.shapes" :words="readable(words)" :worked="isWorked" />
  </svg>
</template>

<style scoped>
.loop {
  display: block;
  width: 100%;
  height: 100%;
  min-height: 0;
}
</style>
