<script setup lang="ts">
import { computed } from 'vue'
import { useJob, type Job, type LoopSheet, type TakeIn } from '../../api/shop'
import { asMoment } from '../../frame/days'
import TakeInForm from './TakeInForm.vue'

const props = defineProps<{ job: Job; loop?: LoopSheet | undefined }>()
const { correct } = useJob(() => props.job.id)
const start = computed<TakeIn>(() => ({
  client: props.job.client,
  contact: props.job.contact,
  watch: props.job.watch,
  request: props.job.request,
  promised: props.job.promised,
  words: props.job.words,
  by: props.job.takenInBy,
}))
</script>

<template>
  <TakeInForm
    :start="start"
    act="Put it right"
    :error="correct.error.value"
    :busy="correct.isPending.value"
    :disabled="job.closedAt !== null"
    @done="correct.mutate($event)"
  />
  <p class="quiet">Taken in {{ asMoment(job.takenInAt) }} by {{ job.takenInBy }}.</p>
</template>
