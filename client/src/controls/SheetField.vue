<script setup lang="ts">
import { useStored } from './stored'

/** A field of a sheet that is stored as it is left; what stands in it is what the server holds. */
const props = defineProps<{
  label: string
  name: string
  stored: string
  errors: string[]
  unsaved?: string | undefined
  hint?: string | undefined
  disabled: boolean
}>()
const emit = defineEmits<{ typed: [text: string] }>()

const { text, take } = useStored(
  () => props.stored,
  (typed) => emit('typed', typed),
)
</script>

<template>
  <v-text-field
    v-model="text"
    density="compact"
    :label="label"
    :name="name"
    autocomplete="off"
    :error-messages="unsaved === undefined ? errors : [`Not saved yet: ${unsaved}`]"
    :hint="hint"
    :persistent-hint="hint !== undefined"
    :disabled="disabled"
    @keydown.enter="take(true)"
    @blur="take(false)"
  />
</template>
