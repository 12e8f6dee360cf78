<script setup lang="ts">
import { useTitle } from '@vueuse/core'
import { computed, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useDoor } from '../api/door'
import { useModel, useModels } from '../api/models'
import { saidOf, wholeOf } from '../api/refused'
import { useActing } from '../controls/acting'
import { useActs } from '../controls/acts'
import RefusedLine from '../controls/RefusedLine.vue'
import HeldLinks from '../drawing/HeldLinks.vue'
import StoredInput from '../controls/StoredInput.vue'
import { requests } from '../job/requests'

const route = useRoute()
const router = useRouter()
const id = computed(() => Number(route.params.id))
const { sheet, change, merge, split } = useModel(id)
const model = computed(() => sheet.data.value)
const { error, act } = useActing(200)
const isFitter = useDoor().mayAs('fitter')
useTitle(() => `${model.value?.name ?? 'Model'} – Iron Loop`)
useActs(() => ({ back: { says: 'Model book', to: '/house/models' } }))

const facts: Record<string, string> = {
  attachment: 'Takes its band by',
  caseShape: 'Case at the bar',
  family: 'Maker’s family code',
  twelve: '12 side',
  six: '6 side',
  halfPitch: 'Half link',
  claspName: 'Clasp',
  claspTwelve: 'Clasp, 12 pivot to centre',
  claspSix: 'Clasp, centre to 6 pivot',
  microSide: 'Holes on the side of',
  positions: 'Micro positions',
  step: 'Hole spacing',
  fastener: 'Links joined by',
  tools: 'Pins worked with',
  strapLengths: 'Strap that went on, 12 and 6 side',
}
const hows = { read: '', said: 'as said', catalogue: 'by a catalogue' } as const
type Edition = NonNullable<typeof model.value>['editions'][number]
/** The lay-out to scale: the 12 side from clasp to case, the head, the 6 side, half the clasp at each end. */
function laid(e: Edition) {
  const clasp = { mm: Number(e.claspMm ?? 30) / 2, what: 'clasp' }
  const side = (links: Edition['twelve']) =>
    links.map((l) => ({ mm: Number(l.pitchMm), what: l.removable ? 'link' : 'fixed' }))
  let x = 0
  const links = [clasp, ...side(e.twelve).reverse(), { mm: 34, what: 'head' }, ...side(e.six), clasp].map(
    (l) => {
      const at = { ...l, x }
      x += l.mm
      return at
    },
  )
  return { links, width: x }
}
function told(e: Edition) {
  const side = (name: string, links: Edition['twelve']) => {
    const fixed = links.filter((l) => !l.removable).length
    return `${name} side: ${fixed} fixed, ${links.length - fixed} that come out`
  }
  return `${side('12', e.twelve)}; ${side('6', e.six)}.`
}
const freedChoices = [
  ['', 'nobody knows'],
  ['tried', 'comes free at the clasp, tried'],
  ['hearsay', 'comes free at the clasp, as said'],
  ['triedFixed', 'fixed, tried'],
  ['saidFixed', 'fixed, as said'],
] as const
type Freed = NonNullable<NonNullable<Parameters<typeof change>[0]['freed']>['is']>
const freedOf = (e: Edition, side: 'twelve' | 'six') => e.freed.find((f) => f.side === side)
const sayFreed = (edition: number, side: 'twelve' | 'six', is: string) =>
  act(() => change({ freed: { edition, side, is: is === '' ? null : (is as Freed) } }))
const spaced = (value: string) =>
  /^[A-Z][a-z]+([A-Z][a-z]+)*$/.test(value) ? value.replace(/(?!^)([A-Z])/g, ' $1').toLowerCase() : value
const requestOf = (value: string) => requests.find((r) => r.value === value)?.title ?? value

/** Another model that this one is merged into. */
const into = ref('')
const { data: others } = useModels(into, 0, () => into.value.length > 1, 6)
const others6 = computed(() =>
  into.value.length > 1 ? (others.value?.models ?? []).filter((m) => m.id !== id.value).slice(0, 6) : [],
)
/** Names for what is split off, by edition. */
const names = reactive<Record<number, string>>({})
watch(id, () => (into.value = ''))

async function put(into: number) {
  const merged = await merge(into)
  await router.replace(`/models/${merged.id}`)
}
async function part(edition: number, watches: number[]) {
  const made = await split({ edition, name: names[edition] ?? '', watches })
  names[edition] = ''
  if (made.id !== id.value) await router.push(`/models/${made.id}`)
}
</script>

