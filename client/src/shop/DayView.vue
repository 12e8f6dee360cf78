<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useDay, type Day, type DayPiece, type LateJob, type Ring } from '../api/day'
import { useDoor } from '../api/door'
import { wholeOf } from '../api/refused'
import { useActing } from '../controls/acting'
import { asDay } from '../controls/days'
import RefusedLine from '../controls/RefusedLine.vue'
import { nameOf, pathOf } from '../job/stations'
import TimeLine from './TimeLine.vue'

/** The day: lists, rings, what is late, what waits. */
defineProps<{ day: Day }>()
const { rang, pull, front, hold, give } = useDay()
const { busy, error, act } = useActing(200)
const { door } = useDoor()
const initials = useLocalStorage('iron-loop-initials', '')
const by = computed(() => door.value?.initials ?? initials.value)
const isUnknown = computed(() => !door.value?.initials)
const clock = (at: string) => at.slice(11, 16)

/** The job that is about to be pulled to the front, with what that makes late. */
const asked = ref<{ id: number; late: LateJob[] } | null>(null)
const ask = (p: DayPiece) => act(async () => (asked.value = { id: p.jobId, late: await front(p.jobId) }))
const take = (id: number, inFront: boolean) =>
  act(async () => {
    await pull(id, inFront)
    asked.value = null
  })
const holds = (id: number, until: string, why: 'onHold' | 'tryOn') =>
  until &&
  act(async () => {
    await hold(id, { until, why })
    asked.value = null
  })
const gives = (id: number, hand: string) =>
  act(async () => {
    await give(id, hand || null)
    asked.value = null
  })
const note = (r: Ring, reached: boolean) => act(() => rang(r.jobId, { why: r.why, reached, by: by.value }))
const copy = (r: Ring) => act(() => navigator.clipboard.writeText(r.message))
</script>

