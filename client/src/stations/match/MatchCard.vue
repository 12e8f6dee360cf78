<script setup lang="ts">
import { tenths } from '../../api/tenths'
import { ref } from 'vue'
import type { Match, PullThroughWay } from '../../api/match'
import ReachRuler from './ReachRuler.vue'
import VerdictRing from '../VerdictRing.vue'
import WorkList from '../WorkList.vue'
import { price } from '../../controls/price'
import { ruleNames, ways } from '../words'
import RefusedLine from '../../controls/RefusedLine.vue'

const props = defineProps<{
  match: Match
  open: boolean
  /** Whether it can be chosen now; looked at it can be all the same. */
  choosable: boolean
  /** Whether it can be added beside the band on the watch. */
  addable: boolean
  tried: boolean
  compared: boolean
  refusal: string | null
}>()
const emit = defineEmits<{
  look: [way: PullThroughWay]
  choose: [way: PullThroughWay, signedBy: string]
  compare: []
  add: [as: 'forTheBag' | 'forLooks', way: PullThroughWay]
}>()

const whole = ref(false)
const way = ref<PullThroughWay>(props.match.ways[0]?.way ?? 'double')
const signedBy = ref('')
const deciding = (match: Match) => match.rules.find((r) => r.rule === match.deciding)
function take(now: PullThroughWay) {
  way.value = now
  emit('look', now)
}
</script>

<template>
  <li
    class="card"
    :data-article="match.band.article"
    :class="{ chosen: match.chosen, no: match.verdict === 'no', tried }"
  >
    <div class="top">
      <h2>{{ match.band.name }}</h2>
      <VerdictRing :verdict="match.verdict" :certainty="match.certainty" />
    </div>
    <p class="quiet facts">
      <span class="figure">{{ match.band.widthMm }} mm</span
      ><template v-for="look in [match.band.colour, match.band.finish].filter(Boolean)" :key="look"
        >, {{ look }}</template
      >,
      <template v-if="match.band.own">the owner’s own</template>
      <template v-else>
        <span class="figure">{{ price(match.band.priceCents) }}</span>,
        {{ match.free > 0 ? `${match.free} in stock` : 'none free'
        }}<template v-if="match.alike > 0"
          >, <span class="figure">{{ match.alike }}</span> more alike</template
        >
      </template>
    </p>
    <ReachRuler v-if="match.reach" :reach="match.reach" />
    <ul v-if="!whole" class="glance" aria-label="Each rule at a glance">
      <li v-for="r in match.rules" :key="r.rule">
        <VerdictRing :verdict="r.verdict" :certainty="r.certainty" bare silent />{{
          ruleNames[r.rule] ?? r.rule
        }}<span v-if="r.figure" class="figure">{{ r.figure }}</span>
      </li>
    </ul>
    <p v-if="deciding(match)" class="deciding">{{ deciding(match)?.says }}</p>

    <p v-for="m in match.missed" :key="m" class="quiet facts">{{ m }}</p>

    <dl v-if="whole" class="rules">
      <template v-for="r in match.rules" :key="r.rule">
        <dt>
          <VerdictRing :verdict="r.verdict" :certainty="r.certainty" bare /> {{ ruleNames[r.rule] ?? r.rule }}
        </dt>
        <dd>{{ r.says }}</dd>
      </template>
    </dl>
    <WorkList :rules="match.rules" />
    <table v-if="match.ways.length > 0 && (whole || tried || match.chosen)" class="ways">
      <tbody>
        <tr v-for="w in match.ways" :key="w.way" :class="{ mine: way === w.way }">
          <th scope="row">
            <button type="button" :aria-pressed="way === w.way" @click="take(w.way)">
              {{ ways[w.way] }}
            </button>
          </th>
          <td>
            <span class="figure">+{{ w.raiseMm }} mm</span> high<template v-if="w.hole !== null"
              >, hole <span class="figure">{{ w.hole + 1 }}</span>, loop
              <span class="figure">{{ tenths(w.lengthMm) }} mm</span></template
            >
            <span class="feels quiet">{{ w.feels }}</span>
          </td>
        </tr>
      </tbody>
    </table>

    <div class="acts">
      <button type="button" class="plain" :aria-expanded="whole" @click="whole = !whole">
        {{ whole ? 'Less' : 'Every rule' }}
      </button>
      <button type="button" class="plain" :aria-pressed="compared" @click="emit('compare')">
        {{ compared ? 'Beside others' : 'Lay beside' }}
      </button>
      <router-link v-if="!match.band.own" class="plain" :to="`/bands/${match.band.id}/fits`"
        >Which watches?</router-link
      >
      <button
        v-if="addable && !match.chosen && !match.also && !match.whyNotAlong"
        type="button"
        class="plain"
        @click="emit('add', 'forTheBag', way)"
      >
        Into the bag too
      </button>
      <button
        v-else-if="addable && !match.chosen && !match.also && match.verdict === 'no'"
        type="button"
        class="plain"
        @click="emit('add', 'forLooks', way)"
      >
        Shown for looks
      </button>
      <template v-if="match.chosen"><span class="mine">Chosen</span></template>
      <template v-else-if="open && !match.whyNot">
        <v-btn variant="text" @click="emit('look', way)">{{
          tried ? 'In the loop' : 'Try in the loop'
        }}</v-btn>
        <v-btn v-if="choosable" variant="outlined" color="primary" @click="emit('choose', way, signedBy)">
          Choose {{ match.band.article }}
        </v-btn>
      </template>
      <span v-else-if="match.verdict !== 'no'" class="quiet">{{ match.whyNot }}</span>
    </div>
    <v-text-field
      v-if="match.needsConsent && choosable && !match.whyNot && !match.chosen"
      v-model="signedBy"
      density="compact"
      label="Written consent signed by"
      :name="`consent-${match.band.article}`"
      :error-messages="refusal ? [refusal] : []"
    />
    <RefusedLine v-else-if="refusal" :of="refusal" />
  </li>
