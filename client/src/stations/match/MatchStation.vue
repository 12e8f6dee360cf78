<script setup lang="ts">
import StoredInput from '../../controls/StoredInput.vue'
import { computed, nextTick, reactive, ref, watch } from 'vue'
import { refDebounced } from '@vueuse/core'
import { saidOf, wholeOf } from '../../api/refused'
import {
  useMatch,
  type AlsoBand,
  type Match,
  type MatchFilter,
  type PullThroughWay,
  type Wishes,
} from '../../api/match'
import type { Verdict } from '../../api/shop'
import { useJobHere } from '../../job/here'
import { useActs } from '../../controls/acts'
import { useInAddress } from '../../controls/inAddress'
import AlsoBands from './AlsoBands.vue'
import CompareTable from './CompareTable.vue'
import MatchCard from './MatchCard.vue'
import VerdictRing from '../VerdictRing.vue'
import { kinds, materials } from '../words'

const { id, job, tried: looked, wide, sought } = useJobHere()

const verdicts: Verdict[] = ['fits', 'compromise', 'unknown', 'work', 'no']
const verdictAsked = useInAddress<Verdict | ''>('verdict', '', (word) =>
  (verdicts as string[]).includes(word),
)
/** The candidate that is opened. */
const card = useInAddress<string>('card', '')
const filter = reactive<MatchFilter>({
  kind: null,
  material: null,
  finish: null,
  colour: null,
  mostPrice: '',
  inStock: false,
  verdict: verdictAsked.value || null,
  skip: 0,
})
const asked = computed(() => ({ ...filter }))
const match = useMatch(id, refDebounced(asked, 150))
const sheet = computed(() => match.sheet.data.value)
const open = computed(() => job.value.may.gauge.ok)
watch(verdictAsked, (now) => (filter.verdict = now || null))
// What narrows the list begins it anew.
watch(
  () => [
    filter.kind,
    filter.material,
    filter.finish,
    filter.colour,
    filter.mostPrice,
    filter.inStock,
    filter.verdict,
  ],
  () => (filter.skip = 0),
)
const pageSize = 20
const shown = computed(() => {
  const all = sheet.value?.counts ?? []
  const wanted = filter.verdict === null ? all : all.filter((c) => c.verdict === filter.verdict)
  return wanted.reduce((sum, c) => sum + c.count, 0)
})

const tried = ref<{ bandId: number; way: PullThroughWay } | null>(null)
function look(bandId: number, way: PullThroughWay) {
  tried.value = { bandId, way }
  looked.value = tried.value
}

const refused = reactive<Record<number, string | null>>({})
async function choose(bandId: number, way: PullThroughWay, signedBy: string) {
  try {
    await match.choose({ bandId, way, ...(signedBy.trim() && { consentSignedBy: signedBy }) })
    refused[bandId] = null
    tried.value = null
    looked.value = null
  } catch (error) {
    refused[bandId] = saidOf(error, '$.consentSignedBy')[0] ?? wholeOf(error)
  }
}

async function beside(act: () => Promise<void>, bandId: number) {
  try {
    await act()
    refused[bandId] = null
  } catch (error) {
    refused[bandId] = wholeOf(error)
  }
}
const add = (bandId: number, as: AlsoBand['as'], way: PullThroughWay = 'double') =>
  beside(() => match.add({ bandId, as, way }), bandId)
const takeOff = (bandId: number) => beside(() => match.takeOff(bandId), bandId)

const compared = ref<Match[]>([])
const comparing = ref(false)
// Bands side by side take the whole width.
watch(comparing, (now) => (wide.value = now))
function compare(of: Match) {
  const at = compared.value.findIndex((m) => m.band.id === of.band.id)
  if (at >= 0) compared.value.splice(at, 1)
  else compared.value = [...compared.value.slice(-2), of]
  if (compared.value.length < 2) comparing.value = false
}

// The first of the list is the one that goes on best.
watch(
  [sought, sheet],
  async ([field, now]) => {
    if (field !== 'band' || !now) return
    await nextTick()
    document.querySelector<HTMLElement>('.bands .card h2 button')?.focus()
    sought.value = null
  },
  { immediate: true },
)

