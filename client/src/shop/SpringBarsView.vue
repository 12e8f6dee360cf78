<script setup lang="ts">
import { reactive, ref } from 'vue'
import { useSpringBars, type SpringBarSheet } from '../api/match'
import { saidOf } from '../api/refused'
import RefusedLine from '../controls/RefusedLine.vue'
import { useActs } from '../controls/acts'
import DraftLine from '../controls/DraftLine.vue'
import { useDraft } from '../controls/drafts'

const { bars, set } = useSpringBars()
const error = ref<unknown>(null)
const bar = reactive({
  article: '',
  length: '',
  body: '',
  tip: '',
  curved: false,
  style: 'plain' as const,
  inStock: '10',
})
const styles = [
  { value: 'plain', title: 'Plain' },
  { value: 'flanged', title: 'Flanged' },
  { value: 'quickRelease', title: 'With a lever' },
  { value: 'screwed', title: 'Screwed' },
]

const draft = useDraft(
  'bars',
  () => ({ ...bar }),
  (kept) => Object.assign(bar, kept),
)

async function put() {
  try {
    await set({ ...bar, inStock: Math.trunc(Number(bar.inStock)) || 0 } satisfies SpringBarSheet)
    draft.done()
    error.value = null
  } catch (refusal) {
    error.value = refusal
  }
}
useActs(() => ({ back: { says: 'Start', to: '/' }, first: { says: 'Put it in stock', form: 'bars' } }))
</script>

<template>
  <div>
    <h1>Spring bars and screwed bars</h1>
    <p class="says">
      Bars are matched to lugs and bands from what is here. The same article number changes the bar.
    </p>
    <form id="bars" @submit.prevent="put">
      <v-text-field
        v-model="bar.article"
        label="Article"
        name="article"
        :error-messages="saidOf(error, '$.article')"
      />
      <v-text-field
        v-model="bar.length"
        label="Length"
        name="length"
        :error-messages="saidOf(error, '$.length')"
      />
      <v-text-field v-model="bar.body" label="Body" name="body" :error-messages="saidOf(error, '$.body')" />
      <v-text-field v-model="bar.tip" label="Tip" name="tip" :error-messages="saidOf(error, '$.tip')" />
      <v-select v-model="bar.style" :items="styles" label="Style" data-field="style" />
      <v-checkbox v-model="bar.curved" label="Curved" hide-details />
      <v-text-field
        v-model="bar.inStock"
        label="In stock"
        name="inStock"
        inputmode="numeric"
        :error-messages="saidOf(error, '$.inStock')"
      />
    </form>
    <DraftLine :draft="draft" />
    <RefusedLine :of="error" beside-fields />
    <p v-if="bars.data.value?.length === 0" class="quiet">
      No bar is in stock yet; the rule about bars is not asked.
    </p>
    <table v-else>
      <thead>
        <tr>
          <th>Article</th>
          <th>Length</th>
          <th>Body</th>
          <th>Tip</th>
          <th>Shape</th>
          <th>In stock</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="b in bars.data.value" :key="b.article">
          <td>{{ b.article }}</td>
          <td class="figure">{{ b.lengthMm }} mm</td>
          <td class="figure">{{ b.bodyMm }} mm</td>
          <td class="figure">{{ b.tipMm }} mm</td>
          <td>
            {{ b.curved ? 'curved' : 'straight' }},
            {{ styles.find((s) => s.value === b.style)?.title.toLowerCase() }}
          </td>
          <td class="figure">{{ b.inStock }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 6px 20px;
  align-items: center;
  max-width: 860px;
  margin: 10px 0;
}
th,
td {
  text-align: left;
  padding: 4px 22px 4px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}
@media (max-width: 800px) {
  form {
    grid-template-columns: 1fr 1fr;
  }
  th,
  td {
    padding-right: 8px;
    font-size: 15px;
  }
}
</style>
