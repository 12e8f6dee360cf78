<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { ref } from 'vue'
import { useLog } from '../api/shop'
import { wholeOf } from '../api/refused'
import { asMoment } from '../frame/days'
import { nameOf, pathOf } from '../stations/stations'

const words = ref('')
const { data: entries, error } = useLog(refDebounced(words, 150))
</script>

<template>
  <section class="log">
    <h1>Log</h1>
    <v-text-field
      v-model="words"
      label="Client, watch, words, initials or tag 12"
      name="words"
      autocomplete="off"
      autofocus
      clearable
    />
    <p v-if="error" role="alert">{{ wholeOf(error) }}</p>
    <p v-else-if="entries?.length === 0" class="says">
      {{ words ? `Nothing in the log holds “${words}”.` : 'Nothing has been logged yet.' }}
    </p>
    <ol v-else>
      <li v-for="(e, i) in entries" :key="i">
        <span class="quiet when">{{ asMoment(e.at) }}<br />{{ nameOf(e.station) }}, {{ e.by }}</span>
        <span>
          <router-link :to="`/jobs/${e.jobId}/${pathOf[e.station]}`">
            <strong>{{ e.client }}</strong>, {{ e.watch }}, tag <span class="figure">{{ e.jobId }}</span>
          </router-link>
          <br />{{ e.words }}
        </span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.log {
  display: grid;
  gap: 14px;
  padding: 28px 40px;
  max-width: 62rem;
}
h1 {
  font-size: 30px;
  font-weight: 600;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 150px 1fr;
  gap: 20px;
  padding: 10px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}
.when {
  font-size: 15px;
}
a {
  color: inherit;
  text-underline-offset: 3px;
}
@media (max-width: 800px) {
  .log {
    padding: 16px;
  }
  li {
    grid-template-columns: 1fr;
    gap: 2px;
  }
}
</style>
