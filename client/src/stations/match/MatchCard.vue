<script setup lang="ts">
import { tenths } from '../../api/tenths'
import { computed, ref, watch } from 'vue'
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
  /** Whether the address says that it is open. */
  opened?: boolean
  tried: boolean
  compared: boolean
  refusal: string | null
}>()
const emit = defineEmits<{
  look: [way: PullThroughWay]
  choose: [way: PullThroughWay, signedBy: string]
  compare: []
  open: [whole: boolean]
  add: [as: 'forTheBag' | 'forLooks', way: PullThroughWay]
}>()

const whole = ref(props.opened)
watch(
  () => props.opened,
  (now) => (whole.value = now),
)
const way = ref<PullThroughWay>(props.match.ways[0]?.way ?? 'double')
const signedBy = ref('')
const deciding = computed(() => props.match.rules.find((r) => r.rule === props.match.deciding))
const canChoose = computed(() => props.open && props.choosable && !props.match.whyNot && !props.match.chosen)
// What was refused is mended where it is asked for.
watch(
  () => props.refusal,
  (refusal) => {
    if (refusal) whole.value = true
  },
)
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
    <div class="row">
      <div class="said">
        <h2>
          <button type="button" :aria-expanded="whole" @click="((whole = !whole), emit('open', whole))">
            {{ match.band.name }}
          </button>
        </h2>
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
        <p v-if="deciding" class="deciding" :class="{ whole }">{{ deciding.says }}</p>
        <p v-else-if="match.reach && !whole" class="facts quiet served">
          {{
            [
              match.reach.chance && `right at first ${match.reach.chance}`,
              match.reach.wrists && `wrists ${match.reach.wrists}`,
            ]
              .filter(Boolean)
              .join(', ')
          }}
        </p>
      </div>
      <div class="end">
        <VerdictRing :verdict="match.verdict" :certainty="match.certainty" bare />
        <span v-if="match.chosen" class="mine">Chosen</span>
        <v-btn
          v-else-if="canChoose"
          variant="outlined"
          color="primary"
          size="small"
          @click="emit('choose', way, signedBy)"
        >
          Choose {{ match.band.article }}
        </v-btn>
      </div>
    </div>

    <div v-if="whole" class="rest">
      <ReachRuler v-if="match.reach" :reach="match.reach" />
      <p v-for="m in match.missed" :key="m" class="quiet facts">{{ m }}</p>
      <dl class="rules">
        <template v-for="r in match.rules" :key="r.rule">
          <dt>
            <VerdictRing :verdict="r.verdict" :certainty="r.certainty" bare silent />
            {{ ruleNames[r.rule] ?? r.rule }}
          </dt>
          <dd>
            {{ r.says }}
          </dd>
        </template>
      </dl>
      <WorkList :rules="match.rules" />
      <table v-if="match.ways.length > 0" class="ways">
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
      <p v-if="!match.chosen && match.whyNot && match.verdict !== 'no'" class="quiet">{{ match.whyNot }}</p>
      <div class="acts">
        <button
          v-if="open && !match.chosen && !match.whyNot"
          type="button"
          class="plain"
          :aria-pressed="tried"
          @click="emit('look', way)"
        >
          {{ tried ? 'In the loop' : 'Preview' }}
        </button>
        <button type="button" class="plain" :aria-pressed="compared" @click="emit('compare')">
          {{ compared ? 'Beside others' : 'Compare' }}
        </button>
        <router-link v-if="!match.band.own" class="plain" :to="`/bands/${match.band.id}/fits`"
          >Watches it fits</router-link
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
      </div>
      <v-text-field
        v-if="match.needsConsent && canChoose"
        v-model="signedBy"
        density="compact"
        label="Written consent signed by"
        :name="`consent-${match.band.article}`"
        :error-messages="refusal ? [refusal] : []"
      />
      <RefusedLine v-else-if="refusal" :of="refusal" />
    </div>
  </li>
</template>

<style scoped>
.card {
  padding: 0 2px 0 10px;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}
.card.chosen,
.card.tried {
  box-shadow: inset 4px 0 0 rgb(var(--v-theme-primary));
}
.card.tried:not(.chosen) {
  box-shadow: inset 2px 0 0 rgb(var(--v-theme-primary));
}
.row {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 8px;
  min-height: 58px;
}
.said {
  position: relative;
  min-width: 0;
  min-height: 44px;
}
h2 {
  font-size: 17px;
  line-height: 22px;
}
h2 button {
  padding: 0;
  min-height: 22px;
  color: inherit;
  font: inherit;
  text-align: left;
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
/* The whole row opens it. */
h2 button::after {
  content: '';
  position: absolute;
  inset: 0;
}
h2 button[aria-expanded='true'] {
  white-space: normal;
}
.card.no h2 {
  font-weight: 400;
}
.facts {
  font-size: 14px;
  line-height: 18px;
}
.deciding {
  font-weight: 600;
  font-size: 14px;
  line-height: 18px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.served {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.deciding.whole {
  white-space: normal;
}
.end {
  display: flex;
  flex-direction: column;
  align-items: flex-end;
  justify-content: space-between;
  line-height: 18px;
}
.end > .v-btn {
  height: 40px;
  min-height: 0;
}
/* Six rows in sight; it is hit over 44 px all the same. */
.end > .v-btn::after {
  inset: -3px;
}
.end :deep(.word) {
  min-width: 0;
  font-weight: 600;
}
.rest {
  display: flex;
  flex-direction: column;
  gap: 4px;
  padding: 4px 0 6px;
}
.rules {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 10px;
  margin: 4px 0;
  font-size: 15px;
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
  min-height: 44px;
  text-decoration: underline;
  color: rgb(var(--v-theme-primary));
  white-space: nowrap;
}
.ways .mine button {
  font-weight: 600;
}
.mine {
  font-weight: 600;
  color: rgb(var(--v-theme-primary));
}
</style>
