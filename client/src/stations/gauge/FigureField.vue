<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Figure } from '../../api/shop'

const props = defineProps<{
  label: string
  name: string
  figure: Figure | null
  errors: string[]
  disabled: boolean
}>()
const emit = defineEmits<{ typed: [text: string] }>()

/** What stands in the field: a measured figure as the core prints it; an assumed one is only hinted at. */
const stored = computed(() => (props.figure && !props.figure.assumed ? props.figure.text : ''))
const text = ref(stored.value)
watch(stored, (now) => (text.value = now))

const hint = computed(() => {
  if (!props.figure) return 'not gauged yet'
  return props.figure.assumed ? `assumed ${props.figure.text}` : props.figure.inches
})

function take() {
  if (text.value.trim() !== stored.value) emit('typed', text.value)
}
</script>

<template>
  <v-text-field
    v-model="text"
    :label="label"
    :name="name"
    autocomplete="off"
    :error-messages="errors"
    :hint="hint"
    persistent-hint
    :disabled="disabled"
    @keydown.enter="take"
    @blur="take"
  />
</template>
