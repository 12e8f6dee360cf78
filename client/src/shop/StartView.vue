<script setup lang="ts">
import { useTitle } from '@vueuse/core'
import { computed } from 'vue'
import { useRack } from '../api/shop'
import DueObservations from './DueObservations.vue'
import { useActs } from '../controls/acts'
import { nameOf } from '../job/stations'
import { tagPath } from './tagPath'

const { data: tags } = useRack()
const first = computed(() => tags.value?.[0])
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
    <DueObservations />
  </section>
</template>

<style scoped>
.start {
  display: grid;
  gap: 18px;
  justify-items: start;
  align-content: center;
  min-height: 100%;
  max-width: 34rem;
  margin: 0 auto;
  padding: 24px;
}
h1 {
  font-size: 34px;
  font-weight: 600;
}
</style>
