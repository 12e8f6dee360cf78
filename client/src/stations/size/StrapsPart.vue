<script setup lang="ts">
import { tenths } from '../../api/tenths'
import type { Job } from '../../api/shop'
import { useSize } from '../../api/size'
import VerdictRing from '../VerdictRing.vue'

const props = defineProps<{ job: Job }>()
const straps = useSize(() => props.job.id).straps().data
</script>

<template>
  <p>The shop’s straps for this watch; the pair whose middle hole is nearest leaves most each way.</p>
  <ol v-if="straps">
    <li v-for="(s, i) in straps" :key="s.bandId" :data-strap="s.article" :class="{ here: s.here }">
      <VerdictRing :verdict="s.verdict" bare />
      <div>
        <p>
          <strong v-if="i === 0">Best length. </strong><strong v-if="s.here">The one chosen. </strong
          >{{ s.name }},
          <span class="figure">{{ s.bucklePieceMm }} / {{ s.tailMm }} mm</span>
        </p>
        <p class="quiet">
          Middle hole <span class="figure">{{ tenths(s.missMm) }} mm</span> from what is wanted; closed in
          hole <span class="figure">{{ s.hole }}</span> of {{ s.holes }}:
          <span class="figure">{{ s.holesTighter }}</span> left to tighten,
          <span class="figure">{{ s.holesLooser }}</span> to loosen; the tail passes the buckle by
          <span class="figure">{{ tenths(s.pastBuckleMm) }} mm</span
          >{{ s.keepersHold ? '' : ', too little for both keepers' }}.
        </p>
      </div>
    </li>
  </ol>
  <p class="quiet">Another one is chosen at Match.</p>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 10px;
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding: 8px 0;
}
.here {
  border-left: 3px solid rgb(var(--v-theme-primary));
  padding-left: 8px;
}
</style>
