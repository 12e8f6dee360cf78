<script setup lang="ts">
import { computed } from 'vue'
import { useBench, type Job, type LoopSheet } from '../../api/shop'
import { wholeOf } from '../../api/refused'

const props = defineProps<{ job: Job; loop?: LoopSheet | undefined }>()
const { steps, tick } = useBench(() => props.job.id)
const last = computed(() => steps.data.value?.filter((s) => s.done).at(-1)?.key)
</script>

<template>
  <p v-if="tick.error.value" class="refused" role="alert">{{ wholeOf(tick.error.value) }}</p>
  <ol v-if="steps.data.value?.length" class="steps">
    <li v-for="s in steps.data.value" :key="s.key" :class="{ done: s.done, next: s.next }">
      <label>
        <input
          type="checkbox"
          :name="s.key"
          :checked="s.done"
          :disabled="tick.isPending.value || job.closedAt !== null || !(s.next || s.key === last)"
          @change="tick.mutate({ key: s.key, done: !s.done })"
        />
        <span>
          <span class="part quiet">{{ s.part }}</span>
          <span class="what">{{ s.what }}</span>
          <span v-if="s.next && s.caution" class="caution">{{ s.caution }}</span>
        </span>
      </label>
    </li>
  </ol>
</template>

<style scoped>
.steps {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  border-top: 1px solid rgb(var(--v-theme-hairline));
}
label {
  display: grid;
  grid-template-columns: 30px 1fr;
  gap: 10px;
  align-items: start;
  min-height: 44px;
  padding: 7px 4px 9px;
}
li.next label {
  cursor: pointer;
  box-shadow: inset 4px 0 0 rgb(var(--v-theme-primary));
  padding-left: 12px;
}
li.next .what {
  font-size: 20px;
  font-weight: 600;
}
li.done .what {
  color: rgb(var(--v-theme-iron));
}
input {
  width: 24px;
  height: 24px;
  margin: 3px 0 0;
  accent-color: rgb(var(--v-theme-primary));
}
.part {
  display: block;
  font-size: 14px;
}
.what,
.caution {
  display: block;
}
.caution {
  margin-top: 4px;
  padding-left: 10px;
  border-left: 3px solid currentColor;
}
.refused {
  color: rgb(var(--v-theme-error));
}
</style>
