<script setup lang="ts">
import { reactive, ref, watch } from 'vue'
import { saidOf, titleOf } from '../api/refused'
import { useCaliperSource, type CaliperKind, type CaliperSource } from '../api/gauge'
import { useCaliper } from '../stations/gauge/caliper'

const { line, settle } = useCaliperSource()
const last = ref<string | null>(null)
const { word, garbage } = useCaliper((typed) => (last.value = typed))
const source = reactive<CaliperSource>({ kind: 'none', host: '', port: 0, serial: '', baud: 0 })
watch(
  () => line.data.value?.source,
  (now) => now && Object.assign(source, now),
  { immediate: true },
)

const kinds: { value: CaliperKind; title: string }[] = [
  { value: 'none', title: 'No line; it types like a keyboard, or there is none' },
  { value: 'standIn', title: 'The stand-in caliper that comes along' },
  { value: 'tcp', title: 'A line over TCP' },
  { value: 'serial', title: 'A serial port' },
]
const error = ref<unknown>(null)

async function keep() {
  try {
    await settle({ ...source, port: Number(source.port), baud: Number(source.baud) })
    error.value = null
  } catch (refusal) {
    error.value = refusal
  }
}
</script>

<template>
  <section class="settings">
    <h1>The caliper</h1>
    <p class="says">
      A caliper that types its reading and Enter needs nothing settled here: put the cursor in a figure. One
      that speaks over a line is settled below.
    </p>
    <form @submit.prevent="keep">
      <v-select v-model="source.kind" :items="kinds" label="Where its lines come from" data-field="kind" />
      <div v-if="source.kind === 'tcp'" class="row">
        <v-text-field
          v-model="source.host"
          label="Host"
          name="host"
          :error-messages="saidOf(error, '$.host')"
        />
        <v-text-field
          v-model="source.port"
          label="Port"
          name="port"
          inputmode="numeric"
          :error-messages="saidOf(error, '$.port')"
        />
      </div>
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
      <v-btn type="submit" color="primary">Settle it</v-btn>
      <p v-if="titleOf(error)" class="refused" role="alert">{{ titleOf(error) }}</p>
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
