<script setup lang="ts">
import { computed } from 'vue'
import type { BenchPlace } from '../api/bench'
import type { Drawing, Piece, Temper } from '../api/shop'
import { frameOf, headHeight, pathOf, shortened } from './drawing'

const props = defineProps<{
  drawing: Drawing
  temper?: Temper | undefined
  /** Drawn at half the height: the words then need twice the size. */
  small?: boolean
  /** Where the bench step is worked. */
  marked?: BenchPlace | null
}>()

const frame = computed(() => frameOf(props.drawing))
const viewBox = computed(() => {
  const f = frame.value
  return `${f.left} ${f.top} ${f.width} ${f.height}`
})
const back = computed(() => -props.drawing.halfDepthMm)
const pivotY = computed(() => back.value - props.drawing.barRiseMm)
const caseHalf = computed(() => props.drawing.barToBarMm / 2 - 2)
const lugHalf = computed(() => (props.drawing.lugToLugMm ?? props.drawing.barToBarMm + 4) / 2)
const anyAssumed = computed(() => props.drawing.headAssumed || !props.drawing.bandChosen)

// From the case's shoulder out to the lug's tip and back in under it.
const lug = (sign: number) => {
  const y = pivotY.value
  const [c, l] = [caseHalf.value * sign, lugHalf.value * sign]
  return `M${c} ${y - 3.4}L${l - sign * 1.2} ${y - 1.2}L${l} ${y + 1.6}L${l - sign * 1.6} ${y + 1.8}L${c} ${y + 1.4}`
}

const isWorked = (piece: Piece) =>
  !!props.marked &&
  (piece.kind === 'clasp'
    ? props.marked.atClasp
    : piece.side === props.marked.side && props.marked.links.includes(piece.ordinal))
const pieceClass = (piece: Piece) => [piece.kind, piece.fate ?? '', { worked: isWorked(piece) }]
const linkPath = (piece: Piece) => pathOf(shortened(piece.points, 0.35))

/** Outside the band where links leave: a wedge pointing at the joint, and how many. */
const leaving = computed(() =>
  (props.drawing.leaving ?? []).map((run) => {
    const [x, y] = [run.at.x, -run.at.y]
    const far = Math.hypot(x, y) || 1
    const [ux, uy] = [x / far, y / far]
    const off = props.drawing.thicknessMm / 2 + 0.6
    const [tx, ty] = [x + ux * off, y + uy * off]
    const [bx, by] = [tx + ux * 2.6, ty + uy * 2.6]
    return {
      key: `${run.side} ${run.first}`,
      wedge: `M${tx} ${ty}L${bx - uy * 1.4} ${by + ux * 1.4}L${bx + uy * 1.4} ${by - ux * 1.4}Z`,
      x: bx + ux * 2,
      y: by + uy * 2 + 1.1,
      anchor: ux > 0.2 ? 'start' : ux < -0.2 ? 'end' : 'middle',
      says: `${run.count} out`,
      worked:
        !!props.marked &&
        props.marked.side === run.side &&
        props.marked.links.some((l) => l >= run.first && l < run.first + run.count),
    }
  }),
)
const toSix = computed(() => props.drawing.claspCentre.x > props.drawing.lowest.x)
const claspY = computed(() => -props.drawing.claspCentre.y + props.drawing.thicknessMm / 2 + 4.2)
const wanders = computed(() => Math.abs(props.drawing.claspCentre.x - props.drawing.lowest.x) > 0.5)
</script>

