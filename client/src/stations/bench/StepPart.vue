<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { BenchSheet } from '../../api/bench'
import HandPicture from './HandPicture.vue'
import ConsentPart from './ConsentPart.vue'
import TryOnPart from './TryOnPart.vue'
import { rows } from './words'
import RefusedLine from '../../controls/RefusedLine.vue'

const props = defineProps<{
  jobId: number
  sheet: BenchSheet
  open: boolean
  busy: boolean
  refusal: string | null
  /** A pedal or Space was pressed where an answer is wanted. */
  stopped?: boolean
  /** Whether the step is being left out, and why is asked. */
  leaving?: boolean
}>()
const emit = defineEmits<{
  skip: [reason: string]
  wish: [tool: BenchSheet['steps'][number]['wants'][number]]
}>()
const steps = computed(() => props.sheet.steps)
const next = computed(() => steps.value.find((s) => s.next))
const at = computed(() => steps.value.findIndex((s) => s.next))
const then = computed(() => (at.value < 0 ? undefined : steps.value[at.value + 1]))
const reason = ref('')
watch(
  () => next.value?.key,
  () => {
    reason.value = ''
  },
)
/** The first sentence is read at arm's length; how it is done stands below it. */
const said = computed(() => {
  const [, first = next.value?.says ?? '', rest = ''] = /^(.+?\.)\s+(.+)$/s.exec(next.value?.says ?? '') ?? []
  return { first, rest }
})
const minutesLeft = computed(() => Math.round(props.sheet.minutesLeft))
const isTryOn = computed(() => next.value?.row === 'tryOn')
</script>

<template>
  <section v-if="next" class="now" aria-live="polite">
    <p class="quiet">
      <span data-testid="step-part">{{ rows[next.row] }}</span>, step
      <span class="figure">{{ at + 1 }}</span> of {{ steps.length
      }}{{ sheet.round > 1 ? `, round ${sheet.round}` : '' }};
      <template v-if="minutesLeft < 1">less than a minute left</template>
      <template v-else
        >about <span class="figure">{{ minutesLeft }}</span>
        {{ minutesLeft === 1 ? 'minute' : 'minutes' }} left</template
      >
    </p>
    <div data-testid="step" :aria-busy="busy">
      <p class="what">{{ said.first }}</p>
      <p v-if="said.rest" class="how">{{ said.rest }}</p>
    </div>
    <dl>
      <template v-if="next.tool">
        <dt>With</dt>
        <dd>{{ next.tool }}</dd>
      </template>
      <template v-if="next.direction">
        <dt>Way</dt>
        <dd>{{ next.direction }}</dd>
      </template>
      <template v-if="next.fallsOut">
        <dt>Falls out</dt>
        <dd>{{ next.fallsOut }}</dd>
      </template>
    </dl>
    <p v-for="w in next.wants" :key="w.says">
      <v-btn variant="outlined" size="small" @click="emit('wish', w)">Put {{ w.says }} on the list</v-btn>
    </p>
    <details v-if="next.how" class="hands">
      <summary>How</summary>
      <HandPicture v-if="next.picture" :picture="next.picture" :left-handed="sheet.hands.leftHanded" />
      <p>{{ next.how }}</p>
    </details>
    <p v-if="next.beware" class="caution">{{ next.beware }}</p>
    <slot name="question" />
    <p v-if="next.waits" class="refused" data-testid="waits">{{ next.waits }}</p>
    <ConsentPart v-if="next.row === 'consent' && sheet.consent" :job-id="jobId" :consent="sheet.consent" />
    <template v-if="isTryOn">
      <p v-if="sheet.foretold" class="how" data-testid="foretold">{{ sheet.foretold }}</p>
      <TryOnPart v-if="open" :key="next.key" :job-id="jobId" :closes="sheet.closes ?? null" />
    </template>
    <!-- What a step waits for stands above already. -->
    <RefusedLine v-if="open && refusal && !(next.waits && refusal.includes(next.waits))" :of="refusal" />
    <p v-else-if="open && isTryOn && stopped" class="refused" role="alert">
      Say how it was: Enter when as planned, what was found above, or why it was not tried.
    </p>
    <form v-if="leaving" class="acts" @submit.prevent="emit('skip', reason)">
      <input
        v-model="reason"
        class="plain-field"
        name="skipReason"
        autofocus
        placeholder="Why"
        aria-label="Why"
        autocomplete="off"
      />
      <v-btn type="submit" variant="outlined" :disabled="reason.trim() === ''">Leave it with this note</v-btn>
    </form>
  </section>
  <template v-else>
    <p v-if="!sheet.toGauge" class="what">Every step is done.</p>
    <RefusedLine :of="refusal" />
  </template>
  <p v-if="then" class="then"><span class="quiet">Then: </span>{{ then.says }}</p>
</template>

<style scoped>
.now {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.what {
  font-size: 23px;
  line-height: 1.3;
  font-weight: 600;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 14px;
  margin: 0;
  font-size: 18px;
}
dt {
  color: rgb(var(--v-theme-iron));
}
.caution {
  padding-left: 10px;
  border-left: 3px solid currentColor;
}
.hands summary {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  text-decoration: underline;
  cursor: pointer;
}
.refused {
  flex: 1 0 100%;
  color: rgb(var(--v-theme-error));
}
.how {
  font-size: 18px;
  padding-top: 4px;
}
.then {
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding-top: 8px;
}
input {
  flex: 1 1 160px;
}
</style>
