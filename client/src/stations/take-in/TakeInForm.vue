<script setup lang="ts">
import ByField from '../../controls/ByField.vue'
import DraftLine from '../../controls/DraftLine.vue'
import { useActs } from '../../controls/acts'
import { useDraft } from '../../controls/drafts'
import { refDebounced } from '@vueuse/core'
import { computed, reactive, ref, watch } from 'vue'
import { useClients, type TakeIn } from '../../api/shop'
import { saidOf, titleOf } from '../../api/refused'
import { usePromise } from '../../api/day'
import { asDay } from '../../controls/days'
import { useModels } from '../../api/models'
import { follow, type Clash } from './merge'
import { requests } from '../../job/requests'
import ClashForm from './ClashForm.vue'

const props = defineProps<{
  start: TakeIn
  /** The job that is corrected; none where one is taken in. */
  job?: number | undefined
  error: unknown
  busy: boolean
  disabled?: boolean
}>()
const emit = defineEmits<{ done: [heard: TakeIn, edition: number | null] }>()
const heard = reactive<TakeIn>({ ...props.start })

/** What was changed on another screen is followed; what both changed differently is asked about before it is stored. */
const clashes = ref<Clash<TakeIn>[]>([])
watch(
  () => props.start,
  (theirs, was) => {
    const followed = follow({ ...heard }, was, theirs)
    Object.assign(heard, followed.merged)
    clashes.value = followed.clashes
  },
)
defineExpose({ saved: () => draft.done() })
/** One job a press: what is being hung on the rack is not hung there twice. */
function submit() {
  if (!props.busy) emit('done', { ...heard }, edition.value)
}
function chosen(fields: Partial<TakeIn>) {
  Object.assign(heard, fields)
  clashes.value = []
  submit()
}

const draft = useDraft(
  props.job === undefined ? 'take-in' : `take-in of ${props.job}`,
  () => ({ ...heard, by: '', promised: props.job === undefined ? '' : heard.promised }),
  (kept) => Object.assign(heard, { ...kept, by: heard.by, promised: kept.promised || heard.promised }),
)
const isChanged = computed(() => JSON.stringify({ ...heard }) !== JSON.stringify({ ...props.start }))
// What is stored stands in the form as the shop has it.
watch(
  () => props.start,
  () => !isChanged.value && draft.done(),
)
useActs(() => {
  if (props.disabled || clashes.value.length > 0) return null
  if (props.job !== undefined && !isChanged.value) return null
  return {
    back: { says: 'Start', to: '/' },
    first: { says: props.job === undefined ? 'Take it in' : 'Save', form: 'take-in', busy: props.busy },
  }
})

/** What can be promised for this service; until somebody types another day, the day shown first is taken. */
const soughtDay = refDebounced(
  computed(() => heard.promised),
  200,
)
const { data: promise } = usePromise(
  () => heard.request,
  soughtDay,
  () => props.job === undefined,
)
const isDayTyped = ref(false)
watch(
  () => promise.value?.first,
  (first) => {
    if (first && props.job === undefined && !isDayTyped.value) heard.promised = first
  },
)
function promises(day: string) {
  isDayTyped.value = true
  heard.promised = day
}

const typed = ref('')
const { data: known } = useClients(refDebounced(typed, 120))
/** The client of that name from earlier visits, if it is one. */
const found = computed(() => known.value?.find((c) => c.name === heard.client))
/** Their watches, and models of the book that are called like what is typed. */
const watchTyped = ref('')
const soughtModel = refDebounced(watchTyped, 120)
const { data: models } = useModels(
  soughtModel,
  0,
  () => props.job === undefined && soughtModel.value.trim().length > 1,
  6,
)
const watches = computed(() => {
  const own = found.value?.watches ?? []
  const known = watchTyped.value.trim().length > 1 ? (models.value?.models ?? []) : []
  return [
    ...own.map((name) => ({ name, says: 'theirs' })),
    ...known.filter((m) => !own.includes(m.name)).map((m) => ({ name: m.name, says: m.says })),
  ]
})
const edition = computed(
  () =>
    (props.job === undefined &&
      models.value?.models.find((m) => m.name === heard.watch && m.figures > 0)?.edition) ||
    null,
)

