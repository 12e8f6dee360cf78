<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useModelFile, useModels } from '../api/models'
import { useDoor } from '../api/door'
import RefusedLine from '../controls/RefusedLine.vue'
import { useActs } from '../controls/acts'
import { useInAddress } from '../controls/inAddress'

const words = useInAddress<string>('words', '')
const typed = ref(words.value)
const skip = ref(0)
const asked = refDebounced(typed, 120)
watch(asked, (now) => {
  words.value = now
  skip.value = 0
})
const { data } = useModels(asked, skip)
const takeIn = useModelFile()
const isFitter = useDoor().mayAs('fitter')
const input = useTemplateRef<HTMLInputElement>('input')
const error = ref<unknown>(null)
const says = ref('')
const shown = computed(() => data.value?.models ?? [])

async function chosen() {
  const file = input.value?.files?.[0]
  if (!file) return
  try {
    const taken = await takeIn(JSON.parse(await file.text()) as Parameters<typeof takeIn>[0])
    says.value = `${taken.models} taken in, ${taken.figures} figures.`
    error.value = null
  } catch (refusal) {
    says.value = ''
    error.value =
      refusal instanceof SyntaxError ? new Error(`${file.name} is no JSON: ${refusal.message}`) : refusal
  }
  if (input.value) input.value.value = ''
}
useActs(() => ({
  back: { says: 'Start', to: '/' },
  lesser: isFitter.value ? [{ says: 'Take a file in…', press: () => input.value?.click() }] : [],
}))
</script>

<template>
  <div>
    <h1>Model book</h1>
    <p class="says">
      What is gauged of a watch is kept with its model; the next of that model is known before it is gauged.
    </p>
    <input
      v-model="typed"
      class="plain-field"
      type="search"
      name="modelWords"
      aria-label="Model"
      placeholder="Model"
    />
    <input ref="input" type="file" accept=".json,application/json" name="modelFile" hidden @change="chosen" />
    <p v-if="says" role="status">{{ says }}</p>
    <RefusedLine :of="error" />
    <p v-if="data && data.total === 0" class="quiet">
      Nothing yet: it fills itself with the first watch that is gauged, or from a file.
    </p>
    <p v-else-if="data && shown.length === 0" class="quiet">No model is called like that.</p>
    <ul>
      <li v-for="m in shown" :key="m.id">
        <router-link :to="`/models/${m.id}`">{{ m.name }}</router-link>
        <span class="quiet">{{ m.says }}</span>
      </li>
    </ul>
    <p v-if="data && asked === '' && data.total > 50" class="pages">
      <v-btn variant="outlined" :disabled="skip === 0" @click="skip -= 50">Before</v-btn>
      <span class="figure">{{ skip + 1 }}–{{ Math.min(data.total, skip + 50) }} of {{ data.total }}</span>
      <v-btn variant="outlined" :disabled="skip + 50 >= data.total" @click="skip += 50">Further</v-btn>
    </p>
    <p class="quiet">
      <router-link v-if="isFitter" class="plain" to="/house?of=models">A maker’s catalogue…</router-link>
      <a class="plain" href="/api/models/file" download="models.json">All as a file</a>
      <a class="plain" href="/api/models.csv" download>Figures as CSV</a>
    </p>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 8px 0;
  max-width: 860px;
}
li {
  border-top: 1px solid rgb(var(--v-theme-hairline));
}
li a {
  color: rgb(var(--v-theme-primary));
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  font-weight: 600;
  margin-right: 14px;
}
input[type='search'] {
  margin-top: 8px;
  width: min(420px, 100%);
}
.pages {
  display: flex;
  align-items: center;
  gap: 10px;
}
.plain {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  margin-right: 16px;
}
</style>
