<script setup lang="ts">
import { tenths } from '../../api/tenths'
import { computed, reactive, ref, watch } from 'vue'
import {
  useClasp,
  type ClaspCandidate,
  type ClaspSeen,
  type OwnPartKind,
  type PartOffers,
} from '../../api/clasp'
import { saidOf, wholeOf } from '../../api/refused'
import { useJobHere } from '../../job/here'
import PartTabs from '../../controls/PartTabs.vue'
import VerdictRing from '../VerdictRing.vue'
import CandidateCard from './CandidateCard.vue'
import FigureLines from '../FigureLines.vue'
import EndPart from './EndPart.vue'
import KeepClasp from './KeepClasp.vue'
import { useActs } from '../../controls/acts'
import { useInAddress } from '../../controls/inAddress'
import KeyPart from './KeyPart.vue'
import OwnParts from './OwnParts.vue'
import RefusedLine from '../../controls/RefusedLine.vue'

const { id, job, figure, part: shown, sought } = useJobHere()
const clasp = useClasp(id)
const sheet = computed(() => clasp.sheet.data.value)
const open = computed(() => job.value.may.lookAtClasp.ok)
const soft = computed(() => job.value.band?.material !== 'metal')

const own = computed(() => job.value.band?.clasp)

const parts = [
  { part: 'look', title: 'Inspect' },
  { part: 'measure', title: 'Measure' },
  { part: 'choose', title: 'Choose' },
  { part: 'own', title: 'Reuse' },
] as const
type Part = (typeof parts)[number]['part']
const part = useInAddress<Part>('part', job.value.claspKept ? 'choose' : 'look', (word) =>
  parts.some((p) => p.part === word),
)
watch(part, (now) => (shown.value = now), { immediate: true })

const error = ref<unknown>(null)
async function act(call: () => Promise<unknown>) {
  try {
    await call()
    error.value = null
  } catch (refusal) {
    error.value = refusal
  }
}
function see(changed: Partial<ClaspSeen>) {
  if (sheet.value) void act(() => clasp.see({ ...sheet.value!.seen, ...changed }))
}

const refused = reactive<Record<string, string | null>>({})
async function choose(candidate: ClaspCandidate, signedBy: string) {
  try {
    await clasp.replace({
      partId: candidate.partId!,
      ...(signedBy.trim() && { consentSignedBy: signedBy }),
    })
    refused[candidate.article] = null
  } catch (refusal) {
    refused[candidate.article] = saidOf(refusal, '$.consentSignedBy')[0] ?? wholeOf(refusal)
  }
}

const asking = ref(false)
const offers = ref<{ offers: ClaspCandidate[]; trouble: string | null } | null>(null)
watch(
  () => sheet.value?.wish,
  () => (offers.value = null),
)
async function askSuppliers() {
  asking.value = true
  await act(async () => (offers.value = await clasp.offers()))
  asking.value = false
}
/** What suppliers offered in place of own parts. */
const ownOffers = reactive<Partial<Record<OwnPartKind, PartOffers>>>({})
const askFor = (kind: OwnPartKind) => act(async () => (ownOffers[kind] = await clasp.ownPartOffers(kind)))
const notListed = computed(
  () =>
    offers.value?.offers.filter(
      (o) => !sheet.value?.candidates.some((c) => c.article === o.article) && o.verdict !== 'no',
    ) ?? [],
)
const goOn = computed(() => sheet.value?.candidates.filter((c) => c.verdict !== 'no') ?? [])
const doNot = computed(() => sheet.value?.candidates.filter((c) => c.verdict === 'no') ?? [])
/** Keeping it is not the first act where another goes on, or where it can be worn with none of its lengths. */
const second = computed(() => job.value.otherClasp !== null || sheet.value?.present?.verdict === 'no')
const showAll = ref(false)
const keep = (by: string) => act(() => clasp.keep(by))
watch(sought, (field) => {
  if (field !== 'clasp') return
  part.value = 'choose'
  sought.value = null
})
// Keeping it is what comes next where it can be worn, and nobody has to sign for it.
useActs(() => {
  const now = sheet.value?.present
  if (!job.value.band || !now || !open.value || job.value.claspKept || second.value) return null
  if (now.consent) return null
  const [lesser] =
    part.value === 'choose' ? [] : [{ says: 'Choose another', press: () => (part.value = 'choose') }]
  return {
    back: { says: 'Match', to: `/jobs/${job.value.id}/match` },
    lesser: lesser ? [lesser] : [],
    first: { says: 'Keep this clasp', press: () => keep('') },
  }
})
</script>

