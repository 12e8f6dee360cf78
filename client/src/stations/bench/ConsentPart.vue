<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { ref } from 'vue'
import { useBench, type BenchSheet } from '../../api/bench'
import { saidOf, wholeOf } from '../../api/refused'
import { asMoment } from '../../controls/days'
import SignaturePad from './SignaturePad.vue'

const props = defineProps<{ jobId: number; consent: NonNullable<BenchSheet['consent']> }>()
const paper = useLocalStorage<'a4' | 'letter'>('iron-loop-paper', 'a4')
const { sign } = useBench(() => props.jobId, false)
const signedBy = ref(props.consent.signedBy)
const signature = ref('')
const error = ref<unknown>(null)
async function give(onPaper: boolean) {
  try {
    await sign({ signedBy: signedBy.value, signature: onPaper ? '' : signature.value, onPaper })
    error.value = null
  } catch (refusal) {
    error.value = refusal
  }
}
</script>

<template>
  <p v-if="consent.signed" data-testid="signed">
    Signed by {{ consent.signedBy }}{{ consent.onPaper ? ' on the printed sheet' : '' }},
    {{ consent.signedAt ? asMoment(consent.signedAt) : '' }}.
  </p>
  <form v-else @submit.prevent="give(false)">
    <p>I agree to this, and know that it cannot be undone.</p>
    <v-text-field
      v-model="signedBy"
      density="compact"
      name="signedBy"
      label="Who signs"
      autocomplete="off"
      :error-messages="saidOf(error, '$.signedBy')"
    />
    <SignaturePad v-model="signature" />
    <p v-if="wholeOf(error)" class="refused" role="alert">
      {{ saidOf(error, '$.signature')[0] ?? wholeOf(error) }}
    </p>
    <div class="acts">
      <v-btn type="submit" variant="outlined">Keep this signature</v-btn>
      <v-btn variant="text" :href="`/api/jobs/${jobId}/consent.pdf?paper=${paper}`" target="_blank"
        >Print the sheet</v-btn
      >
      <v-btn variant="text" @click="give(true)">The printed sheet is signed</v-btn>
    </div>
  </form>
</template>

<style scoped>
form {
  display: flex;
  flex-direction: column;
  gap: 6px;
}
</style>
