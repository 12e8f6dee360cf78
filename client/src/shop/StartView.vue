<script setup lang="ts">
import { useTitle } from '@vueuse/core'
import { computed, defineAsyncComponent } from 'vue'
import { useDay } from '../api/day'
import { useRack } from '../api/shop'
import DueObservations from './DueObservations.vue'
import { useActs } from '../controls/acts'
import { nameOf } from '../job/stations'
import { tagPath } from './tagPath'

// The frame comes first; the day's own code follows it.
const DayView = defineAsyncComponent(() => import('./DayView.vue'))
const { data: tags } = useRack()
const { day } = useDay()
/** What the day puts first; where it has no list, the tag that is due first. */
const first = computed(() => {
  const next = day.data.value?.lists.flatMap((l) => l.pieces).sort((a, b) => a.from.localeCompare(b.from))[0]
  return tags.value?.find((t) => t.id === next?.jobId) ?? tags.value?.[0]
})
useTitle('Iron Loop')
useActs(() => {
  if (!tags.value) return null
  const takeIn = { says: 'Take in a job', to: '/take-in' }
  return first.value
    ? { lesser: [takeIn], first: { says: `Go on with ${first.value.client}`, to: tagPath(first.value) } }
    : { first: takeIn }
})
const late = computed(() => tags.value?.filter((t) => t.late).length ?? 0)
const today = computed(() => tags.value?.filter((t) => t.today).length ?? 0)
</script>

<template>
  <section class="start">
    <template v-if="tags && !first">
      <h1>No job is on the rack.</h1>
      <p class="says">Take in the first: who, which watch, what is asked for, and when it is promised.</p>
    </template>
    <template v-else-if="first">
      <h1>{{ tags?.length }} {{ tags?.length === 1 ? 'job is' : 'jobs are' }} on the rack.</h1>
      <p class="says">
        {{ late === 0 ? 'None is late' : `${late} late` }}, {{ today === 0 ? 'none' : today }} promised for
        today. First is {{ first.client }}’s {{ first.watch }}, at {{ nameOf(first.next) }}.
      </p>
    </template>
    <DayView v-if="day.data.value && first" :day="day.data.value" />
    <DueObservations />
  </section>
</template>

<style scoped>
.start {
  display: grid;
  gap: 18px;
  justify-items: start;
  align-content: start;
  max-width: 60rem;
  padding: 24px 28px;
}
h1 {
  font-size: 28px;
  font-weight: 600;
}
</style>