/** A client who was here before brings how they are reached along, unless something else was typed. */
function seenBefore() {
  if (found.value && !heard.contact) heard.contact = found.value.contact
}
</script>

<template>
  <ClashForm v-if="clashes.length > 0" :clashes="clashes" @chosen="chosen" />
  <form v-else id="take-in" class="form" @submit.prevent="submit">
    <DraftLine :draft="draft" />
    <v-combobox
      v-model="heard.client"
      v-model:search="typed"
      :items="typed ? (known ?? []) : []"
      item-title="name"
      item-value="name"
      :return-object="false"
      no-filter
      hide-no-data
      menu-icon=""
      label="Client *"
      data-field="client"
      :autofocus="start.client === ''"
      autocomplete="off"
      :disabled="disabled"
      :error-messages="saidOf(error, '$.client')"
      @update:model-value="seenBefore"
    />
    <v-text-field
      v-model="heard.contact"
      label="Phone or e-mail"
      name="contact"
      autocomplete="off"
      :disabled="disabled"
      :error-messages="saidOf(error, '$.contact')"
    />
    <v-combobox
      v-model="heard.watch"
      v-model:search="watchTyped"
      class="wide"
      :items="watches"
      item-title="name"
      item-value="name"
      :item-props="(w: { says: string }) => ({ subtitle: w.says })"
      :return-object="false"
      no-filter
      hide-no-data
      menu-icon=""
      label="Watch *"
      data-field="watch"
      autocomplete="off"
      :disabled="disabled"
      :error-messages="saidOf(error, '$.watch')"
    />
    <v-select
      v-model="heard.request"
      :items="requests"
      label="Service"
      data-field="request"
      :disabled="disabled"
    />
    <v-text-field
      v-model="heard.promised"
      type="date"
      label="Promised for *"
      name="promised"
      :disabled="disabled"
      :error-messages="saidOf(error, '$.promised')"
      @input="isDayTyped = true"
    />
    <div v-if="promise && job === undefined" class="wide promise" data-testid="promise">
      <span class="quiet"
        >Usually <span class="figure">{{ promise.minutes }}</span> minutes. Can be promised:</span
      >
      <button v-if="promise.first" type="button" class="plain" @click="promises(promise.first)">
        {{ asDay(promise.first) }}
      </button>
      <button
        v-if="promise.earliest && promise.earliest !== promise.first"
        type="button"
        class="plain"
        @click="promises(promise.earliest)"
      >
        earliest {{ asDay(promise.earliest) }}
      </button>
      <span v-if="promise.whileYouWait">while they wait</span>
      <span v-if="promise.ifOrdered" class="quiet">if a part is ordered {{ asDay(promise.ifOrdered) }}</span>
      <span v-if="!promise.first" class="quiet">no day within six weeks</span>
      <p v-if="promise.breaks.length > 0" class="breaks" role="status">
        This day makes late:
        {{ promise.breaks.map((b) => (b.jobId ? `${b.client}, ${b.says}` : b.says)).join('; ') }}
      </p>
    </div>
    <v-textarea
      v-model="heard.words"
      class="wide"
      label="In the owner’s words"
      name="words"
      rows="2"
      auto-grow
      max-rows="5"
      :disabled="disabled"
      :error-messages="saidOf(error, '$.words')"
    />
    <label class="wide here">
      <input
        v-model="heard.wearer"
        type="checkbox"
        name="wearer"
        :true-value="false"
        :false-value="true"
        :disabled="disabled"
      />
      nobody here to try it on: it came by post, or with somebody else
    </label>
    <v-text-field
      v-model="heard.price"
      label="Price agreed"
      name="price"
      autocomplete="off"
      :disabled="disabled"
      :error-messages="saidOf(error, '$.price')"
    />
    <ByField
      v-model="heard.by"
      label="Fitter’s initials *"
      :disabled="disabled"
      :errors="saidOf(error, '$.by')"
    />
    <p v-if="error" class="wide refused" role="alert">{{ titleOf(error) }}</p>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px 24px;
  align-items: start;
}
.wide {
  grid-column: 1 / -1;
}
.here {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
.promise {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  align-items: center;
}
.promise .plain {
  min-height: 44px;
}
.breaks {
  flex-basis: 100%;
  font-weight: 600;
}
@media (max-width: 800px) {
  .form {
    grid-template-columns: 1fr;
  }
}
</style>
