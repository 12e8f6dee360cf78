<script setup lang="ts">
import { tenths } from '../../api/tenths'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useAgree, useArrange } from '../../api/job'
import type { Alternative, ByHand } from '../../api/shop'
import { wholeOf } from '../../api/refused'
import PartTabs from '../../controls/PartTabs.vue'
import { useActs } from '../../controls/acts'
import { useInAddress } from '../../controls/inAddress'
import { pathOf } from '../../job/stations'
import CuresPart from './CuresPart.vue'
import HabitsPart from './HabitsPart.vue'
import HandPart from './HandPart.vue'
import OtherPlans from './OtherPlans.vue'
import ReachPart from './ReachPart.vue'
import SchoolPart from './SchoolPart.vue'
import StrapsPart from './StrapsPart.vue'
import { useSize } from '../../api/size'
import { useJobHere } from '../../job/here'
import { withTried, type Tried } from './trail'
import WaysPart from './WaysPart.vue'
import RefusedLine from '../../controls/RefusedLine.vue'

const { id, job, loop, at, hand } = useJobHere()

const router = useRouter()
const arrange = useArrange(id)
const agree = useAgree(id)
const open = computed(() => job.value.may.arrange.ok)
const clasp = computed(() => loop.value?.layOut?.clasp)
const strap = computed(() => loop.value?.layOut?.strap)
const position = computed(() => clasp.value?.position ?? strap.value?.hole ?? 0)
const positions = computed(() => clasp.value?.positions ?? strap.value?.holesMm.length ?? 1)
const build = computed(() =>
  clasp.value
    ? 'links'
    : job.value.band?.kind === 'twoPiece'
      ? 'strap'
      : job.value.band?.kind === 'onePiece'
        ? 'pulled'
        : 'mesh',
)
const place = computed(() => (strap.value ? (build.value === 'mesh' ? 'Notch' : 'Hole') : 'Micro position'))
const parts = computed(() =>
  (
    [
      { part: 'plan', title: 'Plan', for: 'all' },
      { part: 'hand', title: 'By hand', for: 'links' },
      { part: 'others', title: 'Other plans', for: 'links' },
      { part: 'straps', title: 'Lengths', for: 'strap' },
      { part: 'ways', title: 'Ways', for: 'pulled' },
      { part: 'reach', title: 'Reach', for: 'all' },
      { part: 'school', title: 'Method', for: 'all' },
      { part: 'habits', title: 'This client', for: 'all' },
    ] as const
  ).filter((p) => p.for === 'all' || p.for === build.value),
)
type Part = 'plan' | 'hand' | 'others' | 'straps' | 'ways' | 'reach' | 'school' | 'habits'
const part = useInAddress<Part>('part', 'plan', (word) => parts.value.some((p) => p.part === word))
const joints = computed(
  () => (loop.value?.layOut?.twelveJoints?.length ?? 0) + (loop.value?.layOut?.sixJoints?.length ?? 0),
)

/** Variants tried since the station was opened, to return to. */
const trail = ref<Tried[]>([])
watch(
  loop,
  (now) => {
    if (now && open.value) trail.value = withTried(trail.value, now)
  },
  { immediate: true },
)
function lay(byHand: ByHand) {
  arrange.mutate(byHand)
}
function takeOther(plan: Alternative) {
  lay({ twelve: plan.twelve, six: plan.six, position: plan.position })
}

/** Whether what is planned can be worn. */
const isMade = computed(() => Number(loop.value?.figures?.misfitMm ?? 0) === 0)
const { returnTo, punch } = useSize(id)
const notReturned = ref<unknown>(null)
async function goBackTo({ variant }: Tried) {
  try {
    await returnTo(variant)
    notReturned.value = null
  } catch (refused) {
    notReturned.value = refused
  }
}

const refusal = computed(() =>
  wholeOf(notReturned.value ?? agree.error.value ?? arrange.error.value ?? hand.plannerRefused.value),
)

const back = hand.planner

function take() {
  agree.mutate(undefined, { onSuccess: (job) => router.push(`/jobs/${job.id}/${pathOf.bench}`) })
}
useActs(() => {
  if (!loop.value?.figures || !open.value) return null
  // What is approved and unchanged leads on; what waits for something says so in the bar.
  if (job.value.planAgreed && !job.value.may.agree.ok) return null
  if (!job.value.may.agree.ok && job.value.stations.find((s) => s.station === 'size')?.wants) return null
  return {
    back: { says: 'Clasp', to: `/jobs/${job.value.id}/${pathOf.clasp}` },
    lesser: loop.value.isPlanned ? [] : [{ says: 'Planner’s answer', press: back }],
    first: {
      says: !isMade.value
        ? 'To the bench all the same: it cannot be worn yet'
        : job.value.planAgreed
          ? 'Approve the new plan'
          : 'Approve the plan',
      press: take,
      busy: agree.isPending.value,
      quiet: !isMade.value,
      off: job.value.may.agree.ok ? null : job.value.may.agree.why,
    },
  }
})
</script>

