<script setup lang="ts">
import type { Shape, Word } from '../api/shop'

/** Paints shapes and words of a picture; what a role looks like on the screen stands here alone. */
defineProps<{
  shapes: readonly Shape[]
  words: readonly Word[]
  /** Whether the bench works at a shape. */
  worked?: (shape: Shape | Word) => boolean
}>()
</script>

<template>
  <path
    v-for="(shape, i) in shapes"
    :key="`shape-${i}`"
    :class="[shape.role, shape.thick ? 'thick' : 'thin', { dashed: shape.dashed, worked: worked?.(shape) }]"
    :d="shape.path"
    :stroke-width="shape.thick ?? undefined"
  />
  <text
    v-for="(word, i) in words"
    :key="`word-${i}`"
    :class="[word.role, { strong: word.strong, worked: worked?.(word) }]"
    :x="word.x"
    :y="word.y"
    :font-size="word.high"
    :text-anchor="word.anchor"
  >
    {{ word.text }}
  </text>
</template>

<style scoped>
path {
  fill: none;
  stroke: rgb(var(--v-theme-on-surface));
  stroke-linejoin: round;
}
.thin {
  stroke-width: 0.4;
}
text {
  font-family: var(--label);
  fill: rgb(var(--v-theme-on-surface));
}
.strong {
  font-weight: 600;
}
.dashed {
  stroke-dasharray: 1.5 0.9;
}
/* A piece of the band round the wrist: a line as thick as itself. */
.thick.stays,
.thick.strap {
  stroke: rgb(var(--v-theme-steel));
}
.thick.joins {
  stroke: rgb(var(--v-theme-primary));
}
.thick.clasp {
  stroke: rgb(var(--v-theme-iron));
}
.thick.fixed {
  stroke: url('#held-links');
}
/* An area. */
.thin:is(.stays, .strap) {
  fill: rgb(var(--v-theme-steel));
}
.thin.fixed {
  fill: url('#held-links');
}
.thin.joins {
  fill: rgb(var(--v-theme-primary));
}
.thin.clasp {
  fill: rgb(var(--v-theme-iron));
  stroke: none;
}
path.wrist {
  fill: rgb(var(--v-theme-skin));
  stroke: rgb(var(--v-theme-iron));
  stroke-width: 0.3;
}
text.wrist,
.name,
text.scale {
  fill: rgb(var(--v-theme-iron));
}
.hole {
  fill: rgb(var(--v-theme-background));
  stroke-width: 0.3;
}
.holeNow {
  fill: rgb(var(--v-theme-primary));
  stroke: rgb(var(--v-theme-background));
  stroke-width: 0.5;
}
.keeper,
.keeperMissed {
  stroke-width: 0.7;
}
.keeperMissed {
  stroke: rgb(var(--v-theme-error));
}
path.head {
  fill: rgb(var(--v-theme-background));
  stroke-width: 0.5;
}
text.head,
.number {
  font-family: var(--figure);
}
.pinned {
  stroke-width: 1.1;
}
.bar,
.lowest,
.dot {
  fill: rgb(var(--v-theme-on-surface));
  stroke: none;
}
path:is(.out, .joint) {
  fill: rgb(var(--v-theme-primary));
  stroke: none;
}
text.clasp {
  fill: rgb(var(--v-theme-primary));
}
.centre {
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 0.9;
}
path.scale {
  stroke: rgb(var(--v-theme-iron));
  stroke-width: 0.35;
}
.outline {
  stroke-width: 0.35;
}
.fine {
  stroke-width: 0.22;
}
.number {
  fill: rgb(var(--v-theme-background));
}
/* Where the bench works. */
path.edge.worked {
  stroke: rgb(var(--v-theme-primary));
}
path.thin:is(.fixed, .stays, .leaves, .joins).worked {
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 1.1;
}
text.worked {
  font-weight: 600;
  text-decoration: underline;
}
</style>