<template>
  <template v-if="job.band && sheet">
    <PartTabs :parts="parts" label="The clasp" :open="part" @open="part = $event" />

    <template v-if="part === 'look'">
      <KeyPart :sheet="sheet" :disabled="!open" @seen="(kind) => see({ kind })" />
      <p v-if="own && !job.otherClasp" class="quiet">
        <span class="figure">{{ own.twelveMm }} mm</span> on the 12 side to its centre,
        <span class="figure">{{ own.sixMm }} mm</span> on the 6 side;
        <template v-if="own.positions > 1"
          ><span class="figure">{{ own.positions }}</span> positions of
          <span class="figure">{{ own.stepMm }} mm</span>, now in position
          <span class="figure">{{ own.position + 1 }}</span> from the tight end.</template
        >
        <template v-else>no micro-adjust: nothing is left for hot or cold days.</template>
      </p>
      <EndPart :sheet="sheet" :soft="soft" :disabled="!open" @seen="see" />
      <p v-if="job.claspKept && !job.otherClasp" class="mine">Kept.</p>
      <KeepClasp
        v-else-if="open && !job.otherClasp"
        :consent="sheet.present?.consent ?? null"
        :first="false"
        :refusal="saidOf(error, '$.consentSignedBy')"
        @keep="(by) => act(() => clasp.keep(by))"
      />
    </template>

    <template v-else-if="part === 'measure'">
      <FigureLines
        :key="sheet.kind ?? ''"
        :lines="sheet.lines"
        :job-id="job.id"
        :disabled="!job.may.gauge.ok"
        @figure="figure = $event"
      />
      <p v-if="open && !job.planAgreed" class="quiet">
        What cannot be read closed is
        <router-link :to="`/jobs/${job.id}/bench`">opened at the bench first</router-link>.
      </p>
    </template>

    <OwnParts
      v-else-if="part === 'own'"
      :sheet="sheet"
      :disabled="!job.may.gauge.ok"
      :offers="ownOffers"
      @ask="askFor"
      @list="(article) => act(() => clasp.takeOffer(article))"
      @inspected="(p) => act(() => clasp.inspect(p))"
      @forget="(kind) => act(() => clasp.forget(kind))"
      @replacement="(kind, partId) => act(() => clasp.takeInstead({ kind, partId }))"
    />

    <template v-else>
      <section v-if="sheet.present" class="present" :class="{ chosen: job.claspKept && !job.otherClasp }">
        <div class="top">
          <h2>{{ sheet.present.name }}, its own</h2>
          <VerdictRing v-if="sheet.present.rules.length > 0" :verdict="sheet.present.verdict" />
        </div>
        <p v-if="sheet.present.effect?.betweenSizes" class="between">
          Between sizes: nothing it makes near
          <span class="figure">{{ tenths(sheet.targetMm) }} mm</span> can be worn.
        </p>
        <p v-for="r in sheet.present.rules.filter((r) => r.verdict !== 'fits')" :key="r.rule" class="quiet">
          {{ r.says }}
        </p>
        <p v-if="job.claspKept && !job.otherClasp" class="mine">Kept.</p>
        <KeepClasp
          v-else-if="open"
          :consent="sheet.present.consent"
          :first="!second"
          :refusal="saidOf(error, '$.consentSignedBy')"
          @keep="(by) => act(() => clasp.keep(by))"
        />
      </section>
      <p v-if="sheet.candidates.length === 0" class="quiet">
        No clasp of this kind of band is on the shop’s list.
      </p>
      <ol class="cards">
        <CandidateCard
          v-for="c in goOn"
          :key="c.article"
          :candidate="c"
          :open="open"
          :refusal="refused[c.article] ?? null"
          @choose="(by) => choose(c, by)"
        />
      </ol>
      <button
        v-if="doNot.length > 0"
        type="button"
        class="plain"
        :aria-expanded="showAll"
        @click="showAll = !showAll"
      >
        {{ showAll ? 'Less' : `${doNot.length} more do not go on; why?` }}
      </button>
      <ol v-if="showAll" class="cards">
        <CandidateCard v-for="c in doNot" :key="c.article" :candidate="c" :open="open" :refusal="null" />
      </ol>
      <section v-if="open" class="suppliers">
        <p v-if="sheet.wishMissing" class="quiet">
          Suppliers can be asked once {{ sheet.wishMissing }} is measured.
        </p>
        <template v-else-if="sheet.wish">
          <v-btn variant="outlined" :loading="asking" @click="askSuppliers">Ask the suppliers</v-btn>
          <span class="quiet"> for a {{ sheet.wish }}</span>
        </template>
        <p v-if="offers?.trouble" role="alert">{{ offers.trouble }}</p>
        <p v-else-if="offers && notListed.length === 0" class="quiet">They have nothing else that goes on.</p>
        <ol class="cards">
          <CandidateCard
            v-for="o in notListed"
            :key="o.article"
            :candidate="o"
            :open="open"
            :refusal="null"
            @list="act(() => clasp.takeOffer(o.article))"
          />
        </ol>
      </section>
    </template>
    <RefusedLine :of="error" />
  </template>
</template>

<style scoped>
.present {
  display: flex;
  flex-direction: column;
  gap: 4px;
  padding: 2px 2px 10px 10px;
}
.present.chosen {
  box-shadow: inset 4px 0 0 rgb(var(--v-theme-primary));
}
.top {
  display: flex;
  justify-content: space-between;
  gap: 10px;
}
h2::first-letter {
  text-transform: uppercase;
}
.between,
.mine {
  font-weight: 600;
}
.cards {
  list-style: none;
  margin: 0;
  padding: 0;
}
.suppliers {
  border-top: 3px double rgb(var(--v-theme-hairline));
  padding-top: 8px;
}
</style>
