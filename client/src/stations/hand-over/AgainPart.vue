<script setup lang="ts">
import ByField from '../../controls/ByField.vue'
import { reactive, ref } from 'vue'
import { useRouter } from 'vue-router'
import { useQueryClient } from '@tanstack/vue-query'
import { comesAgain } from '../../api/log'
import { saidOf } from '../../api/refused'
import type { HandOverSheet, Job, Request } from '../../api/shop'
import { dayFromNow } from '../../controls/days'
import { requests } from '../../job/requests'
import DraftLine from '../../controls/DraftLine.vue'
import RefusedLine from '../../controls/RefusedLine.vue'
import { useActs } from '../../controls/acts'
import { useDraft } from '../../controls/drafts'

const props = defineProps<{ job: Job; sheet: HandOverSheet }>()
const router = useRouter()
const queries = useQueryClient()
const form = reactive({
  by: props.job.takenInBy,
  words: '',
  promised: dayFromNow(1),
  request: 'refit' as Request,
})
const error = ref<unknown>(null)
const draft = useDraft(
  `again ${props.job.id}`,
  () => ({ words: form.words, request: form.request }),
  (kept) => Object.assign(form, kept),
)

async function again() {
  try {
    const job = await comesAgain(props.job.id, form)
    draft.done()
    await queries.invalidateQueries()
    await router.push(`/jobs/${job.id}/gauge`)
  } catch (refusal) {
    error.value = refusal
  }
}
useActs(() => ({ back: { says: 'Log', to: '/log' }, first: { says: 'Take it in again', form: 'again' } }))
</script>

<template>
  <p>
    A new job begins with what is known: the watch’s figures, the band as it left{{
      sheet.bag.length > 0 ? `, the bag with ${sheet.bag.map((l) => `${l.count} ${l.what}`).join(', ')}` : ''
    }}, how it is worn. Only the wrist is taken anew.
  </p>
  <form id="again" @submit.prevent="again">
    <DraftLine :draft="draft" />
    <v-select
      v-model="form.request"
      :items="requests"
      item-title="title"
      item-value="value"
      density="compact"
      label="Service"
      data-field="request"
    />
    <v-text-field
      v-model="form.promised"
      density="compact"
      type="date"
      label="Promised for"
      name="promised"
      :error-messages="saidOf(error, '$.promised')"
    />
    <ByField v-model="form.by" density="compact" label="Fitter’s initials" :errors="saidOf(error, '$.by')" />
    <v-text-field
      v-model="form.words"
      class="words"
      density="compact"
      label="In the owner’s words"
      name="words"
      :error-messages="saidOf(error, '$.words')"
    />
    <RefusedLine :of="error" beside-fields />
  </form>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 16px;
}
.words {
  grid-column: 1 / -1;
}
.v-btn {
  justify-self: start;
}
</style>
