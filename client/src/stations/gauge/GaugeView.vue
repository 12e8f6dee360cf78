<script setup lang="ts">
import { computed } from 'vue'
import { useGauge, type GaugedFigure } from '../../api/gauge'
import type { LoopSheet } from '../../api/shop'
import LoopDrawing from '../../loop/LoopDrawing.vue'
import JawsView from './JawsView.vue'
import WristHistory from './WristHistory.vue'

const props = defineProps<{ jobId: number; figure: GaugedFigure | null; loop: LoopSheet | undefined }>()
const gauge = useGauge(() => props.jobId)
const line = computed(() => gauge.sheet.data.value?.lines.find((l) => l.figure === props.figure))
</script>

<template>
  <div class="side">
    <div v-if="line" class="aid">
      <JawsView :line="line" />
      <WristHistory v-if="line.of === 'wrist'" :visits="gauge.sheet.data.value?.wristHistory ?? []" />
    </div>
    <div class="loop">
      <LoopDrawing
        v-if="loop?.drawing"
        :drawing="loop.drawing"
        :temper="loop.rulers?.temper"
        :small="line !== undefined"
      />
      <p v-else class="quiet empty">
        The loop is drawn here once lug-to-lug, wrist and wear preference are gauged.
      </p>
      <p v-if="loop?.figures" class="need">
        Needs <span class="figure">{{ loop.figures.neededMm.toFixed(1) }} mm</span> at no ease, give or take
        <span class="figure">{{ loop.figures.sigmaMm.toFixed(1) }} mm</span>; aim
        <span class="figure">{{ loop.figures.targetMm.toFixed(1) }} mm</span>.
      </p>
    </div>
  </div>
</template>

<style scoped>
.side {
  display: grid;
  grid-template-rows: minmax(0, 5fr) minmax(0, 6fr);
  gap: 8px;
  min-height: 0;
}
.aid {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  min-height: 0;
}
.loop {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  min-height: 0;
}
.side > .loop:only-child {
  grid-row: 1 / -1;
}
.empty {
  align-self: center;
  text-align: center;
  padding: 0 40px;
}
.need {
  text-align: center;
}
</style>
