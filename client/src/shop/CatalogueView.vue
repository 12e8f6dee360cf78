<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { onScopeDispose, ref } from 'vue'
import {
  cancelCatalogue,
  catalogueProgress,
  importCatalogue,
  mapCatalogue,
  readCatalogue,
  type Catalogue,
} from '../api/match'
import { wholeOf } from '../api/refused'
import RefusedLine from '../controls/RefusedLine.vue'
import { useActs } from '../controls/acts'
import { useInAddress } from '../controls/inAddress'

const queries = useQueryClient()
/** What the file is of: bands for the stock, or a maker's models for the model book. */
const of = useInAddress<string>('of', 'bands')
const catalogue = ref<Catalogue | null>(null)
const trouble = ref<string | null>(null)
const busy = ref(false)
const rows = ref(0)
let timer: ReturnType<typeof setTimeout> | undefined
onScopeDispose(() => clearTimeout(timer))

async function run(what: () => Promise<Catalogue>) {
  busy.value = true
  try {
    catalogue.value = await what()
    trouble.value = null
  } catch (error) {
    trouble.value = wholeOf(error)
  }
  busy.value = false
}

async function read(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (file) await run(() => readCatalogue(file, of.value))
  ;(event.target as HTMLInputElement).value = ''
}

function map(header: string, column: string) {
  const now = catalogue.value
  if (now)
    void run(() =>
      mapCatalogue(
        now.id,
        now.columns.map((c) => (c.header === header ? { header, column: column || null } : c)),
      ),
    )
}

async function take(skipBad: boolean) {
  const now = catalogue.value
  if (!now) return
  rows.value = now.rows
  await run(() => importCatalogue(now.id, skipBad))
  await follow()
}

/** Asks how far it has come until it has ended. */
async function follow() {
  if (catalogue.value?.state !== 'running') {
    await queries.invalidateQueries()
    return
  }
  timer = setTimeout(() => {
    void run(() => catalogueProgress(catalogue.value!.id)).then(follow)
  }, 250)
}
useActs(() => {
  const back = { says: 'Start', to: '/' }
  const now = catalogue.value
  if (now?.state !== 'waiting')
    return { back, first: { says: 'Put one band in stock', to: '/bands/new', quiet: true } }
  const why =
    now.missing.length > 0
      ? `No column is taken for ${now.missing.join(', ')}.`
      : now.badRows > 0
        ? 'Some rows are bad: mend the file, or skip them.'
        : now.rows === 0
          ? 'The file has no rows.'
          : null
  return { back, first: { says: 'Take all rows in', press: () => take(false), busy: busy.value, off: why } }
})
</script>

<template>
  <div>
    <h1>The catalogue</h1>
    <p class="says">
      A CSV file, comma or semicolon, UTF-8: of bands for the stock, or of a maker’s watch models for the
      model book. What is known by its article number, or its name, is brought up to date.
    </p>
    <div class="row">
      <label class="pick"
        >Of
        <select v-model="of" name="catalogueOf" :disabled="busy" @change="catalogue = null">
          <option value="bands">bands</option>
          <option value="models">watch models</option>
        </select>
      </label>
      <label class="pick">
        Choose a CSV file
        <input type="file" name="catalogue" accept=".csv,text/csv" :disabled="busy" @change="read" />
      </label>
      <template v-if="of === 'bands'">
        <a class="write" href="/api/catalogue.csv" download>Write the stock, with commas</a>
        <a class="write" href="/api/catalogue.csv?delimiter=semicolon" download>with semicolons</a>
        <router-link class="write" to="/bands/new">Put one band in stock</router-link>
      </template>
      <router-link v-else class="write" to="/house/models">Model book</router-link>
    </div>
    <p v-if="busy && !catalogue" class="quiet">Reading…</p>
    <RefusedLine :of="trouble" />

    <template v-if="catalogue">
      <p data-testid="catalogue">
        Parted by {{ catalogue.delimiter }}, decimal {{ catalogue.decimal }}.
        <span class="figure">{{ catalogue.rows }}</span> rows:
        <span class="figure">{{ catalogue.added }}</span> new,
        <span class="figure">{{ catalogue.updated }}</span> known,
        <span class="figure">{{ catalogue.badRows }}</span> bad.
        <strong v-if="catalogue.missing.length > 0"
          >No column is taken for {{ catalogue.missing.join(', ') }}.</strong
        >
      </p>
      <progress
        v-if="catalogue.state === 'running'"
        :value="catalogue.rows"
        :max="rows"
        aria-label="Rows taken in"
      />
      <v-btn
        v-if="catalogue.state === 'running'"
        variant="outlined"
        @click="void cancelCatalogue(catalogue.id)"
        >Cancel</v-btn
      >
      <p v-if="catalogue.says" role="status">
        <strong>{{ catalogue.says }}</strong>
      </p>
      <div v-if="catalogue.state === 'waiting'" class="row">
        <v-btn
          v-if="catalogue.badRows > 0"
          variant="outlined"
          :disabled="busy || catalogue.missing.length > 0"
          @click="take(true)"
          >Skip the bad ones</v-btn
        >
      </div>
      <h2 v-if="catalogue.bad.length > 0">Bad rows</h2>
      <table v-if="catalogue.bad.length > 0" class="bad">
        <tbody>
          <tr v-for="(b, i) in catalogue.bad" :key="i">
            <td>
              line <span class="figure">{{ b.line }}</span>
            </td>
            <td>{{ b.column }}</td>
            <td class="figure">{{ b.value }}</td>
            <td>{{ b.reason }}</td>
          </tr>
        </tbody>
      </table>
      <template v-if="catalogue.state === 'waiting'">
        <h2>Columns</h2>
        <div class="columns">
          <label v-for="c in catalogue.columns" :key="c.header">
            <span>{{ c.header }}</span>
            <select
              :value="c.column ?? ''"
              :name="`column-${c.header}`"
              @change="map(c.header, ($event.target as HTMLSelectElement).value)"
            >
              <option value="">not taken</option>
              <option v-for="k in catalogue.known" :key="k" :value="k">{{ k }}</option>
            </select>
          </label>
        </div>
        <h2 v-if="catalogue.samples.length > 0">As they would be stored</h2>
        <ul class="samples">
          <li v-for="s in catalogue.samples" :key="s.line">
            line <span class="figure">{{ s.line }}</span>: {{ s.says }}
          </li>
        </ul>
      </template>
    </template>
  </div>
</template>

<style scoped>
h2 {
  margin-top: 12px;
}
.pick {
  display: inline-flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 10px;
  min-height: 44px;
  font-weight: 600;
}
.write {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  color: rgb(var(--v-theme-primary));
}
.pick input,
.pick input::file-selector-button {
  font: inherit;
}
progress {
  width: 100%;
  max-width: 500px;
  height: 18px;
}
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  gap: 6px 20px;
}
.columns label {
  display: grid;
  grid-template-columns: 1fr 120px;
  align-items: center;
  gap: 8px;
}
.columns span {
  overflow: hidden;
  text-overflow: ellipsis;
}
.pick select,
.columns select {
  min-height: 44px;
  border: 1px solid rgb(var(--v-theme-hairline));
  color: inherit;
  background: rgb(var(--v-theme-background));
}
.bad {
  border-collapse: collapse;
}
.bad td {
  padding: 3px 16px 3px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
  vertical-align: top;
}
.samples {
  margin: 4px 0;
  padding-left: 18px;
}
</style>
