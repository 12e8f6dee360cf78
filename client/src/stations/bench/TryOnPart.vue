<script setup lang="ts">
import { tenths } from '../../api/tenths'
import { computed, reactive, ref } from 'vue'
import { useBench, type Closes, type EaseFelt, type Tried } from '../../api/bench'
import { saidOf, wholeOf } from '../../api/refused'
import RefusedLine from '../../controls/RefusedLine.vue'
import DraftLine from '../../controls/DraftLine.vue'
import { useDraft } from '../../controls/drafts'

const props = defineProps<{ jobId: number; closes: Closes | null }>()
const { tryOn } = useBench(() => props.jobId, false)
const typed = reactive({
  by: 'millimetres' as 'millimetres' | 'linksPinched' | 'gap',
  over: 'comfort' as 'zeroEase' | 'comfort',
  amount: '',
  wedge: '',
  seen: '',
  toward: 'six' as 'six' | 'twelve',
  closedIn: '',
  ease: null as EaseFelt | null,
  tail: '',
})
const eases: { value: EaseFelt; title: string }[] = [
  { value: 'comfortable', title: 'comfortable' },
  { value: 'snug', title: 'snug' },
  { value: 'loose', title: 'loose' },
]
/** The places to choose from, when they are few enough to be shown. */
const places = computed(() =>
  props.closes && props.closes.count > 0 && props.closes.count <= 14
    ? Array.from({ length: props.closes.count }, (_, i) => i + 1)
    : [],
)
const draft = useDraft(
  `try-on of ${props.jobId}`,
  () => ({ ...typed }),
  (kept) => Object.assign(typed, kept),
)
const tried = ref<Tried | null>(null)
const error = ref<unknown>(null)
async function judge(take: boolean) {
  try {
    tried.value = await tryOn({ ...typed, take })
    error.value = null
    if (take) draft.done()
  } catch (refusal) {
    tried.value = null
    error.value = refusal
  }
}
</script>

<template>
  <DraftLine :draft="draft" />
  <form v-if="closes" @submit.prevent="judge(true)">
    <div v-if="places.length > 0" class="row" role="radiogroup" :aria-label="`Closed in ${closes.place}`">
      <span>Closed in {{ closes.place }}, from the tight end</span>
      <label v-for="p in places" :key="p">
        <input v-model="typed.closedIn" type="radio" name="closedIn" :value="String(p)" />
        <span class="figure">{{ p }}</span><span v-if="p === closes.planned" class="quiet"> planned</span>
      </label>
    </div>
    <v-text-field
      v-else
      v-model="typed.closedIn"
      density="compact"
      name="closedIn"
      :label="
        closes.count > 0 ? `Closed in ${closes.place}, from the tight end` : `Closed so many ${closes.place}`
      "
      autocomplete="off"
      :error-messages="saidOf(error, '$.closedIn')"
    />
    <p v-if="places.length > 0 && saidOf(error, '$.closedIn').length" class="refused" role="alert">
      {{ saidOf(error, '$.closedIn')[0] }}
    </p>
    <div class="row" role="radiogroup" aria-label="It felt">
      <span>It felt</span>
      <label v-for="e in eases" :key="e.value">
        <input v-model="typed.ease" type="radio" name="ease" :value="e.value" /> {{ e.title }}
      </label>
    </div>
    <v-text-field
      v-if="closes.hasTail"
      v-model="typed.tail"
      density="compact"
      name="tail"
      label="Tail past its keepers, mm"
      autocomplete="off"
      :error-messages="saidOf(error, '$.tail')"
    />
    <p
      v-if="wholeOf(error) && !saidOf(error, '$.closedIn').length && !saidOf(error, '$.tail').length"
      class="refused"
      role="alert"
    >
      {{ wholeOf(error) }}
    </p>
    <v-btn type="submit" variant="outlined">Take what was found</v-btn>
  </form>
  <form v-else @submit.prevent="judge(false)">
    <div class="row">
      <label
        >Surplus felt
        <select v-model="typed.by" class="plain-field" name="triedBy">
          <option value="millimetres">in millimetres</option>
          <option value="linksPinched">in links pinched</option>
          <option value="gap">as a gap under the clasp</option>
        </select>
      </label>
      <label v-if="typed.by !== 'gap'"
        >over
        <select v-model="typed.over" class="plain-field" name="triedOver">
          <option value="comfort">what feels right</option>
          <option value="zeroEase">a band that just touches</option>
        </select>
      </label>
    </div>
    <div class="row">
      <v-text-field
        v-model="typed.amount"
        density="compact"
        name="triedAmount"
        :label="typed.by === 'linksPinched' ? 'Links' : typed.by === 'gap' ? 'Gap, mm' : 'Surplus, mm'"
        autocomplete="off"
        :error-messages="saidOf(error, '$.amount')"
      />
      <v-text-field
        v-model="typed.seen"
        density="compact"
        name="triedSeen"
        label="Clasp off the middle by"
        autocomplete="off"
        :error-messages="saidOf(error, '$.seen')"
      />
      <label
        >toward
        <select v-model="typed.toward" class="plain-field" name="triedToward">
          <option value="six">6</option>
          <option value="twelve">12</option>
        </select>
      </label>
    </div>
    <v-btn type="submit" variant="outlined">What does that change?</v-btn>
    <RefusedLine v-if="wholeOf(error) && !saidOf(error, '$.amount').length" :of="error" />
    <template v-if="tried">
      <p class="says" data-testid="tried">{{ tried.says }}</p>
      <p class="quiet">
        The loop comes to <span class="figure">{{ tenths(tried.lengthMm) }}</span> of
        <span class="figure">{{ tenths(tried.wantedMm) }} mm</span> wanted.
        {{ tried.seenSays }}
      </p>
      <v-btn variant="outlined" @click="judge(true)">{{
        tried.same ? 'Go on as planned' : 'Go on with this'
      }}</v-btn>
    </template>
  </form>
</template>

<style scoped>
form {
  display: flex;
  flex-direction: column;
  gap: 8px;
  align-items: flex-start;
}
.row > label {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.v-text-field {
  width: 100%;
}
.row .v-text-field {
  flex: 1 1 130px;
}
.says {
  font-weight: 600;
}
</style>