<template>
  <div class="day">
    <p class="says" :class="{ bad: !day.feasible }" data-testid="day-says">{{ day.says }}</p>
    <RefusedLine :of="wholeOf(error)" />
    <section aria-label="Today’s lists">
      <h2>Today</h2>
      <TimeLine :day="day" />
      <div v-for="l in day.lists" :key="l.hand" :data-hand="l.hand">
        <h3>
          {{ l.hand || 'The bench' }}
          <span class="quiet">{{
            l.hours.length === 0
              ? 'not here today'
              : l.hours.map((h) => `${clock(h.from)} to ${clock(h.to)}`).join(', ')
          }}</span>
        </h3>
        <p v-if="l.hours.length > 0 && l.pieces.length === 0" class="quiet">Nothing is on the list.</p>
        <ol>
          <li v-for="p in l.pieces" :key="p.from">
            <span class="figure when">{{ clock(p.from) }}</span>
            <span class="what">
              <router-link :to="`/jobs/${p.jobId}/${pathOf[p.next]}`">{{ p.client }}</router-link>
              {{ p.watch }}<template v-if="p.again">, goes on</template>;
              <span class="quiet"
                >{{ nameOf(p.next) }}, <span class="figure">{{ p.minutes }}</span> min{{
                  p.fetch.length > 0 ? `; fetch ${p.fetch.join(', ')}` : ''
                }}</span
              >
              <span v-if="asked?.id === p.jobId" class="ask">
                {{
                  asked.late.length === 0
                    ? 'Nothing else gets late.'
                    : `That makes late: ${asked.late.map((j) => `${j.client}, ${j.says}`).join('; ')}.`
                }}
                <button type="button" class="plain" :disabled="busy" @click="take(p.jobId, true)">
                  To the front
                </button>
                <label class="held"
                  >Hold it until
                  <input
                    class="plain-field"
                    type="date"
                    :name="`hold-${p.jobId}`"
                    @change="holds(p.jobId, ($event.target as HTMLInputElement).value, 'onHold')"
                /></label>
                <label class="held"
                  >Its owner comes for the try-on
                  <input
                    class="plain-field"
                    type="date"
                    :name="`try-on-${p.jobId}`"
                    @change="holds(p.jobId, ($event.target as HTMLInputElement).value, 'tryOn')"
                /></label>
                <label v-if="day.lists.length > 1" class="held"
                  >Give it to
                  <select
                    class="plain-field"
                    :name="`hand-${p.jobId}`"
                    :value="l.hand"
                    @change="gives(p.jobId, ($event.target as HTMLSelectElement).value)"
                  >
                    <option value="">whoever comes to it</option>
                    <option v-for="o in day.lists" :key="o.hand" :value="o.hand">{{ o.hand }}</option>
                  </select></label
                >
                <button type="button" class="plain" @click="asked = null">Leave it</button>
              </span>
            </span>
            <button
              v-if="p.inFront && !p.again"
              type="button"
              class="plain"
              :disabled="busy"
              :aria-label="`Let ${p.client} go back in the list`"
              @click="take(p.jobId, false)"
            >
              Back in line
            </button>
            <button
              v-else-if="!p.again && asked?.id !== p.jobId"
              type="button"
              class="plain"
              :disabled="busy"
              :aria-label="`Pull ${p.client} to the front`"
              @click="ask(p)"
            >
              To the front…
            </button>
          </li>
        </ol>
      </div>
    </section>

    <section v-if="day.rings.length > 0" aria-label="To ring">
      <h2>To ring</h2>
      <label v-if="isUnknown" class="by"
        >Your initials
        <input v-model="initials" class="plain-field" name="ringBy" autocomplete="off" maxlength="4"
      /></label>
      <ul>
        <li v-for="r in day.rings" :key="`${r.jobId} ${r.why}`" :data-ring="r.jobId">
          <span class="what">
            <router-link :to="`/jobs/${r.jobId}/hand-over`">{{ r.client }}</router-link>
            <span class="quiet">{{ `, ${r.contact || 'no number is known'}` }}</span>
            <br />{{ r.says }} {{ r.watch
            }}<span v-if="r.tried" class="quiet">; not reached {{ r.tried }}</span>
          </span>
          <button
            type="button"
            class="plain"
            :disabled="busy"
            :aria-label="`${r.client} was reached`"
            @click="note(r, true)"
          >
            Reached
          </button>
          <button
            type="button"
            class="plain"
            :disabled="busy"
            :aria-label="`${r.client} was not reached`"
            @click="note(r, false)"
          >
            Not reached
          </button>
          <button type="button" class="plain" :aria-label="`Copy a message to ${r.client}`" @click="copy(r)">
            Copy a message
          </button>
        </li>
      </ul>
    </section>

    <section v-if="day.late.length > 0" aria-label="Late">
      <h2>Late</h2>
      <ul>
        <li v-for="j in day.late" :key="j.jobId">
          <span class="what">
            <router-link :to="`/jobs/${j.jobId}/take-in`">{{ j.client }}</router-link> {{ j.watch }}:
            <strong>{{ j.says }}</strong>
          </span>
        </li>
      </ul>
    </section>

    <section v-if="day.waiting.length > 0" aria-label="Waits">
      <h2>Waits</h2>
      <ul>
        <li v-for="j in day.waiting" :key="`${j.jobId} ${j.waits} ${j.until}`">
          <span class="what">
            <router-link :to="`/jobs/${j.jobId}/take-in`">{{ j.client }}</router-link> {{ j.watch }}:
            {{ j.waits }}, {{ asDay(j.until) }}
          </span>
          <button
            v-if="j.held"
            type="button"
            class="plain"
            :disabled="busy"
            :aria-label="`Hold ${j.client} no longer`"
            @click="act(() => hold(j.jobId, { until: null, why: 'onHold' }))"
          >
            No longer
          </button>
        </li>
      </ul>
    </section>

    <p class="quiet">
      <a class="paper" href="/api/day.pdf" target="_blank">Day sheet, PDF</a>
      <a class="paper" href="/api/day.pdf?paper=letter" target="_blank">PDF, letter</a>
      <a class="paper" href="/api/day.ics" download>Calendar</a>
    </p>
    <section aria-label="The next ten working days">
      <h2>Next days</h2>
      <ol class="strip">
        <li v-for="s in day.strip" :key="s.day" :class="{ over: s.over }">
          <span class="name">{{ asDay(s.day) }}</span>
          <span class="bar" aria-hidden="true"
            ><span :style="{ height: `${Math.min(100, (100 * s.taken) / Math.max(1, s.minutes))}%` }"></span
          ></span>
          <span class="quiet"
            >{{ s.over ? 'late' : s.taken === 0 ? 'free' : ''
            }}<template v-if="s.taken > 0"
              ><span class="figure">{{ s.taken }}</span> of
              <span class="figure">{{ s.minutes }}</span> min</template
            ></span
          >
        </li>
      </ol>
    </section>
  </div>
</template>

<style scoped>
.day {
  display: grid;
  gap: 14px;
  width: 100%;
}
.bad {
  font-weight: 600;
}
h2 {
  font-size: 20px;
}
h3 {
  font-size: 17px;
  font-weight: 600;
  margin-top: 6px;
}
h3 .quiet {
  font-weight: 400;
}
ol,
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  align-items: center;
  min-height: 46px;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}
.when {
  width: 58px;
}
.what {
  flex: 1 1 260px;
}
li a {
  color: rgb(var(--v-theme-primary));
  font-weight: 600;
}
li .plain {
  min-height: 44px;
}
.ask {
  display: block;
  font-weight: 600;
}
.held {
  display: inline-flex;
  gap: 8px;
  align-items: center;
  font-weight: 400;
  margin: 0 14px;
}
.paper {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  margin-right: 18px;
  color: rgb(var(--v-theme-primary));
}
.by {
  display: inline-flex;
  gap: 8px;
  align-items: center;
}
.by input {
  width: 90px;
}
.strip {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(92px, 1fr));
  gap: 8px;
}
.strip li {
  display: grid;
  justify-items: start;
  border: 0;
  font-size: 14px;
  align-content: start;
}
.bar {
  display: block;
  position: relative;
  width: 100%;
  height: 44px;
  border: 1px solid rgb(var(--v-theme-hairline));
}
.bar span {
  position: absolute;
  left: 0;
  right: 0;
  bottom: 0;
  background: rgb(var(--v-theme-steel));
}
.over .bar {
  border: 2px solid rgb(var(--v-theme-on-background));
}
.over .name {
  font-weight: 600;
}
</style>
