<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { wholeOf } from '../api/refused'
import { asDay } from '../controls/days'
import { parts } from '../stations'
import { provideJob } from './here'
import StationChain from './StationChain.vue'
import { stationAt } from './stations'

const route = useRoute()
const id = computed(() => Number(route.params.id))
const station = computed(() => stationAt(String(route.params.station)))
const { here, read } = provideJob(id, station)
const { wide } = here
const job = computed(() => read.data.value)
/** What is on the screen stays there while the server does not answer: it may hold what is not saved yet. */
const notThere = computed(() => (job.value ? null : read.error.value))
const says = computed(() => job.value?.stations.find((s) => s.station === station.value)?.says)
</script>

<template>
  <section v-if="notThere" class="job">
    <p role="alert" class="says">{{ wholeOf(notThere) }}</p>
  </section>
  <section v-else-if="job" class="job">
    <header class="who">
      <h1>
        {{ job.client }} <span class="watch">{{ job.watch }}</span>
      </h1>
      <p class="quiet">
        Tag <span class="figure">{{ job.id }}</span>, promised {{ asDay(job.promised) }}
        <strong v-if="job.late">— late</strong>
        <strong v-if="job.closedAt">— handed over</strong>
      </p>
    </header>
    <StationChain :job="job" :here="station" />

    <div class="mid" :class="{ wide }">
      <div class="sheet">
        <p class="says" data-testid="says">{{ says }}</p>
        <component :is="parts[station].sheet" :key="`${job.id}-${station}`" />
      </div>
      <div v-if="!wide" class="view">
        <component :is="parts[station].view" :key="`${job.id}-${station}`" />
      </div>
    </div>
    <div class="flat">
      <component :is="parts[station].mat" v-if="parts[station].mat" :key="`${job.id}-${station}`" />
    </div>
  </section>
</template>

<style scoped>
.job {
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr) auto;
  gap: 10px;
  padding: 10px 20px 8px;
  min-height: 100vh;
  height: 100vh;
}
.who {
  min-width: 0;
  overflow-wrap: anywhere;
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: 16px;
}
h1 {
  font-size: 25px;
  font-weight: 600;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  min-width: 0;
}
.who p {
  white-space: nowrap;
}
.watch {
  font-weight: 400;
  color: rgb(var(--v-theme-iron));
}
.mid {
  display: grid;
  grid-template-columns: minmax(400px, 5fr) minmax(0, 6fr);
  gap: 28px;
  min-height: 0;
}
.mid.wide {
  grid-template-columns: minmax(0, 1fr);
}
.sheet {
  display: flex;
  flex-direction: column;
  gap: 12px;
  min-height: 0;
  overflow-y: auto;
  padding: 2px 6px 6px 2px;
}
.view {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  gap: 6px;
  min-height: 0;
}
.flat {
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding-top: 4px;
}
.flat:empty {
  display: none;
}
@media (max-width: 960px) {
  .job {
    height: auto;
    min-height: 0;
  }
  .who {
    display: block;
  }
  h1 {
    white-space: normal;
  }
  .mid {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
