<script setup lang="ts">
import { computed } from 'vue'
import FourRulers from '../drawing/FourRulers.vue'
import LoopDrawing from '../drawing/LoopDrawing.vue'
import { layOutTold, loopTold } from '../drawing/told'
import { useJobHere } from './here'

/** Without rulers, another thing is measured by now. */
withDefaults(defineProps<{ rulers?: boolean; small?: boolean }>(), { rulers: true })
const { job, loop, marked } = useJobHere()
const isWatched = computed(() => ['size', 'bench'].includes(job.value.next))
/** Work that looks for no band and judges no length has no loop to wait for. */
const isWaited = computed(() =>
  job.value.stations.some((s) => (s.station === 'match' || s.station === 'size') && s.used),
)
</script>

<template>
  <div v-if="loop?.drawing" class="drawing">
    <LoopDrawing :drawing="loop.drawing" :small="small" :marked="marked" />
  </div>
  <p v-else-if="isWaited" class="quiet empty">
    The loop is drawn here once lug-to-lug, wrist and wear preference are gauged.
  </p>
  <p v-if="loop" class="unseen" :aria-live="isWatched ? 'polite' : 'off'" data-testid="told">
    {{ loopTold(loop) }} {{ loop.layOut ? layOutTold(loop.layOut) : '' }}
  </p>
  <FourRulers v-if="rulers && loop?.rulers" :rulers="loop.rulers" />
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
@media (max-width: 960px) {
  .drawing {
    height: 300px;
  }
}
</style>
