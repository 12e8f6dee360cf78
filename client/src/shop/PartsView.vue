<script setup lang="ts">
import ByField from '../controls/ByField.vue'
import { computed, reactive, ref } from 'vue'
import { useParts, useStockEntries, type Part, type PartKind } from '../api/parts'
import { saidOf } from '../api/refused'
import { asDay } from '../controls/days'
import { useActs } from '../controls/acts'
import { useInAddress } from '../controls/inAddress'
import NewPart from './NewPart.vue'
import { partKinds } from './words'
import RefusedLine from '../controls/RefusedLine.vue'

const { parts, count, order } = useParts()
const kind = useInAddress<PartKind | ''>('kind', '')
const words = useInAddress<string>('words', '', undefined, 'replace')
const low = ref(false)
const shown = computed(() =>
  (parts.data.value ?? []).filter(
    (p) =>
      (kind.value === '' || p.kind === kind.value) &&
      (!low.value || p.toOrder > 0) &&
      `${p.article} ${p.name} ${p.measured} ${p.place} ${p.supplier}`
        .toLowerCase()
        .includes(words.value.trim().toLowerCase()),
  ),
)

/** The stock-take: what was counted so far, by part. */
const taking = ref(false)
const counted = reactive<Record<number, string>>({})
const why = ref('counted')
const by = ref('')
const error = ref<unknown>(null)
const differ = computed(() =>
  Object.entries(counted)
    .filter(([, text]) => text.trim() !== '')
    .map(([id, text]) => ({ partId: Number(id), counted: Math.trunc(Number(text)) })),
)
function begin() {
  taking.value = true
  for (const id of Object.keys(counted)) delete counted[Number(id)]
}
async function book() {
  try {
    await count({ counted: differ.value, reason: why.value, by: by.value })
    taking.value = false
    error.value = null
  } catch (refusal) {
    error.value = refusal
  }
}
async function putOnList(part: Part) {
  try {
    await order(part.id, Math.max(1, part.toOrder))
    error.value = null
  } catch (refusal) {
    error.value = refusal
  }
}

const looked = ref<number | null>(null)
const entries = useStockEntries(looked)
const adding = ref(false)
useActs(() => {
  const back = { says: 'Start', to: '/' }
  if (taking.value)
    return {
      back,
      lesser: [{ says: 'Leave it', press: () => (taking.value = false) }],
      first: {
        says: `Book ${differ.value.length} counts`,
        form: 'count',
        off: differ.value.length === 0 ? 'Nothing is counted yet.' : null,
      },
    }
  if (adding.value)
    return {
      back,
      lesser: [{ says: 'Leave it', press: () => (adding.value = false) }],
      first: { says: 'Put it on the list', form: 'new-part' },
    }
  return {
    back,
    lesser: [{ says: 'Count the stock', press: begin }],
    first: { says: 'Put a part on the list', press: () => (adding.value = true) },
  }
})
</script>