<template>
  <section v-if="model" class="sheet">
    <h1>{{ model.name }}</h1>
    <p class="says">
      {{ model.jobs.length }} {{ model.jobs.length === 1 ? 'job' : 'jobs'
      }}<template v-if="model.rightFirst">, {{ model.rightFirst }}</template
      ><template v-if="model.usualMinutes !== null"
        >, usually <span class="figure">{{ model.usualMinutes }}</span> minutes at the bench</template
      >.
      <a class="plain" :href="`/api/models/${model.id}/file`" :download="`${model.name}.json`">As a file</a>
    </p>
    <RefusedLine :of="wholeOf(error)" />
    <div v-if="isFitter" class="change">
      <label
        >Name
        <StoredInput
          class="plain-field"
          name="modelName"
          :stored="model.name"
          @typed="act(() => change({ name: $event }))"
      /></label>
      <label
        >Usual trouble, tools that fitted
        <StoredInput
          class="plain-field"
          name="modelNote"
          :stored="model.note"
          @typed="act(() => change({ note: $event }))"
      /></label>
      <p v-for="e in saidOf(error, '$.name')" :key="e" class="refused" role="alert">{{ e }}</p>
    </div>
    <p v-else-if="model.note">{{ model.note }}</p>

    <section v-for="e in model.editions" :key="e.id" :data-edition="e.name">
      <h2>
        {{ e.name || (model.editions.length > 1 ? 'Without a name' : 'Figures') }}
        <span class="quiet"
          ><span class="figure">{{ e.pieces }}</span> {{ e.pieces === 1 ? 'watch' : 'watches' }}</span
        >
      </h2>
      <table v-if="e.figures.length > 0">
        <tbody>
          <tr v-for="f in e.figures" :key="f.figure">
            <th scope="row">{{ f.name }}</th>
            <td class="figure">{{ f.text }}</td>
            <td class="figure quiet">{{ f.spread }}</td>
            <td class="quiet">
              <span class="figure">{{ f.pieces }}</span> {{ f.pieces === 1 ? 'watch' : 'watches'
              }}{{ hows[f.how] ? `, ${hows[f.how]}` : '' }}{{ f.lastBy ? `, last by ${f.lastBy}` : '' }}
            </td>
            <td>
              <span v-for="o in f.odd" :key="o.watch" class="odd">
                odd:
                <router-link v-if="o.job" :to="`/jobs/${o.job}/gauge`">{{ o.text }}</router-link><template
                  v-else
                  >{{ o.text }}</template
                >
                <button
                  v-if="isFitter && names[e.id]"
                  type="button"
                  class="plain"
                  @click="act(() => part(e.id, [o.watch]))"
                >
                  into {{ names[e.id] }}
                </button>
              </span>
            </td>
          </tr>
        </tbody>
      </table>
      <svg
        v-if="e.twelve.length + e.six.length > 0"
        class="lay"
        :viewBox="`0 0 ${laid(e).width} 24`"
        role="img"
        :aria-label="told(e)"
      >
        <HeldLinks />
        <rect
          v-for="(l, i) in laid(e).links"
          :key="i"
          :x="l.x + 0.3"
          y="4"
          :width="Math.max(1, l.mm - 0.6)"
          height="16"
          rx="1"
          :class="l.what"
        />
      </svg>
      <p v-if="e.twelve.length + e.six.length > 0" class="quiet">{{ told(e) }}</p>
      <table v-if="e.joints.length > 0" aria-label="Joints">
        <tbody>
          <tr v-for="j in e.joints" :key="j.group">
            <th scope="row">{{ j.where }}</th>
            <td>{{ j.held }}</td>
            <td>{{ j.size }}</td>
            <td class="quiet">
              <template v-if="j.pieces > 0"
                ><span class="figure">{{ j.pieces }}</span>
                {{ j.pieces === 1 ? 'watch' : 'watches' }}</template
              ><template v-else>by a file</template
              ><template v-if="j.others.length > 0">; odd: {{ j.others.join(', ') }}</template>
            </td>
          </tr>
        </tbody>
      </table>
      <div v-if="e.twelve.length + e.six.length > 0" class="freed">
        <template v-for="side in ['twelve', 'six'] as const" :key="side">
          <label v-if="isFitter && (freedOf(e, side)?.pieces ?? 0) === 0"
            >Last link of the {{ side === 'twelve' ? '12' : '6' }} side, where it looks fixed
            <select
              :value="freedOf(e, side)?.is ?? ''"
              :name="`freed-${side}-${e.id}`"
              class="plain-field"
              @change="sayFreed(e.id, side, ($event.target as HTMLSelectElement).value)"
            >
              <option v-for="[value, says] in freedChoices" :key="value" :value="value">{{ says }}</option>
            </select></label
          >
          <p v-else-if="freedOf(e, side)">{{ freedOf(e, side)?.says }}</p>
        </template>
      </div>
      <dl v-if="e.facts.length > 0">
        <template v-for="f in e.facts" :key="f.fact">
          <dt>{{ facts[f.fact] ?? f.fact }}</dt>
          <dd>
            {{ spaced(f.value) }}
            <span v-if="f.others.length > 0" class="quiet">odd: {{ f.others.map(spaced).join(', ') }}</span>
          </dd>
        </template>
      </dl>
      <form v-if="isFitter" class="split" @submit.prevent="act(() => part(e.id, []))">
        <label
          >Another edition, or a model of its own, called
          <input v-model="names[e.id]" class="plain-field" :name="`split-${e.id}`" autocomplete="off"
        /></label>
        <v-btn type="submit" variant="outlined" :disabled="!names[e.id]">All of it, a model of its own</v-btn>
      </form>
    </section>

    <section v-if="model.notes.length > 0">
      <h2>Noted at the bench</h2>
      <ul>
        <li v-for="(n, i) in model.notes" :key="i">
          <a v-if="n.photoId !== null" :href="`/api/photos/${n.photoId}`" target="_blank"
            ><img
              :src="`/api/photos/${n.photoId}/thumbnail`"
              alt="Photo of it"
              width="88"
              height="66"
              loading="lazy"
          /></a>
          <span
            >{{ n.text }} <span class="quiet">{{ n.step }} {{ n.by }},</span>
            <router-link :to="`/jobs/${n.jobId}/bench`"
              >tag <span class="figure">{{ n.jobId }}</span></router-link
            ></span
          >
        </li>
      </ul>
    </section>
    <section v-if="model.parts.length > 0">
      <h2>Parts that went into it</h2>
      <ul>
        <li v-for="p in model.parts" :key="p.article">
          <router-link :to="`/house/parts?words=${encodeURIComponent(p.article)}`">{{
            p.article
          }}</router-link>
          {{ p.name }}<span class="figure">{{ p.pieces }}</span>
        </li>
      </ul>
    </section>

    <section v-if="isFitter">
      <h2>The same as another</h2>
      <label
        >Model
        <input v-model="into" class="plain-field" name="mergeInto" autocomplete="off" placeholder="its name"
      /></label>
      <button v-for="m in others6" :key="m.id" type="button" class="plain" @click="act(() => put(m.id))">
        Merge into {{ m.name }}
      </button>
    </section>

    <section v-if="model.jobs.length > 0">
      <h2>Jobs</h2>
      <ul>
        <li v-for="j in model.jobs" :key="j.jobId">
          <router-link :to="`/jobs/${j.jobId}/gauge`"
            >tag <span class="figure">{{ j.jobId }}</span></router-link
          >
          {{ j.client }}, {{ requestOf(j.request) }}{{ j.closed ? '' : ', open' }}
          <span v-if="j.minutes !== null" class="quiet"
            ><span class="figure">{{ j.minutes }}</span> min</span
          >
          <span v-if="j.rightFirst !== null" class="quiet">{{
            j.rightFirst ? 'right first' : 'changed after the try-on'
          }}</span>
        </li>
      </ul>
    </section>
  </section>
  <h1 v-else-if="sheet.error.value" role="alert">The model book has no model {{ route.params.id }}.</h1>