const narrowing = ref(false)
useActs(() => {
  if (comparing.value || !sheet.value) return null
  const says = narrowing.value ? 'Without filters and wishes' : 'Filters and wishes'
  return { lesser: [{ says, press: () => (narrowing.value = !narrowing.value) }] }
})
const needs = [
  { field: 'water', title: 'worn in water' },
  { field: 'nickelSensitive', title: 'nickel-sensitive' },
  { field: 'hairPull', title: 'hair pulls' },
  { field: 'mustNotBeLost', title: 'must not be lost' },
  { field: 'letteringKept', title: 'maker’s lettering kept' },
] as const
const wishLost = ref<string | null>(null)
/** What is wished and not answered yet: a second wish in the same breath carries the first. */
let sent: Partial<Wishes> = {}
let lastWish: Promise<unknown> = Promise.resolve()
async function wish(changed: Partial<Wishes>) {
  sent = { ...sent, ...changed }
  const mine = (lastWish = lastWish.then(() => match.wish({ ...sheet.value!.wishes, ...sent })))
  try {
    await mine
    wishLost.value = null
  } catch (error) {
    wishLost.value = wholeOf(error)
  }
  if (mine !== lastWish) return
  sent = {}
  lastWish = Promise.resolve()
}
const countOf = (verdict: Verdict) => sheet.value?.counts.find((c) => c.verdict === verdict)?.count ?? 0
const anyFilter = computed(
  () =>
    filter.kind || filter.material || filter.finish || filter.colour || filter.mostPrice || filter.inStock,
)
</script>

<template>
  <p v-if="match.sheet.error.value" role="alert">{{ wholeOf(match.sheet.error.value) }}</p>
  <p v-else-if="!sheet" class="quiet">Asking every rule about every band…</p>
  <CompareTable
    v-else-if="comparing"
    :matches="compared"
    @drop="(id) => compare(compared.find((m) => m.band.id === id)!)"
    @close="comparing = false"
  />
  <template v-else>
    <div class="counts" role="group" aria-label="Verdicts">
      <button
        v-for="v in verdicts.filter((v) => countOf(v) > 0 || filter.verdict === v)"
        :key="v"
        type="button"
        :aria-pressed="filter.verdict === v"
        @click="verdictAsked = filter.verdict === v ? '' : v"
      >
        <VerdictRing :verdict="v" bare /><span class="figure">{{ countOf(v) }}</span>
      </button>
    </div>
    <div v-if="sheet.readNext || compared.length > 1" class="next">
      <p v-if="sheet.readNext" class="quiet" data-testid="read-next">{{ sheet.readNext }}</p>
      <v-btn v-if="compared.length > 1" variant="outlined" @click="comparing = true"
        >Compare {{ compared.length }}</v-btn
      >
    </div>
    <div v-if="narrowing && open" class="needs">
      <button
        v-for="n in needs"
        :key="n.field"
        type="button"
        :aria-pressed="sheet.wishes[n.field] === true"
        @click="wish({ [n.field]: sheet.wishes[n.field] === true ? null : true })"
      >
        {{ n.title }}
      </button>
      <StoredInput
        :stored="sheet.wishes.colour ?? ''"
        name="wishedColour"
        aria-label="Wished colour"
        placeholder="wished colour"
        @typed="wish({ colour: $event })"
      />
      <StoredInput
        :stored="sheet.wishes.caseFinish ?? ''"
        name="caseFinish"
        aria-label="Finish of the case"
        placeholder="case finish"
        @typed="wish({ caseFinish: $event })"
      />
    </div>
    <p v-if="wishLost" role="alert">{{ wishLost }}</p>
    <div v-if="narrowing" class="filters">
      <select v-model="filter.kind" name="kind" aria-label="Kind">
        <option :value="null">All kinds</option>
        <option v-for="k in kinds" :key="k.value" :value="k.value">{{ k.title }}</option>
      </select>
      <select v-model="filter.material" name="filterMaterial" aria-label="Material">
        <option :value="null">All materials</option>
        <option v-for="m in materials" :key="m.value" :value="m.value">{{ m.title }}</option>
      </select>
      <select v-model="filter.colour" name="filterColour" aria-label="Colour">
        <option :value="null">All colours</option>
        <option v-for="c in sheet.colours" :key="c" :value="c">{{ c }}</option>
      </select>
      <select v-model="filter.finish" name="filterFinish" aria-label="Finish">
        <option :value="null">All finishes</option>
        <option v-for="f in sheet.finishes" :key="f" :value="f">{{ f }}</option>
      </select>
      <input
        v-model="filter.mostPrice"
        name="mostPrice"
        aria-label="Price at most"
        placeholder="price at most"
      />
      <label><input v-model="filter.inStock" type="checkbox" name="inStock" /> in stock</label>
    </div>
    <p v-if="open && !job.may.chooseBand.ok" class="quiet">{{ job.may.chooseBand.why }}</p>
    <p v-if="sheet.total === 0 && sheet.own.length === 0 && !anyFilter">
      No band is in stock, and the owner brought none.
    </p>
    <p v-else-if="sheet.total === 0 && anyFilter">Nothing in stock is like that.</p>
    <AlsoBands
      v-if="sheet.also.length > 0"
      :also="sheet.also"
      :open="job.may.addBand.ok"
      :choosable="job.may.chooseBand.ok"
      @take-off="takeOff"
      @choose="choose($event, 'double', '')"
    />
    <ol v-if="sheet.own.length > 0" class="bands">
      <MatchCard
        v-for="m in sheet.own"
        :key="m.band.id"
        :match="m"
        :open="open"
        :choosable="job.may.chooseBand.ok"
        :addable="job.may.addBand.ok"
        :opened="card === m.band.article"
        :tried="tried?.bandId === m.band.id"
        :compared="compared.some((c) => c.band.id === m.band.id)"
        :refusal="refused[m.band.id] ?? null"
        @look="look(m.band.id, $event)"
        @choose="(way, by) => choose(m.band.id, way, by)"
        @open="card = $event ? m.band.article : ''"
        @compare="compare(m)"
        @add="(as, way) => add(m.band.id, as, way)"
      />
    </ol>
    <ol class="bands">
      <MatchCard
        v-for="m in sheet.page"
        :key="m.band.id"
        :match="m"
        :open="open"
        :choosable="job.may.chooseBand.ok"
        :addable="job.may.addBand.ok"
        :opened="card === m.band.article"
        :tried="tried?.bandId === m.band.id"
        :compared="compared.some((c) => c.band.id === m.band.id)"
        :refusal="refused[m.band.id] ?? null"
        @look="look(m.band.id, $event)"
        @choose="(way, by) => choose(m.band.id, way, by)"
        @open="card = $event ? m.band.article : ''"
        @compare="compare(m)"
        @add="(as, way) => add(m.band.id, as, way)"
      />
    </ol>
    <p v-if="shown > pageSize" class="pages">
      <v-btn variant="outlined" :disabled="filter.skip === 0" @click="filter.skip -= pageSize"
        >Better ones</v-btn
      >
      <span class="figure"
        >{{ filter.skip + 1 }}–{{ Math.min(shown, filter.skip + pageSize) }} of {{ shown }}</span
      >
      <v-btn variant="outlined" :disabled="filter.skip + pageSize >= shown" @click="filter.skip += pageSize"
        >Further ones</v-btn
      >
    </p>
    <section v-if="sheet.nearestMisses.length > 0" class="misses">
      <h2>Nearest misses</h2>
      <ul>
        <li v-for="m in sheet.nearestMisses" :key="m.band.id">
          <strong>{{ m.band.name }}, {{ m.band.article }}</strong
          >: {{ m.rules.find((r) => r.verdict === 'no')?.says }}
          <template v-if="m.wouldGoOn">It would go on {{ m.wouldGoOn }}.</template>
          <button
            v-if="job.may.addBand.ok && !m.also"
            type="button"
            class="plain"
            @click="add(m.band.id, 'forLooks')"
          >
            Shown for looks
          </button>
        </li>
      </ul>
    </section>
    <div v-if="open" class="enter">
      <v-btn variant="outlined" :to="`/bands/new?job=${job.id}`">Enter the owner’s own band</v-btn>
      <v-btn variant="text" :to="`/bands/new?for=${job.id}`">Put a band in stock</v-btn>
    </div>
    <p v-if="sheet.consent" class="quiet">
      Written consent by {{ sheet.consent.signedBy }}: {{ sheet.consent.work }}.
    </p>
  </template>
