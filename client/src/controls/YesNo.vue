<script setup lang="ts">
/** A question with its answers as buttons. */
defineProps<{
  asks: string
  /** The answer given, by its word. */
  answer: string | null
  /** What the answers' test names begin with. */
  name: string
  answers?: readonly string[]
  disabled?: boolean
}>()
const emit = defineEmits<{ answered: [answer: string] }>()
</script>

<template>
  <div class="ask">
    <span>{{ asks }}</span>
    <button
      v-for="a in answers ?? ['yes', 'no']"
      :key="a"
      type="button"
      :disabled="disabled"
      :aria-pressed="answer === a"
      :data-answer="`${name}-${a}`"
      @click="emit('answered', a)"
    >
      {{ a }}
    </button>
  </div>
</template>

<style scoped>
.ask {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
  min-height: 44px;
}
.ask span {
  flex: 1;
  min-width: 180px;
}
.ask button {
  min-height: 44px;
  min-width: 56px;
  padding: 0 8px;
  border: 1px solid rgb(var(--v-theme-hairline));
}
.ask button[aria-pressed='true'] {
  border: 2px solid rgb(var(--v-theme-primary));
  font-weight: 600;
}
</style>
