<script setup lang="ts">
import { reactive } from 'vue'
import { useGoBackUnworked } from '../../api/job'
import { saidOf, titleOf } from '../../api/refused'
import type { Job } from '../../api/shop'
import ByField from '../../controls/ByField.vue'
import DraftLine from '../../controls/DraftLine.vue'
import RefusedLine from '../../controls/RefusedLine.vue'
import { useDraft } from '../../controls/drafts'

/** The watch goes back as it came, and why. */
const props = defineProps<{ job: Job }>()
const { mutate, error, isPending } = useGoBackUnworked(() => props.job.id)
const told = reactive({ by: props.job.takenInBy, why: '' })
const draft = useDraft(
  `unworked ${props.job.id}`,
  () => told.why,
  (kept) => (told.why = kept),
)
</script>

<template>
  <details>
    <summary>It goes back as it came</summary>
    <p v-if="!job.may.goBackUnworked.ok" class="quiet">{{ job.may.goBackUnworked.why }}</p>
    <form v-else @submit.prevent="mutate({ ...told }, { onSuccess: () => draft.done() })">
      <DraftLine :draft="draft" />
      <v-text-field
        v-model="told.why"
        density="compact"
        label="Why: what the owner is told"
        name="unworkedWhy"
        autocomplete="off"
        :error-messages="saidOf(error, '$.why')"
      />
      <ByField
        v-model="told.by"
        density="compact"
        label="Fitter’s initials"
        :errors="saidOf(error, '$.by')"
      />
      <v-btn variant="outlined" type="submit" :loading="isPending">Give it back unworked</v-btn>
      <RefusedLine :of="error ? titleOf(error) : null" />
    </form>
  </details>
</template>

<style scoped>
summary {
  min-height: 44px;
  padding-top: 10px;
  cursor: pointer;
}
form {
  display: grid;
  grid-template-columns: 3fr 1fr;
  gap: 6px 16px;
  align-items: start;
}
form > .v-btn {
  justify-self: start;
}
</style>
