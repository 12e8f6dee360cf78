<script setup lang="ts">
import ByField from '../../controls/ByField.vue'
import { computed, reactive, ref, watch } from 'vue'
import { useHandOver, useHandOverSheet } from '../../api/job'
import { saidOf, wholeOf } from '../../api/refused'
import DraftLine from '../../controls/DraftLine.vue'
import PartTabs from '../../controls/PartTabs.vue'
import { useActs } from '../../controls/acts'
import { useDraft } from '../../controls/drafts'
import { price } from '../../controls/price'
import { useInAddress } from '../../controls/inAddress'
import { asDay } from '../../controls/days'
import { useBench } from '../../api/bench'
import { useJobHere } from '../../job/here'
import NotesPart from '../NotesPart.vue'
import AgainPart from './AgainPart.vue'
import PaperPart from './PaperPart.vue'
import ObservationPart from './ObservationPart.vue'
import UnworkedPart from './UnworkedPart.vue'
import RefusedLine from '../../controls/RefusedLine.vue'

const { id, job } = useJobHere()
const handOver = useHandOver(id)
const { data: sheet } = useHandOverSheet(id)

type Part = 'done' | 'back' | 'paper' | 'again'
const parts = computed<{ part: Part; title: string }[]>(() => [
  { part: 'done', title: 'Advice' },
  { part: 'back', title: 'Returned parts' },
  { part: 'paper', title: 'Paper' },
  ...(sheet.value?.closed ? [{ part: 'again' as const, title: 'New visit' }] : []),
])

const part = useInAddress<Part>('part', 'done', (word) => parts.value.some((p) => p.part === word))

const counts = reactive<Record<string, string>>({})
const packed = reactive<Record<string, boolean>>({})
const form = reactive({ by: job.value.takenInBy, note: '', price: '', observeOn: '', observeFor: '' })
const goesBack = ref<'collected' | 'posted'>('collected')
// How it goes back was agreed at take-in.
watch(
  () => sheet.value?.returns.goesBack,
  (how) => {
    if (how) goesBack.value = how
  },
  { immediate: true },
)
watch(
  sheet,
  (now) => {
    if (!now || now.closed || form.price !== '') return
    const cents = now.price ?? (Number(now.goods.cents) > 0 ? now.goods.cents : null)
    if (cents != null) form.price = price(Number(cents))
  },
  { immediate: true },
)
/** What the price is made of, where none was agreed; beside what was agreed, what the goods alone come to. */
const made = computed(() => {
  const goods = sheet.value?.goods
  if (!goods || goods.lines.length === 0) return ''
  return sheet.value?.price == null
    ? `Not agreed: ${goods.lines.join(', ')}.`
    : `As agreed; the goods alone are ${price(Number(goods.cents))}: ${goods.lines.join(', ')}.`
})
const refusal = computed(() => wholeOf(handOver.error.value))
const { sheet: bench } = useBench(
  id,
  computed(() => part.value === 'back'),
)
const unsettled = computed(() => bench.data.value?.notes.filter((n) => n.open) ?? [])
// What was refused for want of an answer is no longer said once it is given.
watch(
  () => unsettled.value.length,
  () => handOver.reset(),
)

const draft = useDraft(
  `hand-over of ${id.value}`,
  () => ({
    counts: { ...counts },
    packed: { ...packed },
    note: form.note,
    observeOn: form.observeOn,
    observeFor: form.observeFor,
  }),
  (kept) => {
    Object.assign(counts, kept.counts)
    Object.assign(packed, kept.packed)
    Object.assign(form, { note: kept.note, observeOn: kept.observeOn, observeFor: kept.observeFor })
  },
)
useActs(() => {
  const now = sheet.value
  if (!now?.ready || now.closed) return null
  const busy = handOver.isPending.value
  const acts = { back: { says: 'Bench', to: `/jobs/${job.value.id}/bench` } }
  if (part.value === 'back') return { ...acts, first: { says: 'Close the job', form: 'hand-over', busy } }
  if (now.asListed)
    return {
      ...acts,
      lesser: [{ says: 'Count them', press: () => (part.value = 'back') }],
      first: { says: 'As listed, collected: close the job', press: () => close(true), busy },
    }
  return { ...acts, first: { says: 'Count the parts', press: () => (part.value = 'back') } }
})

/** @param asListed Whether the list that is shown was counted in one look: every joint was checked at the bench. */
function close(asListed = false) {
  handOver.mutate(
    {
      counted: (sheet.value?.bag ?? []).map((line) => ({
        key: line.key,
        what: line.what,
        count: asListed ? line.count : Math.trunc(Number(counts[line.key] ?? 0)) || 0,
      })),
      by: form.by,
      note: form.note,
      price: form.price,
      goesBack: asListed ? 'collected' : goesBack.value,
      packed: (sheet.value?.packed ?? []).map((line) => line.key).filter((key) => packed[key]),
      observeOn: form.observeOn || null,
      observeFor: form.observeFor,
    },
    { onSuccess: () => draft.done() },
  )
}
</script>

