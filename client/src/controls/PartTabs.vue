<script setup lang="ts" generic="T extends string">
import { computed, useTemplateRef } from 'vue'
import { useRoute } from 'vue-router'
import { useRoving } from './roving'

/** The parts of a station's sheet, one open at a time; one stop for Tab. */
const props = defineProps<{ parts: readonly { part: T; title: string }[]; label: string; open: T }>()
const emit = defineEmits<{ open: [part: T] }>()
const row = useTemplateRef<HTMLElement>('row')
useRoving(row, '[role=tab]', '[aria-selected=true]')
const route = useRoute()
/** A part that the address names and nobody knows. */
const unknown = computed(() => {
  const named = route?.query.part
  return typeof named === 'string' && !props.parts.some((p) => p.part === named) ? named : null
})
</script>

<template>
  <div ref="row" class="parts" role="tablist" :aria-label="label">
    <button
      v-for="p in parts"
      :key="p.part"
      type="button"
      role="tab"
      :aria-selected="open === p.part"
      @click="emit('open', p.part)"
    >
      {{ p.title }}
    </button>
  </div>
  <p v-if="unknown" class="refused" role="alert">
    There is no part “{{ unknown }}” here; this is {{ parts.find((p) => p.part === open)?.title }}.
  </p>
</template>

<style scoped>
.parts {
  display: flex;
  gap: 4px;
}
.parts button {
  flex: 1;
  min-height: 44px;
  font-weight: 600;
  border: 1px solid rgb(var(--v-theme-hairline));
  border-bottom-width: 3px;
}
.parts button[aria-selected='true'] {
  border-color: rgb(var(--v-theme-on-surface));
  border-bottom-color: rgb(var(--v-theme-primary));
}
</style>
