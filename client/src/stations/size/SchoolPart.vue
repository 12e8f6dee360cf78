<script setup lang="ts">
import { tenths } from '../../api/tenths'
import { ref } from 'vue'
import type { Job } from '../../api/shop'
import { useSize, type OddLink, type School } from '../../api/size'
import RefusedLine from '../../controls/RefusedLine.vue'

const props = defineProps<{ job: Job }>()
const { school, settle } = useSize(() => props.job.id)
const sheet = school().data
const trouble = ref<unknown>(null)
const wayNames = { measured: 'The tape alone', tryOn: 'The try-on alone', copy: 'The copied loop alone' }
const oddNames: Record<OddLink, string> = {
  asComputed: 'As computed',
  onTwelve: 'Shared evenly, odd one on 12',
  onSix: 'Shared evenly, odd one on 6',
}
async function choose(change: Partial<School>) {
  if (!sheet.value) return
  try {
    await settle({ ...sheet.value.house, ...change })
    trouble.value = null
  } catch (refusal) {
    trouble.value = refusal
  }
}
</script>

<template>
  <template v-if="sheet">
    <p class="quiet">
      Fitters differ here. What is chosen holds for the shop; what each would come to on this job stands
      beside it.
    </p>
    <fieldset v-if="sheet.ways.length > 2">
      <legend>How the length is known</legend>
      <label v-for="w in sheet.ways" :key="w.way ?? 'all'" :data-way="w.way ?? 'all'">
        <input
          type="radio"
          name="way"
          :checked="(sheet.house.way ?? null) === w.way"
          @change="choose({ way: w.way })"
        />
        <span>
          <strong>{{ w.way ? wayNames[w.way] : 'All that is known, together' }}</strong>
          wants <span class="figure">{{ tenths(w.wantedMm) }} ± {{ tenths(w.sigmaMm) }} mm</span>; right the
          first time <span class="figure">{{ w.chancePercent }} %</span>
          <span class="quiet does">{{ w.does }}</span>
        </span>
      </label>
    </fieldset>
    <p v-else class="quiet">
      The length is known in one way only; a try-on or another loop would make it surer.
    </p>
    <fieldset v-if="sheet.oddLinks.length > 0">
      <legend>The odd link</legend>
      <label v-for="o in sheet.oddLinks" :key="o.odd" :data-odd="o.odd">
        <input
          type="radio"
          name="odd"
          :checked="sheet.house.odd === o.odd"
          @change="choose({ odd: o.odd })"
        />
        <span>
          <strong>{{ oddNames[o.odd] }}</strong>
          <template v-if="o.odd !== 'asComputed'">. {{ o.costs ?? 'The same here.' }}</template>
          <span class="quiet does">{{ o.does }}</span>
        </span>
      </label>
    </fieldset>
    <RefusedLine :of="trouble" />
  </template>
</template>

<style scoped>
fieldset {
  border: 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding: 6px 0 0;
  margin: 0;
}
legend {
  font-size: 17px;
  font-weight: 600;
  padding: 0 10px 0 0;
}
label {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 10px;
  align-items: start;
  padding: 6px 0;
  min-height: 44px;
}
input {
  width: 22px;
  height: 22px;
}
.does {
  display: block;
}
</style>
