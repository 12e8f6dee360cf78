<script setup lang="ts">
import type { AlsoBand } from '../../api/match'
import { price } from '../../controls/price'

/** The bands of a job beside the one on the watch when it leaves. */
defineProps<{ also: AlsoBand[]; open: boolean; choosable: boolean }>()
const emit = defineEmits<{ takeOff: [bandId: number]; choose: [bandId: number] }>()
</script>

<template>
  <section class="also" aria-label="Also on this job">
    <h2>Also on this job</h2>
    <ul>
      <li v-for="b in also" :key="b.bandId" :data-also="b.article">
        <span>
          <strong>{{ b.name }}</strong> {{ b.article
          }}<template v-if="Number(b.priceCents) > 0"
            >, <span class="figure">{{ price(b.priceCents) }}</span></template
          >{{ b.as === 'forTheBag' ? `: goes along in the bag, ${b.written}.` : ': shown for looks.' }}
        </span>
        <span v-if="open" class="acts">
          <button
            v-if="b.as === 'forTheBag' && choosable"
            type="button"
            class="plain"
            @click="emit('choose', b.bandId)"
          >
            On the watch instead
          </button>
          <button type="button" class="plain" @click="emit('takeOff', b.bandId)">Not any more</button>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.also {
  border-top: 3px double rgb(var(--v-theme-hairline));
  padding-top: 8px;
}
h2 {
  font-size: 17px;
}
ul {
  list-style: none;
  margin: 4px 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 2px 12px;
  align-items: baseline;
}
</style>
