<script setup lang="ts">
import { tenths } from '../../api/tenths'
import { computed, ref } from 'vue'
import { useClasp, type ClaspCandidate } from '../../api/clasp'
import type { Job, LoopSheet, LooseLink, Side } from '../../api/shop'
import { useSize } from '../../api/size'
import { onTheMat, type Place } from '../../drawing/rows'
import VerdictRing from '../VerdictRing.vue'
import RefusedLine from '../../controls/RefusedLine.vue'

const props = defineProps<{ job: Job; loop: LoopSheet; at: Place | null }>()
const emit = defineEmits<{
  putIn: [link: LooseLink, side: Side]
  toggle: [place: Place]
  across: [place: Place]
  pin: [place: Place]
  go: [place: Place]
}>()

const size = useSize(() => props.job.id)
const stock = size.stockLinks().data
const { sheet: clasps, replace, keep } = useClasp(() => props.job.id)
const trouble = ref<unknown>(null)
async function act(what: Promise<unknown>) {
  try {
    await what
    trouble.value = null
  } catch (refusal) {
    trouble.value = refusal
  }
}

const layOut = computed(() => props.loop.layOut)
const link = computed(() => (props.at ? layOut.value?.[props.at.side][props.at.ordinal] : undefined))
/** From link to link by thumb, where they are drawn too narrow to be touched. */
const places = computed(() => (layOut.value ? onTheMat(layOut.value) : []))
function step(by: number) {
  const now = places.value.findIndex((p) => p.side === props.at?.side && p.ordinal === props.at?.ordinal)
  const to = places.value[now < 0 ? 0 : Math.min(places.value.length - 1, Math.max(0, now + by))]
  if (to) emit('go', to)
}
const isLast = computed(() => {
  const row = props.at ? (layOut.value?.[props.at.side] ?? []) : []
  return props.at?.ordinal === row.filter((l) => l.fate !== 'joins').length - 1
})
const claspJoint = computed(() =>
  props.at?.side === 'twelve' ? layOut.value?.twelveAtTheClasp : layOut.value?.sixAtTheClasp,
)
const freed = computed(() => isLast.value && claspJoint.value?.endPieceMm != null)
const endPiece = ref('')
const name = (side: Side) => (side === 'twelve' ? '12' : '6')
const other = (side: Side) => (side === 'twelve' ? '6' : '12')

const loose = computed(() => {
  const kinds = new Map<string, { link: LooseLink; count: number }>()
  for (const { pitchMm, mark, oneSided } of layOut.value?.spares ?? []) {
    const key = `${pitchMm} ${mark} ${oneSided}`
    const kind = kinds.get(key) ?? { link: { pitchMm, mark, oneSided }, count: 0 }
    kinds.set(key, { ...kind, count: kind.count + 1 })
  }
  return [...kinds.values()]
})

/** Clasps worth trying: those that go on, the cures first, as Clasp ranks them. */
const others = computed(() =>
  (clasps.data.value?.candidates ?? [])
    .filter(
      (c): c is ClaspCandidate & { partId: number } =>
        c.partId !== null && c.verdict !== 'no' && c.verdict !== 'unknown' && c.effect !== null,
    )
    .slice(0, 5),
)
const off = (mm: number) =>
  Math.abs(mm) < 0.05 ? 'centred' : `${tenths(Math.abs(mm))} mm to ${mm > 0 ? '6' : '12'}`
</script>

