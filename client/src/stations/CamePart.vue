<script setup lang="ts">
import { useBench, type BenchSheet } from '../api/bench'
import { useKept } from './kept'
import { heldBy, onTheWatch } from './came'
import RefusedLine from '../controls/RefusedLine.vue'

const props = defineProps<{ jobId: number; sheet: BenchSheet; open: boolean }>()
const { came } = useBench(() => props.jobId, false)
const { typed, error, keep } = useKept(() => props.sheet.came, came)
</script>

<template>
  <form class="came" @submit.prevent="keep">
    <fieldset :disabled="!open">
      <legend>On the watch as it came</legend>
      <select v-model="typed.on" class="plain-field" name="cameOn" aria-label="What is on it" @change="keep">
        <option v-for="o in onTheWatch" :key="o.value" :value="o.value">{{ o.title }}</option>
      </select>
      <label v-if="typed.on !== 'nothing'"
        >held by
        <select v-model="typed.held" class="plain-field" name="cameHeld" @change="keep">
          <option v-for="h in heldBy" :key="h.value" :value="h.value">{{ h.title }}</option>
        </select>
      </label>
      <label v-if="typed.on !== 'nothing'">
        <input v-model="typed.isWanted" type="checkbox" name="cameWanted" @change="keep" /> the band this job
        is about
      </label>
      <span v-if="!sheet.came.said" class="quiet">as usual for what is asked, until somebody says</span>
    </fieldset>
    <RefusedLine :of="error" />
  </form>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0 0 8px;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
}
legend {
  font-size: 17px;
  font-weight: 600;
  padding: 0;
}
</style>
