<script setup lang="ts">
import { useJob, useMatches, type Job, type LoopSheet } from '../../api/shop'
import { wholeOf } from '../../api/refused'
import VerdictRing from './VerdictRing.vue'

const props = defineProps<{ job: Job; loop?: LoopSheet | undefined }>()
const { choose } = useJob(() => props.job.id)
const { data: matches, error, isLoading } = useMatches(() => props.job.id)
const ruleNames: Record<string, string> = { 'lug-width': 'Width', attachment: 'Attachment', wearer: 'Wearer' }
const price = (cents: number) => (cents / 100).toFixed(2)
</script>

<template>
  <p v-if="choose.error.value" class="refused" role="alert">{{ wholeOf(choose.error.value) }}</p>
  <p v-if="error" role="alert">{{ wholeOf(error) }}</p>
  <p v-else-if="isLoading" class="quiet">Asking every rule about every band…</p>
  <p v-else-if="matches?.length === 0">No band is in stock, and the owner brought none.</p>
  <div v-if="!job.closedAt" class="enter">
    <v-btn variant="outlined" :to="`/bands/new?job=${job.id}`">Enter the owner’s own band</v-btn>
    <v-btn variant="text" to="/bands/new">Put a band in stock</v-btn>
  </div>
  <ol v-if="matches?.length" class="bands">
    <li v-for="m in matches" :key="m.band.id" :class="{ chosen: m.chosen, no: m.verdict === 'no' }">
      <div class="top">
        <h2>{{ m.band.name }}</h2>
        <VerdictRing :verdict="m.verdict" />
      </div>
      <p class="quiet facts">
        <span class="figure">{{ m.band.widthMm }} mm</span>, {{ m.band.colour }}, {{ m.band.finish }},
        <template v-if="m.band.own">the owner’s own</template>
        <template v-else>
          <span class="figure">{{ price(m.band.priceCents) }}</span>,
          {{ m.free > 0 ? `${m.free} in stock` : 'none free' }}
        </template>
      </p>
      <dl>
        <template v-for="r in m.rules" :key="r.rule">
          <dt>{{ ruleNames[r.rule] ?? r.rule }}</dt>
          <dd :class="r.verdict">
            {{ r.says }}
            <em v-if="r.work.some((w) => !w.reversible)"
              >Cannot be undone: needs the owner’s written consent.</em
            >
          </dd>
        </template>
      </dl>
      <p v-if="m.chosen" class="mine">Chosen</p>
      <v-btn
        v-else-if="!m.whyNot && !job.closedAt"
        variant="outlined"
        color="primary"
        :loading="choose.isPending.value && choose.variables.value === m.band.id"
        @click="choose.mutate(m.band.id)"
      >
        Choose {{ m.band.article }}
      </v-btn>
      <p v-else-if="m.verdict !== 'no'" class="quiet">{{ m.whyNot }}</p>
    </li>
  </ol>
</template>

<style scoped>
.enter {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.bands {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  padding: 10px 2px 12px 10px;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}
li.chosen {
  box-shadow: inset 4px 0 0 rgb(var(--v-theme-primary));
}
.top {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
}
h2 {
  font-size: 19px;
}
li.no h2 {
  font-weight: 400;
}
.facts {
  font-size: 15px;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0 10px;
  margin: 4px 0 8px;
  font-size: 16px;
}
dt {
  color: rgb(var(--v-theme-iron));
}
dd {
  margin: 0;
}
dd.no,
dd.work,
dd.unknown {
  font-weight: 600;
}
.mine {
  font-weight: 600;
  color: rgb(var(--v-theme-primary));
}
.refused {
  color: rgb(var(--v-theme-error));
}
</style>
