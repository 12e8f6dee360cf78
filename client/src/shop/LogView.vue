<script setup lang="ts">
import { refDebounced, useTitle } from '@vueuse/core'
import { computed, reactive, ref, watch } from 'vue'
import { useLog, type LogQuestion, type Visit } from '../api/log'
import { wholeOf } from '../api/refused'
import PartTabs from '../controls/PartTabs.vue'
import { useActs } from '../controls/acts'
import { useInAddress } from '../controls/inAddress'
import FiguresPart from './FiguresPart.vue'
import VisitLine from './VisitLine.vue'

const parts = [
  { part: 'jobs', title: 'Jobs' },
  { part: 'figures', title: 'Over time' },
] as const
useTitle('Log – Iron Loop')
useActs(() => ({
  back: { says: 'Start', to: '/' },
  first: { says: 'Take in a job', to: '/take-in', quiet: true },
}))
const part = useInAddress<'jobs' | 'figures'>('part', 'jobs', (word) => parts.some((p) => p.part === word))

const typed = (name: string) => useInAddress<string>(name, '', undefined, 'replace')
const asked = reactive({
  words: typed('words'),
  client: typed('client'),
  watch: typed('watch'),
  part: typed('band'),
  fitter: typed('fitter'),
  width: typed('width'),
  from: typed('from'),
  to: typed('to'),
})
const more = ref(Object.entries(asked).some(([name, value]) => name !== 'words' && value !== ''))
const before = ref<number | null>(null)
const earlier = ref<Visit[]>([])
const question = computed<LogQuestion>(() => ({
  ...Object.fromEntries(Object.entries(asked).filter(([, value]) => value !== '')),
  ...(before.value === null ? {} : { before: before.value }),
}))
watch(asked, () => {
  before.value = null
  earlier.value = []
})
const { data: page, error } = useLog(refDebounced(question, 150))
const visits = computed(() => [...earlier.value, ...(page.value?.visits ?? [])])
const sought = computed(() => Object.values(asked).some((value) => value !== ''))

function goOn() {
  if (page.value?.next == null) return
  earlier.value = visits.value
  before.value = Number(page.value.next)
}
</script>

<template>
  <section class="log">
    <h1>Log</h1>
    <PartTabs :parts="parts" label="The log" :open="part" @open="part = $event" />
    <FiguresPart v-if="part === 'figures'" />
    <template v-else>
      <div class="ask">
        <v-text-field
          v-model="asked.words"
          label="Any words, or tag 12"
          name="words"
          density="compact"
          autocomplete="off"
          autofocus
          clearable
          @click:clear="asked.words = ''"
        />
        <button type="button" class="more" :aria-expanded="more" @click="more = !more">
          {{ more ? 'Fewer questions' : 'By client, watch, part, fitter, width, day' }}
        </button>
      </div>
      <div v-if="more" class="fields">
        <v-text-field v-model="asked.client" label="Client" name="client" density="compact" />
        <v-text-field v-model="asked.watch" label="Watch or maker" name="watch" density="compact" />
        <v-text-field v-model="asked.part" label="Band or part" name="part" density="compact" />
        <v-text-field v-model="asked.fitter" label="Fitter" name="fitter" density="compact" />
        <v-text-field v-model="asked.width" label="Width" name="width" density="compact" />
        <v-text-field v-model="asked.from" type="date" label="From" name="from" density="compact" />
        <v-text-field v-model="asked.to" type="date" label="To" name="to" density="compact" />
      </div>
      <p v-if="error" role="alert">{{ wholeOf(error) }}</p>
      <p v-else-if="visits.length === 0 && page" class="says">
        {{ sought ? 'Nothing in the log answers to that.' : 'Nothing has been logged yet.' }}
      </p>
      <ol v-else>
        <VisitLine v-for="v in visits" :key="v.jobId" :visit="v" />
      </ol>
      <v-btn v-if="page?.next != null && !error" variant="outlined" @click="goOn">Earlier ones</v-btn>
    </template>
  </section>
</template>

<style scoped>
.log {
  display: grid;
  align-content: start;
  gap: 14px;
  padding: 20px 40px 40px;
  max-width: 68rem;
}
h1 {
  font-size: 30px;
  font-weight: 600;
}
.ask {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 16px;
  align-items: center;
}
.more {
  min-height: 44px;
  text-decoration: underline;
  color: rgb(var(--v-theme-primary)) !important;
}
.fields {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 8px 16px;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
.v-btn {
  justify-self: start;
}
@media (max-width: 800px) {
  .log {
    padding: 16px;
  }
  .ask {
    grid-template-columns: 1fr;
  }
  .fields {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
