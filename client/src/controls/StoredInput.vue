<script setup lang="ts">
import { ref, watch } from 'vue'

/** A plain field that is stored as it is left; what is typed in it stays, whatever the server answers of another. */
const props = defineProps<{ stored: string }>()
const emit = defineEmits<{ typed: [text: string] }>()

const text = ref(props.stored)
/** What stood in it when it was last stored or handed on. */
let left = props.stored
watch(
  () => props.stored,
  (now) => {
    if (text.value === left) text.value = left = now
  },
)
function take() {
  if (text.value === left) return
  left = text.value
  emit('typed', text.value)
}
</script>

<template>
  <input v-model="text" autocomplete="off" @change="take" />
</template>
