<script setup lang="ts">
import { computed, ref } from 'vue'
import { useLocalStorage } from '@vueuse/core'
import { useBench } from '../../api/bench'
import { printLabel } from '../../api/log'
import type { Job } from '../../api/shop'
import RefusedLine from '../../controls/RefusedLine.vue'

const props = defineProps<{ job: Job }>()
const paper = useLocalStorage<'a4' | 'letter'>('iron-loop-paper', 'a4')
const { sheet: bench } = useBench(() => props.job.id)
const sheets = computed(() => [
  { file: 'owners-card', title: 'Owner’s card' },
  { file: 'job-sheet', title: 'Job sheet' },
  ...(bench.data.value?.consent ? [{ file: 'consent', title: 'Consent sheet' }] : []),
])
const said = ref<string | null>(null)
const error = ref<unknown>(null)
const printing = ref(false)

async function print() {
  printing.value = true
  try {
    said.value = (await printLabel(props.job.id)).says
    error.value = null
  } catch (refusal) {
    said.value = null
    error.value = refusal
  }
  printing.value = false
}
</script>

<template>
  <div class="ways" role="radiogroup" aria-label="Paper">
    <label><input v-model="paper" type="radio" name="paper" value="a4" /> A4</label>
    <label><input v-model="paper" type="radio" name="paper" value="letter" /> Letter</label>
  </div>
  <ul>
    <li v-for="s in sheets" :key="s.file">
      <a :href="`/api/jobs/${job.id}/${s.file}.pdf?paper=${paper}`" target="_blank">{{ s.title }}</a>
      <span class="quiet">PDF</span>
    </li>
    <li>
      <a :href="`/api/jobs/${job.id}/label.pdf`" target="_blank">Bag label</a>
      <span class="quiet">PDF, 62 mm wide</span>
      <v-btn variant="outlined" :loading="printing" @click="print">Print the label</v-btn>
    </li>
    <li>
      <a :href="`/api/jobs/${job.id}/loop.svg`" target="_blank">Loop</a>
      <a :href="`/api/jobs/${job.id}/lay-out.svg`" target="_blank">Lay-out</a>
      <span class="quiet">SVG</span>
    </li>
  </ul>
  <p v-if="said" role="status">{{ said }}</p>
  <RefusedLine :of="error" />
</template>

<style scoped>
.ways {
  display: flex;
  gap: 24px;
}
.ways label {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 44px;
}
.ways input {
  width: 20px;
  height: 20px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  align-items: center;
  gap: 14px;
  min-height: 52px;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}
li .v-btn {
  margin-left: auto;
}
a {
  min-width: 44px;
  color: rgb(var(--v-theme-primary));
  font-weight: 600;
  padding: 10px 0;
}
</style>
