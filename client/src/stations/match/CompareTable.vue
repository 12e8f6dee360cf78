<script setup lang="ts">
import { computed } from 'vue'
import type { Match } from '../../api/match'
import ReachRuler from './ReachRuler.vue'
import VerdictRing from '../VerdictRing.vue'
import { price } from '../../controls/price'
import { ruleNames } from '../words'

const props = defineProps<{ matches: Match[] }>()
const emit = defineEmits<{ drop: [bandId: number]; close: [] }>()
const rules = computed(() =>
  Object.keys(ruleNames).filter((name) => props.matches.some((m) => m.rules.some((r) => r.rule === name))),
)
const ruleOf = (match: Match, name: string) => match.rules.find((r) => r.rule === name)
</script>

<template>
  <section class="compare" aria-label="Bands side by side">
    <header>
      <h2>Side by side</h2>
      <v-btn variant="text" @click="emit('close')">Back to the list</v-btn>
    </header>
    <div class="scroll">
      <table>
        <thead>
          <tr>
            <th />
            <th v-for="m in matches" :key="m.band.id" scope="col">
              {{ m.band.name }}
              <button type="button" :aria-label="`Take ${m.band.name} away`" @click="emit('drop', m.band.id)">
                ×
              </button>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row">Verdict</th>
            <td v-for="m in matches" :key="m.band.id">
              <VerdictRing :verdict="m.verdict" :certainty="m.certainty" />
            </td>
          </tr>
          <tr>
            <th scope="row">Price</th>
            <td v-for="m in matches" :key="m.band.id" class="figure">{{ price(m.band.priceCents) }}</td>
          </tr>
          <tr>
            <th scope="row">Width, thickness</th>
            <td v-for="m in matches" :key="m.band.id" class="figure">
              {{ m.band.widthMm }} mm, {{ m.band.thicknessMm }} mm
            </td>
          </tr>
          <tr>
            <th scope="row">Closes with</th>
            <td v-for="m in matches" :key="m.band.id">{{ m.band.claspName }}</td>
          </tr>
          <tr>
            <th scope="row">Reach</th>
            <td v-for="m in matches" :key="m.band.id"><ReachRuler v-if="m.reach" :reach="m.reach" /></td>
          </tr>
          <tr v-for="name in rules" :key="name">
            <th scope="row">{{ ruleNames[name] }}</th>
            <td v-for="m in matches" :key="m.band.id">
              <template v-if="ruleOf(m, name)">
                <VerdictRing
                  :verdict="ruleOf(m, name)!.verdict"
                  :certainty="ruleOf(m, name)!.certainty"
                  bare
                />
                <span class="said">{{ ruleOf(m, name)!.says }}</span>
              </template>
              <span v-else class="quiet">not asked</span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.compare header {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  width: 100%;
  font-size: 15px;
}
th,
td {
  text-align: left;
  vertical-align: top;
  padding: 5px 12px 5px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
  font-weight: 400;
}
thead th {
  font-weight: 600;
  font-size: 17px;
}
thead button {
  min-width: 34px;
  min-height: 44px;
}
tbody th {
  color: rgb(var(--v-theme-iron));
  white-space: nowrap;
}
.said {
  display: block;
}
</style>
