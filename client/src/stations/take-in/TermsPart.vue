<script setup lang="ts">
import { useTakeInSheet, useTerms, type Terms } from '../../api/job'
import type { Job } from '../../api/shop'
import RefusedLine from '../../controls/RefusedLine.vue'

/** Whose work it is, and how it goes back. */
const props = defineProps<{ job: Job }>()
const sheet = useTakeInSheet(() => props.job.id)
const terms = useTerms(() => props.job.id)
function agree(changed: Partial<Terms>) {
  if (sheet.data.value) terms.mutate({ ...sheet.data.value.terms, ...changed })
}
const chosen = (event: Event) => (event.target as HTMLSelectElement).value || null
</script>

<template>
  <div v-if="sheet.data.value" class="terms">
    <select
      class="plain-field"
      name="craft"
      aria-label="Whose work it is"
      :value="sheet.data.value.terms.craft ?? ''"
      :disabled="!job.may.putRight.ok"
      @change="agree({ craft: chosen($event) as Terms['craft'] })"
    >
      <option value="">Whose work: not said</option>
      <option value="benchOnly">The bench is enough</option>
      <option value="needsWatchmaker">A watchmaker has to see it</option>
    </select>
    <select
      class="plain-field"
      name="returns"
      aria-label="How it goes back"
      :value="sheet.data.value.terms.returns ?? ''"
      :disabled="!job.may.putRight.ok"
      @change="agree({ returns: chosen($event) as Terms['returns'] })"
    >
      <option value="">Goes back: not asked</option>
      <option value="collected">Its owner comes for it</option>
      <option value="ownBox">By post, in its own box</option>
      <option value="ourBox">By post, in a box of ours</option>
    </select>
    <label v-if="sheet.data.value.terms.returns && sheet.data.value.terms.returns !== 'collected'"
      ><input
        type="checkbox"
        name="postagePaid"
        :checked="sheet.data.value.terms.postagePaid"
        :disabled="!job.may.putRight.ok"
        @change="agree({ postagePaid: ($event.target as HTMLInputElement).checked })"
      />
      postage paid</label
    >
    <RefusedLine :of="terms.error.value" />
  </div>
</template>

<style scoped>
.terms {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}
label {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  gap: 8px;
}
</style>
