<script setup lang="ts">
import { computed } from 'vue'
import { usePromisedHour } from '../../api/day'
import { useCorrect } from '../../api/job'
import { wholeOf } from '../../api/refused'
import type { TakeIn } from '../../api/shop'
import RefusedLine from '../../controls/RefusedLine.vue'
import { useActing } from '../../controls/acting'
import { asMoment } from '../../controls/days'
import { useBench } from '../../api/bench'
import { useJobHere } from '../../job/here'
import CamePart from '../CamePart.vue'
import NotesPart from '../NotesPart.vue'
import CameWithList from './CameWithList.vue'
import ReferralForm from '../ReferralForm.vue'
import TermsPart from './TermsPart.vue'
import TakeInForm from './TakeInForm.vue'

const { id, job } = useJobHere()
const correct = useCorrect(id)
const { sheet: bench } = useBench(id)
const setHour = usePromisedHour(id)
const { error, act } = useActing(200)
const start = computed<TakeIn>(() => ({
  client: job.value.client,
  contact: job.value.contact,
  watch: job.value.watch,
  request: job.value.request,
  promised: job.value.promised,
  words: job.value.words,
  price: job.value.priceCents === null ? '' : (job.value.priceCents / 100).toFixed(2),
  by: job.value.takenInBy,
  wearer: job.value.wearer,
}))
</script>

<template>
  <TakeInForm
    :start="start"
    :job="job.id"
    :error="correct.error.value"
    :busy="correct.isPending.value"
    :disabled="!job.may.putRight.ok"
    @done="correct.mutate({ body: $event, seen: job.version })"
  />
  <p class="taken">
    <span class="quiet">Taken in {{ asMoment(job.takenInAt) }} by {{ job.takenInBy }}.</span>
    <label
      >Promised by the hour
      <input
        class="plain-field"
        type="time"
        name="hour"
        :value="job.promisedHour ?? ''"
        :disabled="!job.may.putRight.ok"
        @change="act(() => setHour(($event.target as HTMLInputElement).value))"
    /></label>
  </p>
  <RefusedLine :of="wholeOf(error)" />
  <hr class="hairline" />
  <CamePart v-if="bench.data.value" :job-id="job.id" :sheet="bench.data.value" :open="job.may.putRight.ok" />
  <NotesPart
    v-if="bench.data.value"
    :job-id="job.id"
    :notes="bench.data.value.former"
    :open="false"
    title="Noted at former visits"
  />
  <hr class="hairline" />
  <TermsPart :job="job" />
  <CameWithList :job="job" />
  <hr class="hairline" />
  <ReferralForm :job="job" />
</template>

<style scoped>
.taken {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  align-items: center;
  justify-content: space-between;
}
.taken label {
  display: flex;
  gap: 8px;
  align-items: center;
}
</style>
