<script setup lang="ts">
import { tenths } from '../../api/tenths'
import { computed } from 'vue'
import { useGauge } from '../../api/gauge'
import { useJobHere } from '../../job/here'
import LoopView from '../../job/LoopView.vue'
import JawsView from '../JawsView.vue'
import WristHistory from './WristHistory.vue'

const { id, figure, loop } = useJobHere()
const gauge = useGauge(id)
const line = computed(() => gauge.sheet.data.value?.lines.find((l) => l.figure === figure.value))
</script>

<template>
  <div class="side">
    <div v-if="line" class="aid">
      <JawsView :line="line" />
      <WristHistory v-if="line.of === 'wrist'" :visits="gauge.sheet.data.value?.wristHistory ?? []" />
    </div>
    <div class="loop">
      <LoopView :rulers="false" :small="line !== undefined" />
      <p v-if="loop?.figures" class="need">
        Needs <span class="figure">{{ tenths(loop.figures.neededMm) }} mm</span> at no ease, give or take
        <span class="figure">{{ tenths(loop.figures.sigmaMm) }} mm</span>; aim
        <span class="figure">{{ tenths(loop.figures.targetMm) }} mm</span>.
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
.need {
  text-align: center;
}
</style>