<template>
  <div>
    <h1>Parts</h1>
    <p class="says">
      Clasps, buckles, bars, pins and links: what lies where, what is reserved for jobs, and what runs low.
    </p>
    <div class="filters">
      <input
        v-model="words"
        type="search"
        name="partWords"
        placeholder="Article, size, place"
        aria-label="Find a part"
      />
      <select v-model="kind" name="partKind" aria-label="Kind of part">
        <option value="">All parts</option>
        <option v-for="k in partKinds" :key="k.value" :value="k.value">{{ k.title }}</option>
      </select>
      <label><input v-model="low" type="checkbox" name="low" /> running low</label>
    </div>
    <NewPart v-if="adding" @done="adding = false" />
    <form v-if="taking" id="count" class="take" @submit.prevent="book">
      <v-text-field
        v-model="why"
        density="compact"
        label="Why it may differ"
        name="reason"
        :error-messages="saidOf(error, '$.reason')"
      />
      <ByField v-model="by" density="compact" label="Counted by" :errors="saidOf(error, '$.by')" />
    </form>
    <RefusedLine :of="error" />
    <p v-if="parts.data.value?.length === 0" class="quiet">No part is on the list yet.</p>
    <p v-else-if="shown.length === 0" class="quiet">No such part.</p>
    <table v-else>
      <thead>
        <tr>
          <th>Article</th>
          <th>What</th>
          <th>Place</th>
          <th class="n">There</th>
          <th class="n">Reserved</th>
          <th class="n">Least</th>
          <th>{{ taking ? 'Counted' : 'To order' }}</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="p in shown" :key="p.id">
          <tr :data-article="p.article" :class="{ low: p.toOrder > 0 }">
            <td>
              <button
                type="button"
                class="plain"
                :aria-expanded="looked === p.id"
                @click="looked = looked === p.id ? null : p.id"
              >
                {{ p.article }}
              </button>
            </td>
            <td>
              {{ p.name }} <span class="quiet">{{ p.measured }}</span>
            </td>
            <td class="place">{{ p.place }}</td>
            <td class="n figure">{{ p.onHand }}</td>
            <td class="n figure">{{ p.reserved }}</td>
            <td class="n figure">{{ p.minimum }}</td>
            <td class="last">
              <input
                v-if="taking"
                v-model="counted[p.id]"
                class="figure"
                inputmode="numeric"
                :name="`count-${p.article}`"
                :aria-label="`Counted of ${p.article}`"
              />
              <template v-else>
                <span v-if="p.listed > 0" class="quiet">{{ p.listed }} on the list</span>
                <span v-if="p.ordered > 0" class="quiet">{{ p.ordered }} ordered</span>
                <button v-if="p.toOrder > 0 && p.supplier" type="button" class="plain" @click="putOnList(p)">
                  Order {{ p.toOrder }}
                </button>
                <strong v-else-if="p.toOrder > 0">low</strong>
              </template>
            </td>
          </tr>
          <tr v-if="looked === p.id" class="entries">
            <td colspan="7">
              <p v-if="p.supplier" class="quiet">From {{ p.supplier }}.</p>
              <ul>
                <li v-for="(e, i) in entries.data.value" :key="i">
                  <span class="figure">{{ e.change > 0 ? `+${e.change}` : e.change }}</span> {{ e.reason
                  }}<span class="quiet"
                    >, {{ asDay(e.at.slice(0, 10)) }}<template v-if="e.by">, {{ e.by }}</template></span
                  >
                </li>
              </ul>
              <p v-if="entries.data.value?.length === 0" class="quiet">Nothing was ever booked.</p>
            </td>
          </tr>
        </template>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.filters,
.take {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  margin: 8px 0;
}
.take :deep(.v-input) {
  flex: 0 1 220px;
}
.filters input[type='search'],
.filters select,
td input {
  min-height: 44px;
  padding: 0 8px;
  border: 1px solid rgb(var(--v-theme-hairline));
  border-radius: 2px;
  font-size: 16px;
  color: inherit;
  background: rgb(var(--v-theme-background));
}
td input {
  width: 70px;
}
table {
  border-collapse: collapse;
  width: 100%;
  max-width: 1010px;
}
th,
td {
  text-align: left;
  padding: 2px 14px 2px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
  vertical-align: baseline;
}
.n {
  text-align: right;
}
.place {
  white-space: nowrap;
}
.last {
  min-width: 96px;
}
.low td {
  font-weight: 600;
}
.low .quiet {
  font-weight: 400;
}
.entries td {
  border-top: 0;
  padding-left: 18px;
}
.entries ul {
  margin: 0;
  padding-left: 18px;
}
@media (max-width: 800px) {
  th:nth-child(3),
  td:nth-child(3),
  th:nth-child(6),
  td:nth-child(6) {
    display: none;
  }
}
@media (max-width: 600px) {
  th,
  td {
    padding-right: 8px;
    font-size: 15px;
  }
  .last {
    min-width: 64px;
  }
  td:nth-child(2) {
    min-width: 130px;
  }
}
</style>
