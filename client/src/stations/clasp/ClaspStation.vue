<script setup lang="ts">
import { computed } from 'vue'
import { useJob, type Job, type LoopSheet } from '../../api/shop'
import { wholeOf } from '../../api/refused'

const props = defineProps<{ job: Job; loop?: LoopSheet | undefined }>()
const { keepClasp } = useJob(() => props.job.id)
const clasp = computed(() => props.job.band?.clasp)
const side = computed(() => (clasp.value?.microSide === 'twelve' ? '12' : '6'))
</script>

<template>
  <template v-if="job.band">
    <h2>{{ job.band.claspName }}</h2>
    <dl v-if="clasp">
      <dt>12 side, last pivot to centre</dt>
      <dd class="figure">{{ clasp.twelveMm }} mm</dd>
      <dt>6 side, centre to last pivot</dt>
      <dd class="figure">{{ clasp.sixMm }} mm</dd>
      <dt>Micro positions</dt>
      <dd class="figure">{{ clasp.positions }}</dd>
      <template v-if="clasp.positions > 1">
        <dt>Each adds</dt>
        <dd class="figure">{{ clasp.stepMm }} mm on the {{ side }} side</dd>
        <dt>Adjusts in all</dt>
        <dd class="figure">{{ clasp.adjustsMm }} mm</dd>
        <dt>Stands in now</dt>
        <dd class="figure">position {{ clasp.position + 1 }} from the tight end</dd>
      </template>
      <template v-else>
        <dt>Micro-adjust</dt>
        <dd>none: nothing is left for hot or cold days</dd>
      </template>
    </dl>
    <dl v-else>
      <dt>Buckle piece, lug end to bar</dt>
      <dd class="figure">{{ job.band.bucklePieceMm }} mm</dd>
      <dt>Holes in the tail</dt>
      <dd class="figure">{{ job.band.holes }}</dd>
    </dl>
    <p v-if="job.claspKept"><strong>Kept.</strong></p>
    <template v-else-if="!job.closedAt">
      <p class="quiet">Look at it: does it close, stay closed, and show no worn edge?</p>
      <div>
        <v-btn color="primary" :loading="keepClasp.isPending.value" @click="keepClasp.mutate()"
          >Keep this clasp</v-btn
        >
      </div>
    </template>
    <p v-if="keepClasp.error.value" class="refused" role="alert">{{ wholeOf(keepClasp.error.value) }}</p>
  </template>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 6px 18px;
  margin: 0;
}
dt {
  color: rgb(var(--v-theme-iron));
}
dd {
  margin: 0;
}
h2::first-letter {
  text-transform: uppercase;
}
.refused {
  color: rgb(var(--v-theme-error));
}
</style>