<template>
  <svg
    class="loop"
    :class="[temper, { small }]"
    :viewBox="viewBox"
    role="img"
    aria-label="The closed loop round the wrist, to scale"
  >
    <defs>
      <pattern
        id="fixed-hatch"
        width="1.6"
        height="1.6"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width="1.6" height="1.6" class="hatch-ground" />
        <line x1="0" y1="0" x2="0" y2="1.6" class="hatch-line" />
      </pattern>
    </defs>

    <ellipse class="wrist" :rx="drawing.halfWidthMm" :ry="drawing.halfDepthMm" />
    <text class="name" y="1">wrist</text>

    <g class="band" :class="{ assumed: !drawing.bandChosen, tried: drawing.tried }">
      <template v-for="(piece, i) in drawing.pieces" :key="i">
        <path
          class="edge"
          :class="pieceClass(piece)"
          :d="linkPath(piece)"
          :stroke-width="drawing.thicknessMm"
        />
        <path
          class="body"
          :class="pieceClass(piece)"
          :d="linkPath(piece)"
          :stroke-width="Math.max(0.4, drawing.thicknessMm - 0.9)"
        />
      </template>
    </g>

    <g class="head" :class="{ assumed: drawing.headAssumed }">
      <path :d="lug(1)" />
      <path :d="lug(-1)" />
      <path
        :d="`M${-caseHalf} ${back} L${-caseHalf - 1} ${pivotY - 3.4} L${-caseHalf + 2.5} ${back - headHeight} H${caseHalf - 2.5} L${caseHalf + 1} ${pivotY - 3.4} L${caseHalf} ${back} Z`"
      />
      <circle
        v-for="sign in [-1, 1]"
        :key="sign"
        class="bar"
        :cx="(sign * drawing.barToBarMm) / 2"
        :cy="pivotY"
        r="0.8"
      />
    </g>

    <g v-for="run in leaving" :key="run.key" class="leaving" :class="{ worked: run.worked }">
      <path :d="run.wedge" />
      <text :x="run.x" :y="run.y" :text-anchor="run.anchor">{{ run.says }}</text>
    </g>

    <template v-if="drawing.bandChosen">
      <path
        class="mark"
        :d="`M${drawing.lowest.x} ${-drawing.lowest.y + drawing.thicknessMm / 2 + 0.8} l-1.7 3 h3.4 Z`"
      />
      <line
        class="centre"
        :x1="drawing.claspCentre.x"
        :x2="drawing.claspCentre.x"
        :y1="-drawing.claspCentre.y - drawing.thicknessMm / 2 - 1.2"
        :y2="-drawing.claspCentre.y + drawing.thicknessMm / 2 + 1.2"
      />
      <text v-if="wanders" class="wander" :class="{ six: toSix }" :x="drawing.claspCentre.x" :y="claspY">
        clasp
      </text>
    </template>

    <text class="side" :x="frame.left + 3" :y="2">12</text>
    <text class="side" :x="frame.left + frame.width - 3" :y="2">6</text>
    <g class="scale" :transform="`translate(${frame.left + 2} ${frame.top + frame.height - 2.6})`">
      <path d="M0 -1.2 V0 H10 V-1.2" />
      <text x="11.5" y="0.5">10 mm{{ anyAssumed ? ', dashed: assumed' : '' }}</text>
    </g>
  </svg>
</template>

<style scoped>
.loop {
  display: block;
  width: 100%;
  height: 100%;
  min-height: 0;
}
.wrist {
  fill: rgb(var(--v-theme-skin));
  stroke: rgb(var(--v-theme-iron));
  stroke-width: 0.3;
  stroke-dasharray: 1.6 0.9;
}
.name,
.side,
.scale text {
  font: 400 3.2px var(--label);
  fill: rgb(var(--v-theme-iron));
  text-anchor: middle;
}
.small :is(.wander, .scale text) {
  font-size: 5px;
}
.small .name {
  display: none;
}
.leaving path {
  fill: rgb(var(--v-theme-primary));
}
.leaving text {
  font: 400 3.2px var(--label);
  fill: rgb(var(--v-theme-on-surface));
}
.leaving.worked text {
  font-weight: 600;
  text-decoration: underline;
}
.small .leaving text {
  display: none;
}
.wander {
  font: 400 3.2px var(--label);
  fill: rgb(var(--v-theme-primary));
  text-anchor: end;
  transform: translate(-2.4px, 0);
}
.wander.six {
  text-anchor: start;
  transform: translate(2.4px, 0);
}
.side {
  font: 600 4.4px var(--figure);
  fill: rgb(var(--v-theme-on-surface));
}
.scale text {
  text-anchor: start;
}
.scale path {
  fill: none;
  stroke: rgb(var(--v-theme-iron));
  stroke-width: 0.35;
}
.edge,
.body {
  fill: none;
  stroke-linejoin: round;
}
.edge {
  stroke: rgb(var(--v-theme-on-surface));
}
.body {
  stroke: rgb(var(--v-theme-steel));
}
.body.fixed {
  stroke: url('#fixed-hatch');
}
.body.joins {
  stroke: rgb(var(--v-theme-primary));
}
.body.clasp {
  stroke: rgb(var(--v-theme-iron));
}
.body.strap {
  stroke: rgb(var(--v-theme-steel));
}
.hatch-ground {
  fill: rgb(var(--v-theme-steel));
}
.hatch-line {
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 0.8;
}
/* Looked at before any commitment: the links are there, their edges dashed. */
.band.tried .edge {
  stroke-dasharray: 1.2 0.7;
}
.band.tried .body {
  opacity: 0.75;
}
.band.assumed .body {
  stroke: none;
}
.band.assumed .edge {
  stroke-width: 0.4;
  stroke-dasharray: 1.6 0.9;
}
.head path {
  fill: rgb(var(--v-theme-background));
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 0.5;
  stroke-linejoin: round;
}
.head.assumed path {
  stroke-dasharray: 1.6 0.9;
}
.bar {
  fill: rgb(var(--v-theme-on-surface));
}
.mark {
  fill: rgb(var(--v-theme-on-surface));
}
.centre {
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 0.9;
}
.edge.worked {
  stroke: rgb(var(--v-theme-primary));
}
</style>
