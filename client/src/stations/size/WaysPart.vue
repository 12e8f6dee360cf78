<script setup lang="ts">
import { tenths } from '../../api/tenths'
import { ref } from 'vue'
import type { Job } from '../../api/shop'
import { useSize, type PullThroughWay } from '../../api/size'
import { ways as wayNames } from '../words'
import RefusedLine from '../../controls/RefusedLine.vue'

const props = defineProps<{ job: Job; open: boolean }>()
const size = useSize(() => props.job.id)
const ways = size.ways().data
const trouble = ref<unknown>(null)
async function wear(way: PullThroughWay) {
  try {
    await size.wear(way)
    trouble.value = null
  } catch (refusal) {
    trouble.value = refusal
  }
}
</script>

<template>
  <ol>
    <li v-for="w in ways ?? []" :key="w.way" :data-way="w.way" :class="{ chosen: w.chosen }">
      <h2>{{ wayNames[w.way] }}</h2>
      <p>
        Hole <span class="figure">{{ w.hole }}</span> of {{ w.holes }}:
        <span class="figure">{{ w.holesTighter }}</span> left to tighten,
        <span class="figure">{{ w.holesLooser }}</span> to loosen.
        <template v-if="!w.canBeWorn">No hole can be worn.</template>
      </p>
      <p>
        Head raised by <span class="figure">{{ tenths(w.raiseMm) }} mm</span
        ><template v-if="w.headHeightMm !== null"
          >, its top <span class="figure">{{ tenths(w.headHeightMm) }} mm</span> above the wrist</template
        >; <span class="figure">{{ tenths(w.lengthMm) }}</span> of
        <span class="figure">{{ tenths(w.targetMm) }} mm</span> wanted.
      </p>
      <p class="quiet">{{ w.feels }}.</p>
      <p v-if="w.whyNot" class="refused">{{ w.whyNot }}</p>
      <strong v-if="w.chosen">Worn this way</strong>
      <v-btn v-else-if="open && !w.whyNot" variant="outlined" @click="wear(w.way)">Wear it this way</v-btn>
    </li>
  </ol>
  <RefusedLine :of="trouble" />
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding: 8px 0;
}
.chosen {
  border-left: 3px solid rgb(var(--v-theme-primary));
  padding-left: 8px;
}
h2 {
  font-size: 17px;
  font-weight: 600;
}
.quiet::first-letter {
  text-transform: uppercase;
}
</style>
