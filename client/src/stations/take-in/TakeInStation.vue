<script setup lang="ts">
import { computed } from 'vue'
import { useJob, type Job, type LoopSheet, type TakeIn } from '../../api/shop'
import { asMoment } from '../../frame/days'
import { useBench } from '../../api/bench'
import CamePart from '../bench/CamePart.vue'
import NotesPart from '../bench/NotesPart.vue'
import CameWithList from './CameWithList.vue'
import ReferralForm from './ReferralForm.vue'
import TakeInForm from './TakeInForm.vue'

const props = defineProps<{ job: Job; loop?: LoopSheet | undefined }>()
const { correct } = useJob(() => props.job.id)
const { sheet: bench } = useBench(() => props.job.id)
const start = computed<TakeIn>(() => ({
  client: props.job.client,
  contact: props.job.contact,
  watch: props.job.watch,
  request: props.job.request,
  promised: props.job.promised,
  words: props.job.words,
  price: props.job.priceCents === null ? '' : (props.job.priceCents / 100).toFixed(2),
  by: props.job.takenInBy,
  wearer: props.job.wearer,
}))
</script>

<template>
  <TakeInForm
    :start="start"
    act="Put it right"
    :error="correct.error.value"
    :busy="correct.isPending.value"
    :disabled="!job.may.putRight.ok"
    @done="correct.mutate({ body: $event, seen: job.version })"
  />
  <p class="quiet">Taken in {{ asMoment(job.takenInAt) }} by {{ job.takenInBy }}.</p>
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
  <CameWithList :job="job" />
  <hr class="hairline" />
  <ReferralForm :job="job" />
</template>
