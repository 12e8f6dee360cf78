<script setup lang="ts">
import { computed } from 'vue'
import { useClasp } from '../../api/clasp'
import type { GaugedFigure } from '../../api/gauge'
import type { LoopSheet } from '../../api/shop'
import LoopDrawing from '../../loop/LoopDrawing.vue'
import JawsView from '../gauge/JawsView.vue'
import ReachChart from './ReachChart.vue'

const props = defineProps<{
  jobId: number
  figure: GaugedFigure | null
  part: string
  loop: LoopSheet | undefined
}>()
const clasp = useClasp(() => props.jobId)
const sheet = computed(() => clasp.sheet.data.value)
const line = computed(() =>
  props.part === 'measure' ? sheet.value?.lines.find((l) => l.figure === props.figure) : undefined,
)
const hasChart = computed(
  () =>
    props.part === 'choose' &&
    (sheet.value?.present?.effect || sheet.value?.candidates.some((c) => c.effect)),
)
</script>

<template>
  <JawsView v-if="line" :line="line" />
  <ReachChart v-else-if="hasChart && sheet" :sheet="sheet" />
  <div v-else-if="loop?.drawing" class="drawing">
    <LoopDrawing :drawing="loop.drawing" :temper="loop.rulers?.temper" />
  </div>
  <p v-else class="quiet empty">
    The loop is drawn here once lug-to-lug, wrist and wear preference are gauged.
  </p>
</template>

<style scoped>
.drawing {
  min-height: 0;
}
.empty {
  align-self: center;
  text-align: center;
  padding: 0 40px;
}
</style>
