<script setup lang="ts">
import { ref } from 'vue'
import type { Job } from '../../api/shop'
import { useSize, type Cure } from '../../api/size'
import { wholeOf } from '../../api/refused'
import RefusedLine from '../../controls/RefusedLine.vue'
import { price } from '../../controls/price'
import { pathOf } from '../../job/stations'

/** What would bring the band to a length that can be worn, with price and days. */
const props = defineProps<{ job: Job; open: boolean }>()
const size = useSize(() => props.job.id)
const cures = size.cures().data
const refused = ref<string | null>(null)
/** Where a cure is taken up that is not taken up here. */
const station = { links: null, clasp: pathOf.clasp, band: pathOf.match, extraHole: null }
async function take(cure: Cure) {
  try {
    if (cure.kind === 'links') await size.takeLinks({ partId: Number(cure.id), count: Number(cure.count) })
    else await size.punch(Number(cure.id))
    refused.value = null
  } catch (error) {
    refused.value = wholeOf(error)
  }
}
</script>

<template>
  <section v-if="cures && cures.length > 0" class="cures" aria-label="What would cure it">
    <h2>What would cure it</h2>
    <ul>
      <li v-for="c in cures" :key="`${c.kind}-${c.id}`" :data-cure="c.kind">
        <span
          >{{ c.says }}
          <span v-if="c.priceCents != null" class="quiet">
            <span class="figure">{{ price(Number(c.priceCents)) }}</span>,
            {{
              Number(c.days) === 0 ? 'here' : `some ${c.days} ${Number(c.days) === 1 ? 'day' : 'days'}`
            }}</span
          ></span
        >
        <button
          v-if="c.kind === 'extraHole' && open && job.may.punchHole.ok"
          type="button"
          class="plain"
          @click="take(c)"
        >
          Punch it there
        </button>
        <button
          v-else-if="c.kind === 'links' && open && job.may.markLinks.ok"
          type="button"
          class="plain"
          @click="take(c)"
        >
          Put it in
        </button>
        <router-link v-else-if="station[c.kind]" class="plain" :to="`/jobs/${job.id}/${station[c.kind]}`"
          >Go there</router-link
        >
      </li>
    </ul>
    <RefusedLine :of="refused" />
  </section>
</template>

<style scoped>
h2 {
  font-size: 17px;
}
ul {
  list-style: none;
  margin: 4px 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 12px;
  align-items: baseline;
  padding: 4px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}
</style>
