<script setup lang="ts">
import { useStored } from './stored'

/** A plain field that is stored as it is left; what is typed in it stays, whatever the server answers of another. */
const props = defineProps<{ stored: string }>()
const emit = defineEmits<{ typed: [text: string] }>()

const { text, take } = useStored(
  () => props.stored,
  (typed) => emit('typed', typed),
)
</script>

<template>
  <input v-model="text" autocomplete="off" @change="take()" />
</template>
