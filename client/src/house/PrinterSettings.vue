<script setup lang="ts">
import { reactive, ref, watch } from 'vue'
import { useLabelPrinter, type LabelPrinter, type PrinterKind } from '../api/log'
import { saidOf, titleOf } from '../api/refused'

const { printer, settle } = useLabelPrinter()
const form = reactive<LabelPrinter>({ kind: 'none', host: '', port: 9100 })
watch(
  () => printer.data.value?.printer,
  (now) => now && Object.assign(form, now),
  { immediate: true },
)
const kinds: { value: PrinterKind; title: string }[] = [
  { value: 'none', title: 'None; labels are printed as PDF' },
  { value: 'standIn', title: 'The stand-in printer that comes along' },
  { value: 'tcp', title: 'A printer on the network' },
]
const error = ref<unknown>(null)
const kept = ref(false)

async function keep() {
  try {
    await settle({ ...form, port: Number(form.port) })
    error.value = null
    kept.value = true
  } catch (refusal) {
    error.value = refusal
    kept.value = false
  }
}
</script>

<template>
  <section class="settings">
    <h1>The label printer</h1>
    <p class="says">Labels for bags are 62 mm wide and sent as a picture, 300 dots to the inch.</p>
    <form @submit.prevent="keep">
      <v-select v-model="form.kind" :items="kinds" label="Which printer" data-field="printerKind" />
      <div v-if="form.kind === 'tcp'" class="row">
        <v-text-field
          v-model="form.host"
          label="Host"
          name="host"
          :error-messages="saidOf(error, '$.host')"
        />
        <v-text-field
          v-model="form.port"
          label="Port"
          name="port"
          inputmode="numeric"
          :error-messages="saidOf(error, '$.port')"
        />
      </div>
      <p v-if="form.kind === 'standIn' && printer.data.value?.standInPage">
        <a :href="printer.data.value.standInPage" target="_blank">See what the stand-in printed</a>
      </p>
      <v-btn type="submit" color="primary">Settle it</v-btn>
      <p v-if="titleOf(error)" class="refused" role="alert">{{ titleOf(error) }}</p>
      <p v-else-if="kept" role="status">Settled.</p>
    </form>
  </section>
</template>

<style scoped src="./settings.css"></style>
