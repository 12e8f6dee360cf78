<script setup lang="ts">
import { saidOf } from '../api/refused'

/** Where a device on the network answers. */
defineProps<{ error: unknown }>()
const host = defineModel<string>('host', { required: true })
const port = defineModel<number>('port', { required: true })
</script>

<template>
  <div class="row">
    <v-text-field v-model="host" label="Host" name="host" :error-messages="saidOf(error, '$.host')" />
    <v-text-field
      :model-value="port"
      label="Port"
      name="port"
      inputmode="numeric"
      :error-messages="saidOf(error, '$.port')"
      @update:model-value="port = Number($event)"
    />
  </div>
</template>

<style scoped src="./settings.css"></style>
