<script setup lang="ts">
import { refDebounced, useTitle } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { useFits } from '../../api/match'
import { wholeOf } from '../../api/refused'
import { useActs } from '../../controls/acts'
import VerdictRing from '../VerdictRing.vue'

const route = useRoute()
useTitle('A band in the hand – Iron Loop')
useActs(() => ({ back: { says: 'Catalogue', to: '/house/catalogue' } }))
const client = ref('')
const { data, error } = useFits(
  computed(() => Number(route.params.id)),
  refDebounced(client, 200),
)
</script>

<template>
  <section class="fits">
    <h1>A band in the hand</h1>
    <p class="says">
      Which of the open jobs it would fit; with a client’s name, which of that client’s watches.
    </p>
    <v-text-field
      v-model="client"
      label="Client, or nothing for the open jobs"
      name="client"
      autocomplete="off"
    />
    <p v-if="error" role="alert">{{ wholeOf(error) }}</p>
    <p v-else-if="data?.length === 0" class="quiet">No watch to hold it against.</p>
    <ul>
      <li v-for="h in data" :key="h.jobId">
        <VerdictRing :verdict="h.verdict" :certainty="h.certainty" />
        <router-link :to="`/jobs/${h.jobId}/match`">{{ h.client }}, {{ h.watch }}</router-link>
        <span class="quiet"
          >tag <span class="figure">{{ h.jobId }}</span>{{ h.closed ? ', handed over' : '' }}</span
        >
        <span class="said">{{ h.says }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.fits {
  padding: 20px;
  max-width: 760px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 10px 0;
}
li {
  display: grid;
  grid-template-columns: 130px 1fr auto;
  align-items: center;
  gap: 0 12px;
  padding: 6px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}
a {
  color: inherit;
  font-weight: 600;
}
.said {
  grid-column: 2 / -1;
}
</style>