<template>
  <div class="row">
    <v-btn variant="outlined" :disabled="places.length === 0" @click="step(-1)">‹ Link</v-btn>
    <v-btn variant="outlined" :disabled="places.length === 0" @click="step(1)">Link ›</v-btn>
  </div>
  <section v-if="at && link" aria-label="The link">
    <h2>
      {{ name(at.side) }} side, link <span class="figure">{{ at.ordinal + 1 }}</span> from the case,
      <span class="figure">{{ link.pitchMm }} mm</span>{{ link.mark ? ` kind ${link.mark}` : '' }}
    </h2>
    <div v-if="link.fate !== 'fixed'" class="row">
      <v-btn variant="outlined" @click="emit('toggle', at)">
        {{ link.fate === 'leaves' ? 'Put it back' : link.fate === 'joins' ? 'Lay it aside' : 'Take it out' }}
      </v-btn>
      <v-btn v-if="link.fate !== 'leaves' && !link.oneSided" variant="outlined" @click="emit('across', at)">
        Move it to the {{ other(at.side) }} side (M)
      </v-btn>
      <v-btn v-if="link.fate !== 'joins'" variant="outlined" @click="emit('pin', at)">
        Never take it (N)
      </v-btn>
    </div>
    <div v-else-if="link.pinned" class="row">
      <span>Never taken.</span>
      <v-btn variant="outlined" @click="emit('pin', at)">It may be taken (N)</v-btn>
    </div>
    <p v-else>It never comes out at its own fastener.</p>
    <div v-if="freed" class="row">
      <span
        >Freed at the clasp’s joint<template v-if="claspJoint?.endPieceMm"
          >; the end piece of <span class="figure">{{ claspJoint.endPieceMm }} mm</span> stays with the
          clasp</template
        >.</span
      >
      <v-btn variant="outlined" @click="act(size.free({ side: at.side, freed: false, endPiece: '' }))">
        It is fixed after all
      </v-btn>
    </div>
    <form
      v-else-if="isLast && claspJoint?.canBeFreed && link.fate === 'fixed' && !link.pinned"
      class="row"
      @submit.prevent="act(size.free({ side: at.side, freed: true, endPiece }))"
    >
      <span class="quiet">Look at the clasp’s joint: with its bar out, the link may come free there.</span>
      <v-text-field
        v-model="endPiece"
        density="compact"
        name="endPiece"
        label="End piece that stays"
        autocomplete="off"
        hide-details
      />
      <v-btn type="submit" variant="outlined">It comes free</v-btn>
    </form>
  </section>
  <p v-else class="quiet">Go to a link on the lay-out to take it, move it or keep it for good.</p>

  <section aria-label="Loose links">
    <h2>Loose links</h2>
    <p v-if="loose.length === 0" class="quiet">None in the bag.</p>
    <div v-for="{ link: l, count } in loose" :key="`${l.pitchMm}${l.mark}`" class="row">
      <span
        ><span class="figure">{{ count }}</span> loose of <span class="figure">{{ l.pitchMm }} mm</span
        >{{ l.mark ? ` kind ${l.mark}` : '' }}</span
      >
      <v-btn variant="outlined" @click="emit('putIn', l, 'twelve')">Into 12</v-btn>
      <v-btn variant="outlined" @click="emit('putIn', l, 'six')">Into 6</v-btn>
    </div>
    <div v-for="s in stock ?? []" :key="s.partId" class="row" :data-stock="s.article">
      <span
        >{{ s.name }} in stock, <span class="figure">{{ s.pitchMm }} mm</span>, {{ s.article }}:
        <template v-if="s.taken > 0"
          ><span class="figure">{{ s.taken }}</span> taken, </template
        ><span class="figure">{{ s.free }}</span> free</span
      >
      <v-btn variant="outlined" @click="act(size.takeLinks({ partId: s.partId, count: s.taken + 1 }))">
        {{ s.free > 0 ? 'Try one' : 'Order one' }}
      </v-btn>
      <v-btn
        v-if="s.taken > 0"
        variant="text"
        @click="act(size.takeLinks({ partId: s.partId, count: s.taken - 1 }))"
        >Give one back</v-btn
      >
    </div>
  </section>

  <section aria-label="Another clasp">
    <h2>Another clasp</h2>
    <p v-if="others.length === 0" class="quiet">
      {{
        clasps.data.value?.candidates.some((c) => c.verdict === 'unknown')
          ? 'Measure the band’s clasp end at Clasp, then it is known which go on.'
          : 'None in the list goes on this band.'
      }}
    </p>
    <div v-for="c in others" :key="c.article" class="clasp" :data-clasp="c.article">
      <VerdictRing :verdict="c.verdict" bare />
      <div>
        <p>{{ c.name }}, {{ c.article }}<strong v-if="c.cures">, cures it</strong></p>
        <p v-if="c.effect" class="figure facts">
          <span>{{ tenths(c.effect.lengthMm) }} mm</span><span>{{ off(c.effect.offCentreMm) }}</span
          ><span>−{{ tenths(c.effect.tighterMm) }} / +{{ tenths(c.effect.looserMm) }} mm</span>
        </p>
      </div>
      <v-btn v-if="c.chosen" variant="outlined" @click="act(keep(''))">Its own again</v-btn>
      <v-btn v-else-if="!c.needsConsent" variant="outlined" @click="act(replace({ partId: c.partId }))">
        Try it
      </v-btn>
      <span v-else class="quiet">wants consent, at Clasp</span>
    </div>
  </section>
  <RefusedLine :of="trouble" />
</template>

<style scoped>
section {
  display: flex;
  flex-direction: column;
  gap: 6px;
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding-top: 8px;
}
h2 {
  font-size: 17px;
  font-weight: 600;
}
.row .v-text-field {
  max-width: 190px;
}
.clasp {
  display: grid;
  grid-template-columns: auto 1fr auto;
  align-items: center;
  gap: 10px;
}
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  font-size: 15px;
}
</style>
