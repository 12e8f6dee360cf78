<script setup lang="ts">
import { ref } from 'vue'
import { saidOf } from '../api/refused'
import { useCaliperSource, type CaliperKind, type CaliperSource } from '../api/gauge'
import { useCaliper } from '../controls/caliper'
import AddressFields from './AddressFields.vue'
import { useSettling } from './settling'
import RefusedLine from '../controls/RefusedLine.vue'
import { useActs } from '../controls/acts'

const { line, settle } = useCaliperSource()
const last = ref<string | null>(null)
const { word, garbage } = useCaliper((typed) => (last.value = typed))
const {
  form: source,
  error,
  kept,
  keep,
} = useSettling<CaliperSource>(
  { kind: 'none', host: '', port: 0, serial: '', baud: 0 },
  () => line.data.value?.source,
  (filled) => settle({ ...filled, baud: Number(filled.baud) }),
)

const kinds: { value: CaliperKind; title: string }[] = [
  { value: 'none', title: 'No line; it types like a keyboard, or there is none' },
  { value: 'standIn', title: 'The stand-in caliper that comes along' },
  { value: 'tcp', title: 'A line over TCP' },
  { value: 'serial', title: 'A serial port' },
]
useActs(() => ({ back: { says: 'Start', to: '/' }, first: { says: 'Save', form: 'caliper' } }))
</script>

<template>
  <section class="settings">
    <h1>The caliper</h1>
    <p class="says">
      A caliper that types its reading and Enter needs nothing set here: put the cursor in a figure. One that
      speaks over a line is set below.
    </p>
    <form id="caliper" @submit.prevent="keep">
      <v-select v-model="source.kind" :items="kinds" label="Where its lines come from" data-field="kind" />
      <AddressFields
        v-if="source.kind === 'tcp'"
        v-model:host="source.host"
        v-model:port="source.port"
        :error="error"
      />
      <div v-if="source.kind === 'serial'" class="row">
        <v-text-field
          v-model="source.serial"
          label="Port’s name"
          name="serial"
          :error-messages="saidOf(error, '$.serial')"
        />
        <v-text-field
          v-model="source.baud"
          label="Baud"
          name="baud"
          inputmode="numeric"
          :error-messages="saidOf(error, '$.baud')"
        />
      </div>
      <p v-if="source.kind === 'standIn'">
        <a v-if="line.data.value?.standInPage" :href="line.data.value.standInPage" target="_blank"
          >Open the stand-in’s panel</a
        >
        <template v-else
          >The stand-in was not started: it comes with the demo, or by the switch --stand-ins.</template
        >
      </p>
      <RefusedLine v-if="error" :of="error" beside-fields />
      <p v-else-if="kept" role="status">Settled.</p>
    </form>
    <p role="status" data-testid="line">
      <strong>{{ word?.connected ? 'The line is up.' : 'The line is down.' }}</strong>
      {{ garbage ?? word?.says }}
    </p>
    <p v-if="last">
      Last reading <span class="figure">{{ last }}</span>.
    </p>
  </section>
</template>

<style scoped src="./settings.css"></style>
