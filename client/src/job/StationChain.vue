<script setup lang="ts">
import { useTemplateRef } from 'vue'
import type { Job, Station } from '../api/shop'
import { useRoving } from '../controls/roving'
import { nameOf, pathOf } from './stations'

defineProps<{ job: Job; here: Station }>()
const chain = useTemplateRef<HTMLElement>('chain')
useRoving(chain, 'a', '.here')
</script>

<template>
  <nav ref="chain" class="chain" aria-label="Stations">
    <router-link
      v-for="s in job.stations"
      :key="s.station"
      class="link"
      :class="{ done: s.done && s.used, passed: !s.used, here: s.station === here }"
      :to="`/jobs/${job.id}/${pathOf[s.station]}`"
      :aria-current="s.station === here ? 'step' : undefined"
    >
      <span class="pin" aria-hidden="true" />
      {{ nameOf(s.station) }}
      <span class="state">{{
        !s.used ? 'not used' : s.done ? 'done' : s.station === job.next ? 'next' : 'open'
      }}</span>
    </router-link>
  </nav>
</template>

<style scoped>
/* A bracelet of seven links: a finished one is joined to its neighbour, an open one hangs apart, a little lower. */
.chain {
  display: grid;
  grid-template-columns: repeat(7, minmax(0, 1fr));
}
.link {
  position: relative;
  display: flex;
  align-items: baseline;
  gap: 6px;
  min-height: 44px;
  padding: 10px 6px 6px 14px;
  margin: 4px 8px 0 0;
  border: 1.5px dashed rgb(var(--v-theme-iron));
  border-radius: 3px;
  color: inherit;
  text-decoration: none;
  font-weight: 600;
  white-space: nowrap;
}
.link.done {
  margin: 0 0 4px;
  border: 1.5px solid rgb(var(--v-theme-iron));
  background: rgb(var(--v-theme-steel), 0.38);
}
.link.done + .link.done {
  border-left: 0;
}
.link.done .pin {
  position: absolute;
  right: -5px;
  top: 50%;
  width: 9px;
  height: 9px;
  margin-top: -5px;
  border: 1.5px solid rgb(var(--v-theme-iron));
  border-radius: 50%;
  background: rgb(var(--v-theme-background));
  z-index: 1;
}
/* What is asked does not pass it: it is there all the same. */
.link.passed {
  border-color: transparent;
  font-weight: 400;
  color: rgb(var(--v-theme-iron));
}
.link.here {
  box-shadow: inset 0 -5px 0 rgb(var(--v-theme-primary));
}
.state {
  font-weight: 400;
  font-size: 14px;
  color: rgb(var(--v-theme-iron));
}
@media (max-width: 1200px) {
  .state {
    display: none;
  }
}
@media (max-width: 960px) {
  .link {
    padding-left: 8px;
    font-size: 16px;
  }
}
@media (max-width: 600px) {
  .chain {
    grid-template-columns: repeat(4, minmax(0, 1fr));
    row-gap: 4px;
  }
  .link {
    padding-left: 8px;
    font-size: 15px;
  }
}
</style>
