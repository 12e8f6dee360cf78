<script setup lang="ts">
import { computed } from 'vue'
import { useClasp } from '../../api/clasp'
import FourRulers from '../../drawing/FourRulers.vue'
import { useJobHere } from '../../job/here'
import LoopView from '../../job/LoopView.vue'
import JawsView from '../JawsView.vue'
import ReachChart from './ReachChart.vue'

const { id, figure, part, loop } = useJobHere()
const clasp = useClasp(id)
const sheet = computed(() => clasp.sheet.data.value)
const line = computed(() =>
  part.value === 'measure' ? sheet.value?.lines.find((l) => l.figure === figure.value) : undefined,
)
const hasChart = computed(
  () =>
    part.value === 'choose' &&
    (sheet.value?.present?.effect || sheet.value?.candidates.some((c) => c.effect)),
)
/** The chart and the jaws take the rulers' place. */
const measuring = computed(() => ['measure', 'choose'].includes(part.value))
</script>

<template>
  <JawsView v-if="line" :line="line" />
  <ReachChart v-else-if="hasChart && sheet" :sheet="sheet" />
  <LoopView v-else :rulers="!measuring" />
  <FourRulers v-if="(line || hasChart) && !measuring && loop?.rulers" :rulers="loop.rulers" />
</template>
