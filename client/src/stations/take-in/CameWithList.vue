<script setup lang="ts">
import { computed, reactive } from 'vue'
import { useCameWith, useTakeInSheet } from '../../api/job'
import type { Job } from '../../api/shop'
import { cameWith } from './condition'
import StoredInput from '../../controls/StoredInput.vue'

const props = defineProps<{ job: Job }>()
const sheet = useTakeInSheet(() => props.job.id)
const count = useCameWith(() => props.job.id)
type Line = Parameters<typeof count.mutateAsync>[0]
/** What is said of a kind of thing and not answered yet: two presses in one breath are two more. */
const said = reactive(new Map<Line['what'], Line>())
const lines = computed(() => sheet.data.value?.cameWith.map((line) => said.get(line.what) ?? line))
let last: Promise<unknown> = Promise.resolve()
function put(line: Line) {
  said.set(line.what, line)
  last = last
    .then(() => count.mutateAsync(line))
    .catch(() => undefined)
    .finally(() => said.get(line.what) === line && said.delete(line.what))
}
</script>

<template>
  <div>
    <h2>What came with it</h2>
    <ul>
      <li v-for="line in lines" :key="line.what">
        <span>{{ cameWith[line.what] }}</span>
        <button
          v-if="job.may.putRight.ok"
          type="button"
          :disabled="line.count === 0"
          :aria-label="`One ${cameWith[line.what]} less`"
          @click="put({ ...line, count: line.count - 1 })"
        >
          −
        </button>
        <span class="figure" :data-testid="`came-with-${line.what}`">{{ line.count }}</span>
        <button
          v-if="job.may.putRight.ok"
          type="button"
          :disabled="line.count >= 99"
          :aria-label="`One ${cameWith[line.what]} more`"
          @click="put({ ...line, count: line.count + 1 })"
        >
          +
        </button>
        <StoredInput
          v-if="line.count > 0"
          class="plain-field note"
          :stored="line.note ?? ''"
          :name="`note-${line.what}`"
          :aria-label="`Noted of ${cameWith[line.what]}`"
          placeholder="how it is"
          maxlength="200"
          :disabled="!job.may.putRight.ok"
          @typed="put({ ...line, note: $event })"
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