</template>

<style scoped>
.needs,
.filters,
.counts,
.pages,
.enter {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}
.needs button,
.counts button,
.needs input,
.filters select,
.filters input:not([type='checkbox']) {
  min-height: 44px;
  padding: 0 8px;
  border: 1px solid rgb(var(--v-theme-hairline));
  border-radius: 2px;
  font-size: 16px;
  color: inherit;
  background: rgb(var(--v-theme-background));
}
.needs input,
.filters input:not([type='checkbox']) {
  width: 112px;
}
.filters select {
  max-width: 128px;
}
.filters label {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 44px;
}
.needs button[aria-pressed='true'],
.counts button[aria-pressed='true'] {
  border: 2px solid rgb(var(--v-theme-primary));
  font-weight: 600;
}
.counts button {
  display: inline-flex;
  align-items: center;
}
.counts {
  gap: 4px;
}
.counts button {
  padding: 0 4px;
  gap: 3px;
  font-size: 14px;
}
.counts button :deep(.word) {
  min-width: 0;
}
.next {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  font-size: 15px;
}
.next p {
  flex: 1;
  min-width: 0;
}
.bands {
  list-style: none;
  margin: 0;
  padding: 0;
}
.misses {
  border-top: 3px double rgb(var(--v-theme-hairline));
  padding-top: 8px;
  font-size: 16px;
}
.misses ul {
  margin: 4px 0;
  padding-left: 18px;
}
</style>
