<script setup lang="ts">
import { useTemplateRef } from 'vue'

/** What lies over the page for a moment: nothing behind it is gone to while it is there. */
defineProps<{ label: string }>()
const emit = defineEmits<{ away: [] }>()
const box = useTemplateRef<HTMLElement>('box')

function within(event: KeyboardEvent) {
  if (event.key === 'Escape') {
    event.preventDefault()
    event.stopPropagation()
    return emit('away')
  }
  if (event.key !== 'Tab') return
  const stops = [...(box.value?.querySelectorAll<HTMLElement>('a[href], button, input') ?? [])]
  const past = event.shiftKey ? stops[0] : stops.at(-1)
  if (document.activeElement !== past) return
  event.preventDefault()
  ;(event.shiftKey ? stops.at(-1) : stops[0])?.focus()
}
</script>

<template>
  <div class="over" @pointerdown.self="emit('away')">
    <section ref="box" role="dialog" aria-modal="true" :aria-label="label" @keydown="within">
      <slot />
    </section>
  </div>
</template>

<style scoped>
.over {
  position: fixed;
  inset: 0;
  z-index: 8;
  display: grid;
  justify-items: center;
  align-items: start;
  padding: 6vh 12px 12px;
  background: rgb(var(--v-theme-on-background), 0.35);
}
section {
  display: flex;
  flex-direction: column;
  gap: 10px;
  width: min(56rem, 100%);
  max-height: 86vh;
  overflow-y: auto;
  padding: 12px 16px;
  border: 2px solid rgb(var(--v-theme-on-background));
  background: rgb(var(--v-theme-background));
}
</style>
