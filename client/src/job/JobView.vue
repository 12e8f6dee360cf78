<script setup lang="ts">
import { useTitle } from '@vueuse/core'
import { computed, nextTick, onMounted, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { wholeOf } from '../api/refused'
import { useActs, type Act } from '../controls/acts'
import { asDay } from '../controls/days'
import { fetchTheRest, partsHere, partsOf } from '../stations'
import { provideJob } from './here'
import type { Station } from '../api/shop'
import type { StationParts } from './station'
import StationChain from './StationChain.vue'
import { isStation, nameOf, pathOf, stationAt, stations } from './stations'

const route = useRoute()
const id = computed(() => Number(route.params.id))
const station = computed(() => stationAt(String(route.params.station)))
const { here, read } = provideJob(id, station)
const { wide } = here
const job = computed(() => read.data.value)
/** What is on the screen stays there while the server does not answer: it may hold what is not saved yet. */
const notThere = computed(() => (job.value ? null : read.error.value))
/** The station that is shown: the one before stays until this one's code is here. */
const shown = shallowRef<{ at: Station; parts: StationParts }>()
const unfetched = shallowRef(false)
watch(
  station,
  async (at) => {
    unfetched.value = false
    const parts = partsHere(at) ?? (await partsOf(at).catch(() => undefined))
    if (at !== station.value) return
    if (parts) shown.value = { at, parts }
    else unfetched.value = true
  },
  { immediate: true },
)
onMounted(() => (window.requestIdleCallback ?? window.setTimeout)(() => void fetchTheRest()))
const hereNow = computed(() => job.value?.stations.find((s) => s.station === station.value))
const says = computed(() => hereNow.value?.says)
const unknown = computed(() =>
  isStation(String(route.params.station)) ? null : String(route.params.station),
)
useTitle(() => (job.value ? `${nameOf(station.value)}, ${job.value.client} – Iron Loop` : 'Iron Loop'))

const router = useRouter()
const to = (at: Station) => `/jobs/${id.value}/${pathOf[at]}`
/** What comes after this station: the one that is next, else the one that follows. */
const after = computed<Act | null>(() => {
  const now = job.value
  if (!now || now.closedAt) return { says: 'To the log', to: '/log' }
  const at = stations.findIndex((s) => s.station === station.value)
  const following = stations
    .slice(at + 1)
    .find((s) => now.stations.find((n) => n.station === s.station)?.used)
  const next = now.next === station.value ? following?.station : now.next
  return next ? { says: `Next: ${nameOf(next)}`, to: to(next) } : null
})
const wanted = computed<Act | null>(() => {
  const wants = hereNow.value?.wants
  if (!wants || job.value?.closedAt) return null
  return {
    says: wants.at === station.value ? `Wanted: ${wants.words}` : `${nameOf(wants.at)}: ${wants.words}`,
    async press() {
      if (wants.at !== station.value) await router.push(to(wants.at))
      here.sought.value = null
      await nextTick()
      here.sought.value = wants.field
    },
  }
})
// Whoever shows the field puts the keyboard on it; what has no place of its own is found by its name.
watch(here.sought, async (field) => {
  if (field === null) return
  for (let i = 0; i < 20 && here.sought.value === field; i++) {
    await new Promise(requestAnimationFrame)
    const found = document.querySelector<HTMLElement>(
      `main [data-figure="${field}"], main [data-field="${field}"] input:not([type=hidden]), main [data-wanted="${field}"]`,
    )
    found?.focus()
    found?.scrollIntoView({ block: 'nearest' })
    if (found) here.sought.value = null
  }
})
useActs(() => {
  if (!job.value) return null
  const at = stations.findIndex((s) => s.station === station.value)
  const former = stations[at - 1]
  return {
    back: former ? { says: former.name, to: to(former.station) } : { says: 'Start', to: '/' },
    first: wanted.value ?? after.value,
  }
})
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
        Tag <span class="figure">{{ job.id }}</span>, promised {{ asDay(job.promised)
        }}{{ job.promisedHour ? ` by ${job.promisedHour}` : '' }}
        <strong v-if="job.late">— late</strong>
        <strong v-if="job.closedAt">— handed over</strong>
      </p>
    </header>
    <StationChain :job="job" :here="station" />

    <div class="mid" :class="{ wide }">
      <div class="sheet">
        <p v-if="unknown" class="refused" role="alert">
          There is no station “{{ unknown }}”; this is {{ nameOf(station) }}.
        </p>
        <p v-if="unfetched" role="alert" class="says">
          This station could not be fetched: the server does not answer. Open it again when it does.
        </p>
        <p v-else class="says" data-testid="says">{{ says }}</p>
        <component :is="shown.parts.sheet" v-if="shown" :key="`${job.id}-${shown.at}`" />
      </div>
      <div v-if="!wide" class="view">
        <component :is="shown.parts.view" v-if="shown" :key="`${job.id}-${shown.at}`" />
      </div>
    </div>
    <div class="flat">
      <component :is="shown.parts.mat" v-if="shown?.parts.mat" :key="`${job.id}-${shown.at}`" />
    </div>
  </section>
</template>

<style scoped>
.job {
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr) auto;
  gap: 10px;
  padding: 10px 20px 8px;
  height: 100%;
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
