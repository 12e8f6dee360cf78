<script setup lang="ts">
import { useCameWith, useTakeInSheet } from '../../api/job'
import type { Job } from '../../api/shop'
import { cameWith } from './condition'

const props = defineProps<{ job: Job }>()
const sheet = useTakeInSheet(() => props.job.id)
const count = useCameWith(() => props.job.id)
</script>

<template>
  <div>
    <h2>What came with it</h2>
    <ul>
      <li v-for="line in sheet.data.value?.cameWith" :key="line.what">
        <span>{{ cameWith[line.what] }}</span>
        <button
          v-if="job.may.putRight.ok"
          type="button"
          :disabled="line.count === 0"
          :aria-label="`One ${cameWith[line.what]} less`"
          @click="count.mutate({ ...line, count: line.count - 1 })"
        >
          −
        </button>
        <span class="figure" :data-testid="`came-with-${line.what}`">{{ line.count }}</span>
        <button
          v-if="job.may.putRight.ok"
          type="button"
          :disabled="line.count >= 99"
          :aria-label="`One ${cameWith[line.what]} more`"
          @click="count.mutate({ ...line, count: line.count + 1 })"
        >
          +
        </button>
        <input
          v-if="line.count > 0"
          class="plain-field note"
          :value="line.note ?? ''"
          :name="`note-${line.what}`"
          :aria-label="`Noted of ${cameWith[line.what]}`"
          placeholder="how it is"
          maxlength="200"
          :disabled="!job.may.putRight.ok"
          @change="count.mutate({ ...line, note: ($event.target as HTMLInputElement).value })"
        />
      </li>
    </ul>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 20px;
}
li {
  display: grid;
  grid-template-columns: 1fr 44px 2ch 44px;
  align-items: center;
  text-align: center;
}
li > :first-child {
  text-align: left;
}
.note {
  grid-column: 1 / -1;
  width: 100%;
}
button {
  background: none;
  border: 1px solid rgb(var(--v-theme-hairline));
  border-radius: 2px;
  min-height: 44px;
  font-size: 22px;
}
button:disabled {
  opacity: 0.35;
}
</style>
