<script setup lang="ts">
import { useBench } from '../../api/bench'
import { wholeOf } from '../../api/refused'
import { useActing } from './acting'

const props = defineProps<{ jobId: number; cameOut: string[] }>()
const { part } = useBench(() => props.jobId)
const { busy, error, act } = useActing()
const verdicts = [
  { title: 'bent', act: 'scrapped' },
  { title: 'worn', act: 'scrapped' },
  { title: 'lost', act: 'lost' },
] as const
/** Good needs no word; of the others one less lies in the tray, and another has to take its place. */
const judge = (what: string, verdict: (typeof verdicts)[number]) =>
  act(() => part({ part: what, count: 1, act: verdict.act, partId: null, why: verdict.title }))
</script>

<template>
  <div v-for="what in cameOut" :key="what" class="judge" role="group" :aria-label="`Of the ${what}, one is`">
    <span class="quiet">Of the {{ what }} just out, one is</span>
    <button
      v-for="v in verdicts"
      :key="v.title"
      type="button"
      class="plain"
      :disabled="busy"
      :data-judge="`${what}-${v.title}`"
      @click="judge(what, v)"
    >
      {{ v.title }}
    </button>
  </div>
  <p v-if="wholeOf(error)" class="refused" role="alert">{{ wholeOf(error) }}</p>
</template>

<style scoped>
.judge {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 12px;
}
.judge button {
  min-height: 44px;
}
.refused {
  color: rgb(var(--v-theme-error));
}
</style>
