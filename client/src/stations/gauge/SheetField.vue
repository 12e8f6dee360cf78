<script setup lang="ts">
import { ref, watch } from 'vue'

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

const text = ref(props.stored)
watch(
  () => props.stored,
  (now) => (text.value = now),
)

function take() {
  if (text.value.trim() !== props.stored) emit('typed', text.value)
}
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
    @keydown.enter="take"
    @blur="take"
  />
</template>
