<script setup lang="ts">
import { tenths } from '../api/tenths'
import { useTitle } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { useClient } from '../api/log'
import { useDoor } from '../api/door'
import { wholeOf } from '../api/refused'
import { useActs } from '../controls/acts'
import { asMoment } from '../controls/days'
import { dropDrafts } from '../controls/drafts'
import { pathOf } from '../job/stations'
import { requests } from '../job/requests'
import RefusedLine from '../controls/RefusedLine.vue'

const route = useRoute()
const id = computed(() => Number(route.params.id))
const { client: read, erase } = useClient(id)
const client = computed(() => read.data.value)
const sure = ref(false)
const { mayAs } = useDoor()
const isFitter = mayAs('fitter')
const isLead = mayAs('lead')
/** What was typed of them and not saved is forgotten with them. */
function forgetDrafts() {
  const jobs = client.value?.watches.flatMap((w) => w.visits.map((v) => v.visit.jobId)) ?? []
  const name = client.value?.name ?? ''
  dropDrafts(
    (text, form) => (name !== '' && text.includes(name)) || jobs.some((job) => form.endsWith(` ${job}`)),
  )
}
useTitle(() => `${client.value?.name ?? 'Client'} – Iron Loop`)
useActs(() => ({ back: { says: 'Log', to: '/log' }, first: { says: 'Take in a job', to: '/take-in' } }))
const requestOf = (value: string) => requests.find((r) => r.value === value)?.title ?? ''
</script>

<template>
  <section class="client">
    <p v-if="read.error.value" role="alert">{{ wholeOf(read.error.value) }}</p>
    <template v-if="client">
      <h1>
        {{ client.name }} <span class="quiet contact">{{ client.contact }}</span>
      </h1>
      <section v-for="w in client.watches" :key="w.watchId">
        <h2>{{ w.watch }}</h2>
        <ol>
          <li v-for="v in w.visits" :key="v.visit.jobId" :class="{ open: !v.visit.closedAt }">
            <p>
              <router-link :to="`/jobs/${v.visit.jobId}/${pathOf.handOver}`">
                {{ asMoment(v.visit.takenInAt).split(',')[0] }}, tag
                <span class="figure">{{ v.visit.jobId }}</span>
              </router-link>
              {{ requestOf(v.visit.request)
              }}<template v-if="v.wristMm != null"
                >, wrist <span class="figure">{{ tenths(Number(v.wristMm)) }} mm</span></template
              >
            </p>
            <p>{{ v.done }}</p>
            <p class="quiet">{{ v.figures }}</p>
            <p v-if="v.bag.length > 0">
              Bag:
              {{ v.bag.map((l) => `${l.count} ${l.what}${l.fits ? ` for the ${l.fits}` : ''}`).join(', ') }}
            </p>
          </li>
        </ol>
      </section>
      <section class="kept">
        <h2>{{ client.forgotten ? 'What was forgotten' : 'What is kept, and why' }}</h2>
        <p v-if="!client.forgotten">{{ client.keptAndWhy }}</p>
        <p class="acts">
          <a v-if="isFitter && !client.forgotten" :href="`/api/clients/${id}.vcf`">As vCard</a>
          <a v-if="isLead" :href="`/api/clients/${id}/data`" target="_blank">All that is held, as JSON</a>
        </p>
        <section v-if="client.forgotten" class="receipt" aria-label="Receipt" role="status">
          <h3>Forgotten on {{ asMoment(client.forgotten.at) }}</h3>
          <p v-for="line in client.forgotten.takenOut" :key="line">{{ line }}</p>
          <p>{{ client.forgotten.backups }}</p>
          <p>Not reached: {{ client.forgotten.notReached.join(' ') }}</p>
          <p>
            <a :href="`/api/clients/${id}/forgotten.pdf`" target="_blank"
              >The receipt as PDF, for the person</a
            >
          </p>
        </section>
        <template v-else-if="isLead">
          <v-btn v-if="!sure" variant="outlined" @click="sure = true">Forget this client…</v-btn>
          <div v-else class="acts">
            <p>This cannot be taken back. Backups made before are written anew; that can take a minute.</p>
            <v-btn
              color="primary"
              :loading="erase.isPending.value"
              @click="erase.mutate(undefined, { onSuccess: forgetDrafts })"
              >Forget {{ client.name }}</v-btn
            >
            <v-btn variant="text" @click="sure = false">Leave it</v-btn>
          </div>
        </template>
        <RefusedLine :of="erase.error.value" />
      </section>
    </template>
  </section>
</template>

<style scoped>
.client {
  display: grid;
  gap: 18px;
  padding: 20px 40px 40px;
  max-width: 62rem;
}
h1 {
  font-size: 30px;
  font-weight: 600;
}
.contact {
  font-size: 18px;
  font-weight: 400;
  margin-left: 12px;
}
ol {
  list-style: none;
  margin: 6px 0 0;
  padding: 0 0 0 22px;
  /* The line of visits. */
  border-left: 2px solid rgb(var(--v-theme-iron));
}
li {
  position: relative;
  padding: 4px 0 12px;
}
li::before {
  content: '';
  position: absolute;
  left: -29px;
  top: 11px;
  width: 12px;
  height: 12px;
  border: 2px solid rgb(var(--v-theme-iron));
  border-radius: 50%;
  background: rgb(var(--v-theme-iron));
}
li.open::before {
  background: rgb(var(--v-theme-background));
}
a {
  color: rgb(var(--v-theme-primary));
  font-weight: 600;
}
.kept {
  display: grid;
  gap: 10px;
  justify-items: start;
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding-top: 12px;
}
.receipt {
  display: grid;
  gap: 6px;
  border-left: 4px solid rgb(var(--v-theme-primary));
  padding-left: 12px;
}
</style>
