<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { useHandOverSheet, useObservation } from '../../api/job'
import { saidOf, titleOf } from '../../api/refused'
import type { Job } from '../../api/shop'
import ByField from '../../controls/ByField.vue'
import DraftLine from '../../controls/DraftLine.vue'
import RefusedLine from '../../controls/RefusedLine.vue'
import { useDraft } from '../../controls/drafts'
import { asDay, asMoment } from '../../controls/days'

/** A watch that is observed before it goes back: what was set when, and what it showed on which day. */
const props = defineProps<{ job: Job }>()
const { data: sheet } = useHandOverSheet(() => props.job.id)
const { observe, look } = useObservation(() => props.job.id)
const observed = computed(() => sheet.value?.observed)
const may = computed(() => props.job.may.observe.ok)
const set = reactive({ until: '', set: '', day: '', by: props.job.takenInBy })
const looks = ref<string[]>([])
const seen = reactive({ shows: '', by: props.job.takenInBy })
const draft = useDraft(
  `observation of ${props.job.id}`,
  () => ({ set: { until: set.until, set: set.set, day: set.day }, looks: looks.value, shows: seen.shows }),
  (kept) => {
    Object.assign(set, kept.set)
    looks.value = kept.looks
    seen.shows = kept.shows
  },
)
function addDay() {
  if (set.day && !looks.value.includes(set.day)) looks.value = [...looks.value, set.day].sort()
  set.day = ''
}
function begin() {
  addDay()
  observe.mutate(
    { until: set.until, set: set.set, by: set.by, looks: looks.value },
    { onSuccess: () => draft.done() },
  )
}
const note = (ends: boolean) =>
  look.mutate({ ...seen, ends }, { onSuccess: () => (draft.done(), (seen.shows = '')) })
</script>

<template>
  <details :open="observed?.stands">
    <summary>
      {{ observed?.stands ? `Under observation until ${asDay(observed.until)}` : 'Under observation first' }}
    </summary>
    <DraftLine :draft="draft" />
    <template v-if="observed">
      <p>Set {{ asMoment(observed.setAt) }} by {{ observed.by }}: {{ observed.set }}</p>
      <ul>
        <li v-for="l in observed.looks" :key="`${l.due}-${l.at}`" :class="{ quiet: !l.at }">
          {{ asDay(l.due) }}: {{ l.at ? `${l.shows} (${l.by})` : 'to be looked at' }}
        </li>
      </ul>
    </template>
    <form v-if="job.may.noteLook.ok" @submit.prevent="note(false)">
      <v-text-field
        v-model="seen.shows"
        density="compact"
        label="What it shows today"
        name="shows"
        autocomplete="off"
        :error-messages="saidOf(look.error.value, '$.shows')"
      />
      <ByField
        v-model="seen.by"
        density="compact"
        label="Initials"
        :errors="saidOf(look.error.value, '$.by')"
      />
      <div class="acts">
        <v-btn variant="outlined" type="submit" :loading="look.isPending.value">Note it</v-btn>
        <v-btn variant="text" @click="note(true)">Note it; the observation ends</v-btn>
      </div>
      <RefusedLine :of="look.error.value ? titleOf(look.error.value) : null" />
    </form>
    <form v-else-if="may" @submit.prevent="begin">
      <v-text-field
        v-model="set.set"
        density="compact"
        label="What is set, and watched"
        name="observeSet"
        autocomplete="off"
        :error-messages="saidOf(observe.error.value, '$.set')"
      />
      <ByField
        v-model="set.by"
        density="compact"
        label="Initials"
        :errors="saidOf(observe.error.value, '$.by')"
      />
      <label
        >Until <input v-model="set.until" class="plain-field" type="date" name="observeUntil" required
      /></label>
      <label>
        Look at it on
        <input v-model="set.day" class="plain-field" type="date" name="lookOn" @change="addDay" />
        <span class="quiet">{{ looks.map(asDay).join(', ') }}</span>
      </label>
      <div class="acts">
        <v-btn variant="outlined" type="submit" :loading="observe.isPending.value"
          >Keep it under observation</v-btn
        >
      </div>
      <RefusedLine
        :of="
          observe.error.value
            ? [
                ...saidOf(observe.error.value, '$.until'),
                ...saidOf(observe.error.value, '$.looks'),
                titleOf(observe.error.value),
              ].join(' ')
            : null
        "
      />
    </form>
  </details>
</template>

<style scoped>
summary {
  min-height: 44px;
  padding-top: 10px;
  cursor: pointer;
}
form {
  display: grid;
  grid-template-columns: 3fr 1fr;
  gap: 6px 16px;
  align-items: start;
}
form > label,
form > .acts {
  grid-column: 1 / -1;
}
</style>
