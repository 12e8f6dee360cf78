<script setup lang="ts">
import { tenths } from '../../api/tenths'
import { computed } from 'vue'
import type { LoopSheet } from '../../api/shop'
import LengthsAxis from '../../drawing/LengthsAxis.vue'
import LengthsLine from '../../drawing/LengthsLine.vue'

const props = defineProps<{ loop: LoopSheet }>()
const reach = computed(() => props.loop.reach)
const days = computed(() => props.loop.days)
</script>

<template>
  <template v-if="reach && loop.figures">
    <p>
      Every length it can make near the
      <span class="figure">{{ tenths(reach.targetMm) }} mm</span> wanted<template
        v-if="reach.offItsPlace.length > 0"
        >; short ticks are made only with the clasp further off than is wanted</template
      >. Shaded is what can be worn.
    </p>
    <div class="chart">
      <LengthsLine
        :lengths="reach.lengths"
        :aside="reach.offItsPlace"
        :target="reach.targetMm"
        :window="reach.windowMm"
        :best="loop.figures.lengthMm"
        :label="`What it can make; the loop is ${tenths(loop.figures.lengthMm)} mm`"
      />
      <LengthsAxis :target="reach.targetMm" />
    </div>
    <p v-if="reach.belowMm !== null || reach.aboveMm !== null" class="stuck">
      {{ reach.offItsPlace.length > 0 ? 'With the clasp in its place it is stuck' : 'Stuck' }} between sizes:
      <template v-if="reach.belowMm !== null"
        ><span class="figure">{{ tenths(reach.belowMm) }} mm</span> below</template
      ><template v-if="reach.belowMm !== null && reach.aboveMm !== null">, </template
      ><template v-if="reach.aboveMm !== null"
        ><span class="figure">{{ tenths(reach.aboveMm) }} mm</span> above</template
      >.
    </p>
    <dl>
      <dt>{{ reach.offItsPlace.length > 0 ? 'Clasp in its place' : 'Shortest to longest' }}</dt>
      <dd class="figure">{{ tenths(reach.shortestMm) }} to {{ tenths(reach.longestMm) }} mm</dd>
      <dt>Largest gap</dt>
      <dd class="figure">{{ tenths(reach.largestGapMm) }} mm</dd>
      <dt>Wrists it can serve</dt>
      <dd class="figure">
        {{ reach.smallestWristMm === null ? 'under 120' : reach.smallestWristMm.toFixed(0) }} to
        {{ reach.largestWristMm === null ? 'over 240' : reach.largestWristMm.toFixed(0) }} mm
      </dd>
    </dl>
    <section v-if="days" class="days">
      <h2>Hot and cold days</h2>
      <p data-testid="days">{{ days.says }}</p>
      <LengthsLine
        :lengths="reach.lengths"
        :aside="reach.offItsPlace"
        :target="days.hot.wantedMm"
        :window="reach.windowMm"
        :best="days.hot.lengthMm"
        :label="`A hot day wants ${tenths(days.hot.wantedMm)} mm`"
      />
      <p class="quiet">
        A hot day wants <span class="figure">{{ tenths(days.hot.wantedMm) }} mm</span>, a cold one
        <span class="figure">{{ tenths(days.cold.wantedMm) }} mm</span>.
      </p>
      <LengthsLine
        :lengths="reach.lengths"
        :aside="reach.offItsPlace"
        :target="days.cold.wantedMm"
        :window="reach.windowMm"
        :best="days.cold.lengthMm"
        :label="`A cold day wants ${tenths(days.cold.wantedMm)} mm`"
      />
    </section>
  </template>
</template>

<style scoped>
.chart {
  padding: 4px 0;
}
.stuck {
  font-weight: 600;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 18px;
  margin: 0;
}
dt {
  color: rgb(var(--v-theme-iron));
}
.days {
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding-top: 6px;
}
</style>
