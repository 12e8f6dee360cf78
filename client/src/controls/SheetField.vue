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
/** What stood in it when it was last stored or handed on. */
let left = props.stored
// What is being typed meanwhile stays.
watch(
  () => props.stored,
  (now) => {
    if (text.value === left) text.value = left = now
  },
)

function take(again: boolean) {
  if (text.value.trim() === props.stored || (text.value === left && !again)) return
  left = text.value
  emit('typed', text.value)
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
    @keydown.enter="take(true)"
    @blur="take(false)"
  />
</template>
