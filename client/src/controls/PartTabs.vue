<script setup lang="ts" generic="T extends string">
/** The parts of a station's sheet, one open at a time. */
defineProps<{ parts: readonly { part: T; title: string }[]; label: string; open: T }>()
const emit = defineEmits<{ open: [part: T] }>()
</script>

<template>
  <div class="parts" role="tablist" :aria-label="label">
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