<template>
  <template v-if="loop?.figures">
    <PartTabs :parts="parts" label="The size" :open="part" @open="part = $event" />
    <OtherPlans v-if="part === 'others'" :loop="loop" :open="open" @take="takeOther" @planner="back" />
    <ReachPart v-else-if="part === 'reach'" :loop="loop" />
    <StrapsPart v-else-if="part === 'straps'" :job="job" />
    <WaysPart v-else-if="part === 'ways'" :job="job" :open="open" />
    <SchoolPart v-else-if="part === 'school'" :job="job" />
    <HabitsPart v-else-if="part === 'habits'" :job="job" :open="job.may.gauge.ok" />
  </template>
  <template v-if="loop?.figures && (part === 'plan' || part === 'hand')">
    <p v-if="loop.notice" class="notice">{{ loop.notice }}</p>
    <p class="verdict" data-testid="verdict">{{ loop.says }}</p>
    <p data-testid="planner">{{ loop.plannersSay }}</p>
    <p v-if="open && !job.may.agree.ok" class="refused" data-testid="not-agreed">{{ job.may.agree.why }}</p>
    <p v-if="job.extraHole != null" class="row">
      <span>One hole more is punched at the bench; it cannot be undone.</span>
      <v-btn v-if="open" variant="text" @click="punch(null)">No extra hole</v-btn>
    </p>
    <CuresPart v-if="part === 'plan'" :job="job" :open="open" />
    <section v-if="open && trail.length > 1" class="trail" aria-label="Tried">
      <span class="quiet">Tried:</span>
      <button
        v-for="t in trail"
        :key="t.key"
        type="button"
        :aria-current="t === trail[trail.length - 1]"
        @click="goBackTo(t)"
      >
        <span class="figure">{{ tenths(t.lengthMm) }}</span><span class="quiet">
          {{ t.planned ? 'planner' : `${tenths(t.troubleMm)} amiss`
          }}{{ t.words ? `, ${t.words}` : '' }}</span
        >
      </button>
    </section>
    <template v-if="part === 'hand' && open">
      <HandPart
        :job="job"
        :loop="loop"
        :at="at ?? null"
        @put-in="hand.putIn"
        @toggle="hand.toggle"
        @across="hand.across"
        @pin="hand.pin"
        @go="at = $event"
      />
    </template>
    <dl v-if="part === 'plan'">
      <dt>Loop</dt>
      <dd class="figure" data-testid="length">{{ tenths(loop.figures.lengthMm) }} mm</dd>
      <dt>Wanted</dt>
      <dd class="figure">{{ tenths(loop.figures.targetMm) }} mm</dd>
      <template v-if="clasp">
        <dt>Links moved</dt>
        <dd>
          <span class="figure" data-testid="moved">{{ loop.figures.linksMoved }}</span>
          <span v-if="joints > 0" class="quiet"
            >, <span class="figure">{{ joints }}</span> {{ joints === 1 ? 'joint' : 'joints' }} opened</span
          >
        </dd>
      </template>
      <dt>Right the first time</dt>
      <dd>
        <span class="figure">{{ loop.figures.chance }}</span>
        <span class="quiet">, need known to ± {{ tenths(loop.figures.sigmaMm) }} mm</span>
      </dd>
    </dl>
    <p v-if="loop?.readNext" class="quiet" data-testid="read-next">{{ loop.readNext }}</p>
    <p v-if="part === 'plan' && loop.lean?.toward" data-testid="lean">{{ loop.lean.says }}</p>
    <p v-if="part === 'plan' && loop.days && !loop.days.bothCovered" class="quiet">{{ loop.days.says }}</p>

    <template v-if="open && part === 'plan'">
      <div v-if="positions > 1" class="row">
        <span
          >{{ place }} <span class="figure" data-testid="position">{{ position + 1 }}</span> of
          {{ positions }}</span
        >
        <v-btn variant="outlined" :disabled="position === 0" @click="hand.move(position - 1)">Tighter</v-btn>
        <v-btn variant="outlined" :disabled="position === positions - 1" @click="hand.move(position + 1)"
          >Looser</v-btn
        >
      </div>
      <p v-if="clasp" class="quiet keys">
        On the lay-out: arrow keys go from link to link, Space takes one out or puts it back, M moves it to
        the other side, N keeps it for good, P goes back to the planner’s answer, up and down move the
        micro-adjust.
      </p>
    </template>
    <p v-if="!open && job.may.gauge.ok" class="quiet">{{ job.may.arrange.why }}</p>
    <RefusedLine :of="refusal" />
  </template>
  <p v-else-if="loop && !loop.figures && job.band" role="alert">{{ loop.says }}</p>
</template>

<style scoped>
.verdict {
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
.notice,
.keys {
  font-size: 15px;
}
.trail {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}
.trail button {
  min-height: 44px;
  padding: 0 8px;
  border: 1px solid rgb(var(--v-theme-hairline));
}
.trail button .quiet {
  padding-left: 6px;
}
.trail button[aria-current='true'] {
  border: 2px solid rgb(var(--v-theme-primary));
}
</style>
