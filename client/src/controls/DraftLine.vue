<script setup lang="ts">
import type { useDraft } from './drafts'

/** Offers again what was typed here before and not saved, and says that what is typed now is kept. */
defineProps<{ draft: ReturnType<typeof useDraft> }>()
</script>

<template>
  <p v-if="draft.offered.value" class="draft" role="status">
    Typed here on {{ draft.offered.value.says }} and not saved.
    <button type="button" class="plain" @click="draft.take()">Take it up</button>
    <button type="button" class="plain" @click="draft.drop()">Throw it away</button>
  </p>
  <p v-else-if="draft.isTyped.value" class="draft quiet" role="status">
    Not saved yet; it stays here as a draft when you leave.
  </p>
</template>

<style scoped>
.draft {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  grid-column: 1 / -1;
  font-size: 15px;
}
</style>
