<script setup lang="ts">
import { watchEffect } from 'vue'
import { useDoor } from '../api/door'

/** Whose hand it was: whoever is signed in, else as typed. */
defineProps<{ label: string; errors: string[]; disabled?: boolean }>()
const by = defineModel<string>({ required: true })
const { initials } = useDoor()
watchEffect(() => {
  if (initials.value) by.value = initials.value
})
</script>

<template>
  <v-text-field
    v-model="by"
    :label="label"
    name="by"
    autocomplete="off"
    :readonly="initials !== null"
    :disabled="disabled"
    :error-messages="errors"
  />
</template>
