<script setup lang="ts">
import { tenths } from '../../api/tenths'
import { computed } from 'vue'
import type { ClaspEffect, ClaspSheet } from '../../api/clasp'
import LengthsAxis from '../../drawing/LengthsAxis.vue'
import LengthsLine from '../../drawing/LengthsLine.vue'
import { besideOf } from './chart'

const props = defineProps<{ sheet: ClaspSheet }>()
const rows = computed(() => besideOf(props.sheet))
const target = computed(() => props.sheet.targetMm ?? 0)
const window = computed(() => props.sheet.windowMm ?? 0)
const offCentre = (e: ClaspEffect) =>
  Math.abs(e.offCentreMm) < 0.05
    ? 'centred'
    : `${tenths(Math.abs(e.offCentreMm))} mm to ${e.offCentreMm > 0 ? '6' : '12'}`
</script>

<template>
  <div
    v-if="rows.length > 0 && sheet.targetMm !== null"
    class="chart"
    tabindex="0"
    role="group"
    aria-label="Lengths each clasp can make"
  >
    <p class="lead">
      Every length each clasp can make near the <span class="figure">{{ tenths(target) }} mm</span> wanted;
      shaded is what can be worn.
    </p>
    <div v-for="row in rows" :key="row.key" class="row" :class="{ chosen: row.chosen }" :data-row="row.key">
      <div class="name">
        <strong>{{ row.name }}</strong>
        <span class="quiet">{{ row.present ? 'present' : row.key }}</span>
        <span v-if="row.cures" class="cures">cures it</span>
      </div>
      <LengthsLine
        :lengths="row.effect.lengths"
        :target="target"
        :window="window"
        :best="row.effect.lengthMm"
        :label="`${row.name}: best ${tenths(row.effect.lengthMm)} mm`"
      />
      <div class="facts figure">
        <span>{{ tenths(row.effect.lengthMm) }} mm</span>
        <span>{{ offCentre(row.effect) }}</span>
        <span v-if="row.effect.adjusts"
          >−{{ tenths(row.effect.tighterMm) }} / +{{ tenths(row.effect.looserMm) }} mm</span
        >
        <span v-else>no adjust</span>
        <span>gap {{ tenths(row.effect.largestGapMm) ?? '–' }} mm</span>
      </div>
    </div>
    <div class="axis"><LengthsAxis :target="target" /></div>
    <p class="quiet legend">
      Best loop, where its clasp sits, left to tighten and to loosen, largest gap between sizes.
    </p>
  </div>
</template>

<style scoped>
.chart {
  display: flex;
  flex-direction: column;
  gap: 2px;
  overflow-y: auto;
  min-height: 0;
  padding-right: 6px;
}
.lead {
  padding-bottom: 4px;
}
.row {
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding: 3px 0 4px 8px;
}
.row.chosen {
  box-shadow: inset 4px 0 0 rgb(var(--v-theme-primary));
}
.name {
  display: flex;
  gap: 10px;
  align-items: baseline;
}
.name strong::first-letter {
  text-transform: uppercase;
}
.cures {
  font-weight: 600;
  color: rgb(var(--v-theme-primary));
}
.axis {
  padding-left: 8px;
}
.facts {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0 12px;
  font-size: 14px;
}
.legend {
  font-size: 15px;
}
</style>