</template>

<style scoped>
.card {
  padding: 8px 2px 10px 10px;
  border-top: 1px solid rgb(var(--v-theme-hairline));
  display: flex;
  flex-direction: column;
  gap: 3px;
}
.card.chosen,
.card.tried {
  box-shadow: inset 4px 0 0 rgb(var(--v-theme-primary));
}
.card.tried:not(.chosen) {
  box-shadow: inset 2px 0 0 rgb(var(--v-theme-primary));
}
.top {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
}
h2 {
  font-size: 19px;
}
.card.no h2 {
  font-weight: 400;
}
.facts {
  font-size: 15px;
}
.glance {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  list-style: none;
  margin: 0;
  padding: 0;
  font-size: 14px;
}
.glance li {
  display: inline-flex;
  align-items: center;
  gap: 4px;
}
.deciding {
  font-weight: 600;
  font-size: 16px;
}
.rules {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 10px;
  margin: 4px 0;
  font-size: 16px;
}
dt {
  color: rgb(var(--v-theme-iron));
  display: flex;
  align-items: center;
  gap: 6px;
}
.ways {
  border-collapse: collapse;
  font-size: 15px;
}
.ways th,
.ways td {
  text-align: left;
  font-weight: 400;
  padding: 1px 10px 1px 0;
  vertical-align: top;
}
.feels {
  display: block;
}
.ways .mine td,
.ways .mine th {
  box-shadow: inset 0 -2px 0 rgb(var(--v-theme-primary));
}
.ways button {
  min-height: 34px;
  text-decoration: underline;
  color: rgb(var(--v-theme-primary));
  white-space: nowrap;
}
.ways .mine button {
  font-weight: 600;
}
.acts .v-btn:last-child {
  margin-left: auto;
}
.acts .mine {
  font-weight: 600;
  color: rgb(var(--v-theme-primary));
}
</style>
