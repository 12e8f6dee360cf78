<script setup lang="ts">
import { ref, watch } from 'vue'
import { useBench, type BenchSheet, type JointGroup } from '../../api/bench'
import type { Job } from '../../api/shop'
import { nameOf, pathOf } from '../../job/stations'
import FigureLines from '../FigureLines.vue'
import JointsPart from './JointsPart.vue'
import { openable } from './words'
import RefusedLine from '../../controls/RefusedLine.vue'

/** What can be gauged only when it is open: chosen, opened, gauged, and kept in the tray until the rest is approved. */
const props = defineProps<{ job: Job; sheet: BenchSheet; open: boolean }>()
const { openFirst } = useBench(() => props.job.id, false)
const chosen = ref<JointGroup[]>([])
watch(
  () => props.sheet.toGauge?.chosen,
  (now) => (chosen.value = [...(now ?? [])]),
  { immediate: true },
)
const error = ref<unknown>(null)
async function choose() {
  try {
    await openFirst(chosen.value)
    error.value = null
  } catch (refusal) {
    error.value = refusal
  }
}
</script>

<template>
  <section v-if="sheet.toGauge" class="gauged">
    <template v-if="sheet.toGauge.kept">
      <p class="what">It lies open; its tray is kept.</p>
      <p>
        Gauge it now. The figures go to Clasp and Match; order what is wanted there, agree the rest, and the
        steps go on from how it lies.
      </p>
      <FigureLines :lines="sheet.toGauge.lines" :job-id="job.id" :disabled="!open" />
      <p>
        <v-btn variant="outlined" :to="`/jobs/${job.id}/${pathOf[job.next]}`"
          >On to {{ nameOf(job.next) }}</v-btn
        >
      </p>
      <JointsPart :job-id="job.id" :sheet="sheet" :groups="sheet.toGauge.chosen" :open="open" />
    </template>
    <form v-else-if="open && sheet.steps.every((s) => !s.done)" @submit.prevent="choose">
      <fieldset>
        <legend>Open to gauge</legend>
        <p class="quiet">
          A pin, tube, bore, slim bar or slot that cannot be read closed: open it first, and agree the rest by
          what is found.
        </p>
        <label v-for="g in sheet.toGauge.groups" :key="g" class="choice">
          <input v-model="chosen" type="checkbox" name="openFirst" :value="g" @change="choose" />
          {{ openable[g] }}
        </label>
      </fieldset>
      <RefusedLine :of="error" />
    </form>
  </section>
</template>

<style scoped>
.gauged {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.what {
  font-size: 23px;
  font-weight: 600;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
}
legend {
  font-size: 17px;
  font-weight: 600;
  padding: 0;
}
.choice {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 44px;
}
.choice input {
  width: 22px;
  height: 22px;
}
</style>
