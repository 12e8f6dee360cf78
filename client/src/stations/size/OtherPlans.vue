<script setup lang="ts">
import { tenths } from '../../api/tenths'
import type { Alternative, LoopSheet } from '../../api/shop'

defineProps<{ loop: LoopSheet; open: boolean }>()
const emit = defineEmits<{ take: [plan: Alternative]; planner: [] }>()
const off = (mm: number) =>
  Math.abs(mm) < 0.05 ? 'centred' : `${tenths(Math.abs(mm))} mm to ${mm > 0 ? '6' : '12'}`
</script>

<template>
  <p v-if="!loop.alternatives?.length" class="quiet">
    No other plan is better in anything: not nearer, not more central, not with more left, not with less work.
  </p>
  <ol class="others">
    <li v-for="(plan, i) in loop.alternatives" :key="i" :data-alternative="i">
      <p class="trades">{{ plan.trades }}</p>
      <p>{{ plan.does }}</p>
      <p class="figure facts">
        <span>{{ tenths(plan.lengthMm) }} mm</span><span>{{ off(plan.offCentreMm) }}</span
        ><span>−{{ tenths(plan.tighterMm) }} / +{{ tenths(plan.looserMm) }} mm</span
        ><span>{{ plan.linksMoved }} moved</span>
      </p>
      <v-btn v-if="open" variant="outlined" @click="emit('take', plan)">Try this one</v-btn>
    </li>
  </ol>
  <div v-if="open && !loop.isPlanned">
    <v-btn variant="text" @click="emit('planner')">Back to the planner’s answer (P)</v-btn>
  </div>
</template>

<style scoped>
.others {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding: 6px 0 10px;
}
.trades {
  font-weight: 600;
}
.trades::first-letter {
  text-transform: uppercase;
}
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
  font-size: 15px;
  padding-bottom: 4px;
}
</style>
