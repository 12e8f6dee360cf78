<script setup lang="ts">
import ByField from '../controls/ByField.vue'
import { computed, reactive, ref } from 'vue'
import { useObservations } from '../api/log'
import { saidOf } from '../api/refused'
import { asDay } from '../controls/days'
import RefusedLine from '../controls/RefusedLine.vue'

/** Jobs the shop promised to ask after: those due, and the ones of the next week. */
const { list, note } = useObservations()
const all = computed(() => list.data.value ?? [])
const open = ref<number | null>(null)
const form = reactive({ by: '', heard: '' })
const error = ref<unknown>(null)

async function keep(id: number) {
  try {
    await note(id, form)
    Object.assign(form, { heard: '' })
    ;[open.value, error.value] = [null, null]
  } catch (refusal) {
    error.value = refusal
  }
}
</script>

<template>
  <section v-if="all.length > 0" class="observations">
    <h2>To follow up</h2>
    <ul>
      <li v-for="o in all" :key="o.jobId">
        <p>
          <strong v-if="o.due">{{ asDay(o.on) }}, due</strong><template v-else>{{ asDay(o.on) }}</template
          >: <router-link :to="`/jobs/${o.jobId}/hand-over`">{{ o.client }}, {{ o.watch }}</router-link
          ><template v-if="o.for">: {{ o.for }}</template>
          <span v-if="o.contact" class="quiet"> ({{ o.contact }})</span>
          <button type="button" class="heard" @click="open = open === o.jobId ? null : o.jobId">
            Record reply
          </button>
        </p>
        <form v-if="open === o.jobId" @submit.prevent="keep(o.jobId)">
          <v-text-field
            v-model="form.heard"
            density="compact"
            label="The reply"
            name="heard"
            :error-messages="saidOf(error, '$.heard')"
          />
          <ByField v-model="form.by" density="compact" label="Initials" :errors="saidOf(error, '$.by')" />
          <v-btn type="submit" variant="outlined">Keep</v-btn>
          <RefusedLine :of="error" beside-fields />
        </form>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.observations {
  display: grid;
  gap: 6px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  padding: 6px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}
a {
  color: inherit;
}
form {
  display: grid;
  grid-template-columns: 3fr 1fr auto;
  gap: 12px;
  align-items: center;
}
.heard {
  min-height: 44px;
  padding: 0 10px;
  text-decoration: underline;
  color: rgb(var(--v-theme-primary)) !important;
}
</style>
