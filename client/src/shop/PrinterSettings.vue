<script setup lang="ts">
import { useLabelPrinter, type LabelPrinter, type PrinterKind } from '../api/log'
import AddressFields from './AddressFields.vue'
import { useSettling } from './settling'
import RefusedLine from '../controls/RefusedLine.vue'
import { useActs } from '../controls/acts'

const { printer, settle } = useLabelPrinter()
const { form, error, kept, keep } = useSettling<LabelPrinter>(
  { kind: 'none', host: '', port: 9100 },
  () => printer.data.value?.printer,
  settle,
)
const kinds: { value: PrinterKind; title: string }[] = [
  { value: 'none', title: 'None; labels are printed as PDF' },
  { value: 'standIn', title: 'The stand-in printer that comes along' },
  { value: 'tcp', title: 'A printer on the network' },
]
useActs(() => ({ back: { says: 'Start', to: '/' }, first: { says: 'Save', form: 'printer' } }))
</script>

<template>
  <section class="settings">
    <h1>The label printer</h1>
    <p class="says">Labels for bags are 62 mm wide and sent as a picture, 300 dots to the inch.</p>
    <form id="printer" @submit.prevent="keep">
      <v-select v-model="form.kind" :items="kinds" label="Which printer" data-field="printerKind" />
      <AddressFields
        v-if="form.kind === 'tcp'"
        v-model:host="form.host"
        v-model:port="form.port"
        :error="error"
      />
      <p v-if="form.kind === 'standIn' && printer.data.value?.standInPage">
        <a :href="printer.data.value.standInPage" target="_blank">See what the stand-in printed</a>
      </p>
      <RefusedLine v-if="error" :of="error" beside-fields />
      <p v-else-if="kept" role="status">Settled.</p>
    </form>
  </section>
</template>

<style scoped src="./settings.css"></style>
