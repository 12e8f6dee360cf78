<script setup lang="ts">
import { computed, ref } from 'vue'
import { useLogFigures } from '../api/log'
import { asDay } from '../controls/days'
import { requests } from '../job/requests'
import BarRows from './BarRows.vue'
import WeekBars from './WeekBars.vue'

const weeks = ref(26)
const { data: figures } = useLogFigures(weeks)
const closed = computed(() =>
  (figures.value?.weeks ?? []).map((w) => ({ monday: w.monday, count: w.closed })),
)
const together = computed(() =>
  (figures.value?.weeks ?? []).reduce(
    (sum, w) => ({
      closed: sum.closed + w.closed,
      tried: sum.tried + w.triedOn,
      right: sum.right + w.rightFirst,
    }),
    { closed: 0, tried: 0, right: 0 },
  ),
)
const share = computed(() =>
  (figures.value?.weeks ?? []).map((w) => ({
    monday: w.monday,
    count: w.triedOn,
    marked: w.rightFirst,
  })),
)
const minutes = computed(() =>
  (figures.value?.minutes ?? []).map((m) => ({
    name: `${requests.find((r) => r.value === m.request)?.title ?? m.request}${m.joined ? `, ${m.joined}` : ''}`,
    value: m.minutes,
    says: `${m.minutes.toFixed(0)} min${m.expected === null ? '' : `, ${m.expected.toFixed(0)} expected`}, ${m.jobs} ${m.jobs === 1 ? 'job' : 'jobs'}`,
  })),
)
const widths = computed(() =>
  (figures.value?.widths ?? []).map((w) => ({
    name: `${Number(w.widthMm).toFixed(1).replace('.0', '')} mm`,
    value: w.jobs,
    says: `${w.jobs}`,
  })),
)
</script>

<template>
  <div class="figures">
    <label class="span"
      >Over the last
      <select v-model="weeks" class="plain-field" name="weeks">
        <option :value="13">13 weeks</option>
        <option :value="26">26 weeks</option>
        <option :value="52">52 weeks</option>
        <option :value="104">two years</option>
      </select></label
    >
    <section>
      <h2>Jobs handed over, by week</h2>
      <p class="quiet">
        <span class="figure">{{ together.closed }}</span> in all{{
          figures?.weeks[0] ? `, since ${asDay(figures.weeks[0].monday)}` : ''
        }}.
      </p>
      <WeekBars :weeks="closed" label="Jobs handed over, by week" />
    </section>
    <section>
      <h2>Bracelets right at the first try-on</h2>
      <p v-if="together.tried > 0" class="quiet">
        <span class="figure">{{ together.right }} of {{ together.tried }}</span
        >, {{ Math.round((100 * together.right) / together.tried) }} %. Dark is right the first time, the
        frame all that were tried on.
      </p>
      <p v-else class="quiet">No bracelet was tried on at the bench in this time.</p>
      <WeekBars
        v-if="together.tried > 0"
        :weeks="share"
        label="Bracelets tried on, and right the first time"
      />
    </section>
    <section>
      <h2>Promises kept</h2>
      <p v-if="figures && figures.promises.of > 0" class="quiet">
        <span class="figure">{{ figures.promises.kept }} of {{ figures.promises.of }}</span
        >, {{ Math.round((100 * figures.promises.kept) / figures.promises.of) }} %, were done at the bench by
        the promised day<template v-if="figures.promises.kept < figures.promises.of"
          >; the others <span class="figure">{{ figures.promises.daysLate }}</span> days late on
          average</template
        >.
      </p>
      <p v-else class="quiet">Nothing was handed over in this time.</p>
    </section>
    <section>
      <h2>Minutes at the bench</h2>
      <p v-if="minutes.length === 0" class="quiet">No step was timed in this time.</p>
      <p v-else class="quiet">
        The middle one of the jobs that were timed, and what was expected when the plan was approved. From
        five jobs of a kind on, what they took is what the day counts with.
      </p>
      <BarRows :rows="minutes" label="Minutes at the bench by kind of job" />
    </section>
    <section>
      <h2>Widths</h2>
      <p v-if="widths.length === 0" class="quiet">No width is known in this time.</p>
      <BarRows :rows="widths" label="Jobs by width" />
    </section>
  </div>
</template>

<style scoped>
.figures {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 20px 40px;
}
.span {
  grid-column: 1 / -1;
  display: flex;
  align-items: center;
  gap: 10px;
}
section {
  display: grid;
  align-content: start;
  gap: 6px;
}
@media (max-width: 800px) {
  .figures {
    grid-template-columns: 1fr;
  }
}
</style>
