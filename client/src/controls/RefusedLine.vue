<script setup lang="ts">
import { computed } from 'vue'
import { titleOf, wholeOf } from '../api/refused'

/** A refusal where it belongs, in one line; nothing where nothing was refused. */
const props = defineProps<{
  /** What was refused, or the words for it. */
  of: unknown
  /** Whether the fields beside it say their part themselves. */
  besideFields?: boolean
}>()
const says = computed(() => {
  if (typeof props.of === 'string') return props.of
  return props.besideFields ? titleOf(props.of) : wholeOf(props.of)
})
</script>

<template>
  <p v-if="says" class="refused" role="alert">{{ says }}</p>
</template>