<template>
  <ObservationPart v-if="sheet && (!sheet.closed || sheet.observed)" :job="job" />
  <UnworkedPart v-if="sheet && !sheet.closed && !sheet.ready" :job="job" />
  <template v-if="sheet && (job.planAgreed || sheet.closed)">
    <PartTabs :parts="parts" label="The hand-over" :open="part" @open="part = $event" />
    <template v-if="part === 'done'">
      <p data-testid="done">{{ sheet.done }}</p>
      <p>{{ sheet.figures }}</p>
      <p v-for="a in sheet.also" :key="a">{{ a }}</p>
      <div v-if="sheet.asListed" class="listed">
        <p>
          Every joint that was worked was checked at the bench.
          {{
            sheet.bag.length === 0
              ? 'The bag stays empty.'
              : `In the bag: ${sheet.bag.map((l) => `${l.count} ${l.what}`).join(', ')}.`
          }}
          <template v-if="form.price !== ''">Price {{ form.price }}. {{ made }}</template>
        </p>
        <RefusedLine :of="refusal" />
      </div>
      <template v-if="sheet.advice.length > 0">
        <h2>What the owner is told</h2>
        <ul>
          <li v-for="a in sheet.advice" :key="a">{{ a }}</li>
        </ul>
      </template>
      <p v-if="sheet.closed" class="quiet">
        {{ sheet.goesBack === 'posted' ? 'Posted' : 'Collected'
        }}{{ sheet.by ? `, handed over by ${sheet.by}` : ''
        }}{{ sheet.price != null ? `, ${price(Number(sheet.price))}` : ''
        }}{{ sheet.observeOn ? `; follow up on ${asDay(sheet.observeOn)}` : ''
        }}{{ sheet.observeFor ? `: ${sheet.observeFor}` : '' }}.
        <template v-if="sheet.note">Still open: {{ sheet.note }}</template>
      </p>
    </template>

    <template v-else-if="part === 'back'">
      <NotesPart :job-id="job.id" :notes="unsettled" :open="job.may.note.ok" title="Still open" />
      <form id="hand-over" @submit.prevent="close()">
        <DraftLine v-if="sheet.ready" :draft="draft" />
        <h2>The owner’s bag</h2>
        <p v-if="sheet.bag.length === 0">Nothing came out; the bag stays empty.</p>
        <table v-else>
          <tbody>
            <tr v-for="line in sheet.bag" :key="line.key || line.what">
              <td class="figure">{{ line.count }}</td>
              <td>
                {{ line.what }} <span v-if="line.fits" class="quiet">for the {{ line.fits }}</span>
              </td>
              <td v-if="sheet.ready">
                <input
                  v-model="counts[line.key]"
                  class="plain-field"
                  type="number"
                  min="0"
                  placeholder="counted"
                  :aria-label="`${line.what}, counted`"
                  :name="`count ${line.what}`"
                  autocomplete="off"
                />
              </td>
            </tr>
          </tbody>
        </table>
        <template v-if="sheet.ready">
          <div class="ways" role="radiogroup" aria-label="How it goes back">
            <label
              ><input v-model="goesBack" type="radio" name="goesBack" value="collected" /> Collected</label
            >
            <label><input v-model="goesBack" type="radio" name="goesBack" value="posted" /> Posted</label>
          </div>
          <fieldset v-if="goesBack === 'posted'">
            <legend>Packed</legend>
            <label v-for="line in sheet.packed" :key="line.key">
              <input v-model="packed[line.key]" type="checkbox" :name="`packed ${line.key}`" />
              {{ line.says }}
            </label>
          </fieldset>
          <div class="columns">
            <v-text-field
              v-model="form.price"
              density="compact"
              label="Price"
              name="price"
              :hint="made"
              :persistent-hint="made !== ''"
              inputmode="decimal"
              :error-messages="saidOf(handOver.error.value, '$.price')"
            />
            <v-text-field
              v-model="form.observeOn"
              density="compact"
              type="date"
              label="Follow up on"
              name="observeOn"
              :error-messages="saidOf(handOver.error.value, '$.observeOn')"
            />
            <v-text-field
              v-model="form.observeFor"
              density="compact"
              label="what is watched"
              name="observeFor"
              :error-messages="saidOf(handOver.error.value, '$.observeFor')"
            />
          </div>
          <div class="columns end">
            <v-text-field
              v-model="form.note"
              density="compact"
              label="Note: what is still open"
              name="note"
              :error-messages="saidOf(handOver.error.value, '$.note')"
            />
            <ByField
              v-model="form.by"
              density="compact"
              label="Fitter’s initials"
              :errors="saidOf(handOver.error.value, '$.by')"
            />
          </div>
        </template>
        <RefusedLine :of="refusal" />
      </form>
    </template>

    <PaperPart v-else-if="part === 'paper'" :job="job" />
    <AgainPart v-else :job="job" :sheet="sheet" />
  </template>
</template>

<style scoped>
.listed {
  display: grid;
  gap: 6px;
  justify-items: start;
}
ul {
  margin: 0;
  padding-left: 18px;
  display: grid;
  gap: 6px;
}
form {
  display: grid;
  gap: 10px;
}
table {
  border-collapse: collapse;
  width: 100%;
}
td {
  padding: 4px 12px 4px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}
td.figure {
  font-size: 22px;
  font-weight: 600;
  text-align: right;
  width: 60px;
}
td:last-child {
  width: 120px;
}
td .plain-field {
  width: 110px;
}
.ways,
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
}
fieldset {
  border: 1px solid rgb(var(--v-theme-hairline));
  padding: 4px 12px 8px;
  flex-direction: column;
}
.ways label,
fieldset label {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 44px;
}
.ways input,
fieldset input {
  width: 20px;
  height: 20px;
  flex: none;
}
.columns {
  display: grid;
  grid-template-columns: 2fr 3fr 4fr;
  gap: 8px 16px;
}
.columns.end {
  grid-template-columns: 2fr 1fr;
}
@media (max-width: 800px) {
  .columns {
    grid-template-columns: 1fr;
  }
}
</style>
