<script setup lang="ts">
import type { Visit } from '../api/log'
import { asMoment } from '../controls/days'
import { nameOf, pathOf } from '../job/stations'
import { requests } from '../job/requests'

const props = defineProps<{ visit: Visit }>()
const request = requests.find((r) => r.value === props.visit.request)?.title ?? ''
</script>

<template>
  <li class="visit">
    <p class="head">
      <router-link :to="`/jobs/${visit.jobId}/${pathOf.handOver}`">
        <span
          ><strong>{{ visit.watch }}</strong
          >, tag <span class="figure">{{ visit.jobId }}</span></span
        >
      </router-link>
      <router-link :to="`/clients/${visit.clientId}`">{{ visit.client }}</router-link>
      <span class="quiet">{{ request }}{{ visit.band ? `, ${visit.band}` : '' }}</span>
      <span v-if="!visit.closedAt" class="open">open</span>
    </p>
    <p v-for="(e, i) in visit.entries" :key="i" class="entry">
      <span class="quiet when">{{ asMoment(e.at) }}, {{ e.by }}</span>
      <span
        ><span class="quiet">{{ nameOf(e.station) }}.</span> {{ e.words }}</span
      >
    </p>
  </li>
</template>

<style scoped>
.visit {
  padding: 10px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}
.head,
.entry {
  overflow-wrap: anywhere;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 16px;
}
.head a {
  color: inherit;
  text-underline-offset: 3px;
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
.open {
  border: 1px solid rgb(var(--v-theme-iron));
  padding: 0 8px;
}
.entry {
  display: grid;
  grid-template-columns: 200px 1fr;
  gap: 16px;
  font-size: 16px;
}
.when {
  font-size: 15px;
}
@media (max-width: 800px) {
  .entry {
    grid-template-columns: 1fr;
    gap: 0;
  }
}
</style>
