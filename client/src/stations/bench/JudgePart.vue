<script setup lang="ts">
import { useBench, type BenchSheet } from '../../api/bench'
import { useActing } from '../../controls/acting'
import RefusedLine from '../../controls/RefusedLine.vue'

const props = defineProps<{ jobId: number; cameOut: BenchSheet['cameOut']; gone: BenchSheet['gone'] }>()
const { part } = useBench(() => props.jobId, false)
const { busy, error, act } = useActing()
const verdicts = [
  { title: 'bent', act: 'scrapped' },
  { title: 'worn', act: 'scrapped' },
  { title: 'lost', act: 'lost' },
] as const
/** Good needs no word; of the others one less lies in the tray, and another has to take its place. */
const judge = (heap: string, verdict: (typeof verdicts)[number]) =>
  act(() => part({ heap, count: 1, act: verdict.act, partId: null, why: verdict.title }))
const instead = (heap: string, partId: number | null) =>
  act(() => part({ heap, count: 1, act: 'fromStock', partId, why: '' }))
</script>

<template>
  <div v-for="c in cameOut" :key="c.heap" class="judge" role="group" :aria-label="`Of the ${c.part}, one is`">
    <span class="quiet">Of the {{ c.part }} just out, one is</span>
    <button
      v-for="v in verdicts"
      :key="v.title"
      type="button"
      class="plain"
      :disabled="busy"
      :data-judge="`${c.part}-${v.title}`"
      @click="judge(c.heap, v)"
    >
      {{ v.title }}
    </button>
  </div>
  <div
    v-for="g in gone"
    :key="`gone-${g.heap}`"
    role="group"
    :aria-label="`In place of one of the ${g.part}`"
  >
    <p>One of the {{ g.part }} is gone. In its place:</p>
    <p class="offers">
      <v-btn
        v-for="o in g.offers"
        :key="o.partId"
        variant="outlined"
        size="small"
        :disabled="busy"
        :data-instead="o.article"
        @click="instead(g.heap, o.partId)"
        >{{ o.article }}, {{ o.drawer }}{{ o.ofSize ? '' : `: ${o.measured}` }}</v-btn
      >
      <v-btn variant="text" size="small" :disabled="busy" @click="instead(g.heap, null)"
        >one from the bench box, not counted</v-btn
      >
    </p>
  </div>
  <RefusedLine :of="error" />
</template>

<style scoped>
.judge {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 12px;
}
.offers {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
}
.judge button {
  min-height: 44px;
}
</style>