</template>

<style scoped>
.sheet {
  padding: 20px 28px 30px;
  max-width: 980px;
}
section section {
  margin-top: 14px;
}
h2 .quiet {
  font-weight: 400;
  font-size: 16px;
}
.change {
  display: grid;
  grid-template-columns: 1fr 2fr;
  gap: 8px 20px;
  margin-top: 8px;
}
.change label,
.split label {
  display: grid;
  gap: 2px;
}
.change input {
  width: 100%;
}
.freed {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  margin: 6px 0;
}
.freed label {
  display: grid;
  gap: 2px;
}
li img {
  object-fit: cover;
  border-radius: 3px;
}
.split {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: end;
  margin-top: 6px;
}
table {
  border-collapse: collapse;
  margin: 4px 0;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 3px 16px 3px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}
td {
  overflow-wrap: normal;
}
th::first-letter {
  text-transform: uppercase;
}
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 2px 16px;
  margin: 6px 0;
}
dt {
  color: rgb(var(--v-theme-iron));
}
.lay {
  width: 100%;
  max-width: 760px;
  margin: 6px 0;
}
.lay rect {
  fill: rgb(var(--v-theme-steel));
  stroke: rgb(var(--v-theme-ink, var(--v-theme-on-background)));
  stroke-width: 0.4;
}
.lay .fixed {
  fill: url(#held-links);
}
.lay .clasp {
  fill: rgb(var(--v-theme-iron));
}
.lay .head {
  fill: none;
}
.odd {
  font-weight: 600;
  margin-right: 8px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 4px 0;
}
li {
  min-height: 44px;
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  align-items: center;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}
li a,
.odd a {
  color: rgb(var(--v-theme-primary));
}
li a,
.plain {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
@media (max-width: 800px) {
  .sheet {
    padding: 14px 16px;
  }
  .change {
    grid-template-columns: 1fr;
  }
  th,
  td {
    padding-right: 8px;
    font-size: 15px;
  }
}
</style>
