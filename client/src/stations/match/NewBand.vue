<script setup lang="ts">
import { useTitle } from '@vueuse/core'
import { computed, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import {
  useAddBand,
  type BandAttachment,
  type BandMaterial,
  type BandSheet,
  type Request,
  type Side,
} from '../../api/shop'
import { saidOf, titleOf } from '../../api/refused'
import { useChoice } from '../../api/match'
import { useJobIfAny } from '../../api/job'
import DraftLine from '../../controls/DraftLine.vue'
import { useActs } from '../../controls/acts'
import { useDraft } from '../../controls/drafts'
import { pathOf } from '../../job/stations'

const route = useRoute()
const router = useRouter()
/** With a job the band is its owner's own; without one it goes into stock. */
const jobId = computed(() => (route.query.job ? Number(route.query.job) : null))
/** The job it is entered for, into stock. */
const forJob = computed(() => (route.query.for ? Number(route.query.for) : null))
const { mutate, error, isPending } = useAddBand()
const about = computed(() => jobId.value ?? forJob.value)
const { data: job } = useJobIfAny(about)
const { choose } = useChoice(() => about.value ?? 0)

type Kind = 'linkBracelet' | 'twoPiece' | 'onePiece' | 'mesh'
const kinds: { kind: Kind; title: string }[] = [
  { kind: 'linkBracelet', title: 'Link bracelet' },
  { kind: 'twoPiece', title: 'Two-piece strap' },
  { kind: 'onePiece', title: 'Pull-through band' },
  { kind: 'mesh', title: 'Mesh' },
]
const kind = ref<Kind>('linkBracelet')
/** What it closes with, unless something else is said. */
const usual: Record<Kind, string> = {
  linkBracelet: 'fold-over',
  twoPiece: 'pin buckle',
  onePiece: 'pin buckle',
  mesh: 'slide clasp',
}
watch(kind, (now, before) => {
  if (band.claspName === '' || band.claspName === usual[before ?? now]) band.claspName = usual[now]
})
// What is asked for tells what kind of band is wanted.
const wantedBy: Partial<Record<Request, Kind>> = {
  changeStrap: 'twoPiece',
  fitMesh: 'mesh',
  takeLinksOut: 'linkBracelet',
  putLinksIn: 'linkBracelet',
}
watch(
  () => job.value?.request,
  (request) => {
    if (request && !draft.isTyped.value) kind.value = wantedBy[request] ?? kind.value
  },
  { flush: 'post' },
)
const isMetal = computed(() => kind.value === 'linkBracelet' || kind.value === 'mesh')
const band = reactive({
  name: '',
  material: 'leather' as BandMaterial,
  attaches: 'looseBar' as BandAttachment,
  width: '',
  thickness: '',
  claspName: 'fold-over',
  inStock: '1',
  price: '',
  colour: '',
  finish: '',
  family: '',
  end: 'straight' as NonNullable<BandSheet['end']>,
  endThickness: '',
  tubeBore: '',
  boreToFace: '',
  claspEnd: '',
  nickelSafe: false,
  firm: false,
})
const bracelet = reactive({
  twelve: '',
  six: '',
  spares: '',
  claspTwelve: '',
  claspSix: '',
  microSide: 'twelve' as Side,
  positions: '4',
  step: '',
  position: '1',
  solidEnd: true,
})
const strap = reactive({ bucklePiece: '', tail: '', firstHole: '', holePitch: '', holes: '7' })

const onePiece = reactive({
  firstHole: '',
  holePitch: '',
  holes: '12',
  underRun: '',
  closure: 'buckle' as NonNullable<NonNullable<BandSheet['onePiece']>['closure']>,
  farthest: '',
  whole: '',
})
const closures: { value: typeof onePiece.closure; title: string }[] = [
  { value: 'buckle', title: 'Buckle and holes' },
  { value: 'hookAndLoop', title: 'Hook and loop' },
  { value: 'sideRelease', title: 'Side-release catch' },
]
const mesh = reactive({ shortest: '', longest: '', notches: '0' })

const ends: { value: NonNullable<BandSheet['end']>; title: string }[] = [
  { value: 'straight', title: 'Straight' },
  { value: 'curved', title: 'Curved' },
  { value: 'fitted', title: 'Fitted to a case' },
]
const softMaterials: { value: BandMaterial; title: string }[] = [
  { value: 'leather', title: 'Leather' },
  { value: 'textile', title: 'Textile' },
  { value: 'rubber', title: 'Rubber' },
]
const attachings: { value: BandAttachment; title: string }[] = [
  { value: 'looseBar', title: 'Loose bar' },
  { value: 'quickRelease', title: 'Quick release' },
  { value: 'openEnd', title: 'Open end' },
  { value: 'screwThrough', title: 'Screwed through' },
]
const sides: { value: Side; title: string }[] = [
  { value: 'twelve', title: '12 side' },
  { value: 'six', title: '6 side' },
]
const whole = (typed: string) => Math.trunc(Number(typed)) || 0
const said = (path: string) => saidOf(error.value, path)

function done() {
  const sheet: BandSheet = {
    ...band,
    material: isMetal.value ? 'metal' : band.material,
    attaches: kind.value === 'onePiece' ? 'pullThrough' : band.attaches,
    // Not ticked says nothing: only a declaration counts.
    nickelSafe: band.nickelSafe ? true : null,
    firm: kind.value === 'twoPiece' && band.material === 'leather' && band.firm ? true : null,
    boreToFace: kind.value === 'linkBracelet' ? band.boreToFace : null,
    inStock: jobId.value === null ? whole(band.inStock) : 1,
    bracelet:
      kind.value === 'linkBracelet'
        ? { ...bracelet, positions: whole(bracelet.positions), position: whole(bracelet.position) }
        : null,
    strap: kind.value === 'twoPiece' ? { ...strap, holes: whole(strap.holes) } : null,
    onePiece: kind.value === 'onePiece' ? { ...onePiece, holes: whole(onePiece.holes) } : null,
    mesh: kind.value === 'mesh' ? { ...mesh, notches: whole(mesh.notches) } : null,
  }
  mutate(
    { jobId: jobId.value, sheet },
    {
      async onSuccess(added) {
        draft.done()
        const back = jobId.value ?? forJob.value
        if (back === null) return router.push('/')
        // Stock entered from a job is meant for that job; where it does not go on, Match says why.
        const isChosen =
          forJob.value !== null &&
          (await choose({ bandId: added.id, way: 'double' }).then(
            () => true,
            () => false,
          ))
        return router.push({
          path: `/jobs/${back}/${pathOf.match}`,
          query: isChosen ? {} : { card: added.article },
        })
      },
    },
  )
}
const draft = useDraft(
  `new band${jobId.value === null ? '' : ` of ${jobId.value}`}`,
  () => ({
    kind: kind.value,
    band: { ...band },
    bracelet: { ...bracelet },
    strap: { ...strap },
    onePiece: { ...onePiece },
    mesh: { ...mesh },
  }),
  (kept) => {
    kind.value = kept.kind
    Object.assign(band, kept.band)
    Object.assign(bracelet, kept.bracelet)
    Object.assign(strap, kept.strap)
    Object.assign(onePiece, kept.onePiece)
    Object.assign(mesh, kept.mesh)
  },
)
const moreIsRefused = computed(() =>
  ['claspName', 'colour', 'finish', 'endThickness', 'tubeBore', 'claspEnd', 'family', 'boreToFace'].some(
    (field) => said(`$.${field}`).length > 0,
  ),
)
useTitle(() => `${jobId.value === null ? 'Put a band in stock' : 'The owner’s own band'} – Iron Loop`)
useActs(() => {
  const back = jobId.value ?? forJob.value
  return {
    back:
      back === null
        ? { says: 'Catalogue', to: '/house/catalogue' }
        : { says: 'Match', to: `/jobs/${back}/match` },
    first: {
      says: jobId.value === null ? 'Put it in stock' : 'Enter it',
      form: 'new-band',
      busy: isPending.value,
    },
  }
})
</script>

<template>
  <section class="new">
    <h1>{{ jobId === null ? 'Put a band in stock' : 'The owner’s own band' }}</h1>
    <p class="says">
      Lengths as you read them. A row of links is said from case to clasp: 2 fixed of 9; 7 of 8.2; 1 of 5.
    </p>
    <div class="kind" role="group" aria-label="What it is">
      <v-btn
        v-for="k in kinds"
        :key="k.kind"
        :variant="kind === k.kind ? 'flat' : 'outlined'"
        color="primary"
        :aria-pressed="kind === k.kind"
        @click="kind = k.kind"
      >
        {{ k.title }}
      </v-btn>
    </div>
    <form id="new-band" @submit.prevent="done">
      <DraftLine :draft="draft" />
      <v-text-field
        v-model="band.name"
        class="two"
        label="Name"
        name="name"
        :error-messages="said('$.name')"
      />
      <v-text-field
        v-model="band.width"
        label="Width at the lugs"
        name="width"
        :error-messages="said('$.width')"
      />
      <v-text-field
        v-model="band.thickness"
        label="Thickness"
        name="thickness"
        :error-messages="said('$.thickness')"
      />
      <template v-if="kind === 'onePiece'">
        <v-select
          v-model="onePiece.closure"
          :items="closures"
          label="It closes by"
          name="closure"
          :error-messages="said('$.onePiece.closure')"
        />
        <v-text-field
          v-model="onePiece.firstHole"
          :label="
            onePiece.closure === 'buckle'
              ? 'Buckle’s bar to the first hole'
              : 'Ring or catch to the nearest place'
          "
          name="firstHole"
          :error-messages="said('$.onePiece.firstHole')"
        />
        <template v-if="onePiece.closure === 'buckle'">
          <v-text-field
            v-model="onePiece.holePitch"
            label="Hole to hole"
            name="holePitch"
            :error-messages="said('$.onePiece.holePitch')"
          />
          <v-text-field
            v-model="onePiece.holes"
            type="number"
            label="Holes"
            name="holes"
            :error-messages="said('$.onePiece.holes')"
          />
        </template>
        <v-text-field
          v-else
          v-model="onePiece.farthest"
          label="Ring or catch to the farthest place"
          name="farthest"
          :error-messages="said('$.onePiece.farthest')"
        />
      </template>
      <template v-else-if="kind === 'mesh'">
        <v-text-field
          v-model="mesh.shortest"
          label="Shortest loop"
          name="shortest"
          :error-messages="said('$.mesh.shortest')"
        />
        <v-text-field
          v-model="mesh.longest"
          label="Longest loop"
          name="longest"
          :error-messages="said('$.mesh.longest')"
        />
        <v-text-field
          v-model="mesh.notches"
          type="number"
          label="Notches, 0 when it locks anywhere"
          name="notches"
          :error-messages="said('$.mesh.notches')"
        />
      </template>
      <template v-else-if="kind === 'linkBracelet'">
        <v-text-field
          v-model="bracelet.twelve"
          class="two"
          label="12 side, case to clasp"
          name="twelve"
          :error-messages="said('$.bracelet.twelve')"
        />
        <v-text-field
          v-model="bracelet.six"
          class="two"
          label="6 side, case to clasp"
          name="six"
          :error-messages="said('$.bracelet.six')"
        />
        <v-text-field
          v-model="bracelet.claspTwelve"
          label="Clasp, 12 side to centre"
          name="claspTwelve"
          :error-messages="said('$.bracelet.claspTwelve')"
        />
        <v-text-field
          v-model="bracelet.claspSix"
          label="Clasp, centre to 6 side"
          name="claspSix"
          :error-messages="said('$.bracelet.claspSix')"
        />
        <v-text-field
          v-model="bracelet.positions"
          type="number"
          label="Micro positions"
          name="positions"
          :error-messages="said('$.bracelet.positions')"
        />
        <v-text-field
          v-model="bracelet.step"
          label="Hole spacing"
          name="step"
          :error-messages="said('$.bracelet.step')"
        />
      </template>
      <template v-else>
        <v-text-field
          v-model="strap.bucklePiece"
          label="Buckle piece, lug end to bar"
          name="bucklePiece"
          :error-messages="said('$.strap.bucklePiece')"
        />
        <v-text-field
          v-model="strap.tail"
          label="Tail, lug end to tip"
          name="tail"
          :error-messages="said('$.strap.tail')"
        />
        <v-text-field
          v-model="strap.firstHole"
          label="Lug end to first hole"
          name="firstHole"
          :error-messages="said('$.strap.firstHole')"
        />
        <v-text-field
          v-model="strap.holePitch"
          label="Hole to hole"
          name="holePitch"
          :error-messages="said('$.strap.holePitch')"
        />
        <v-text-field
          v-model="strap.holes"
          type="number"
          label="Holes"
          name="holes"
          :error-messages="said('$.strap.holes')"
        />
      </template>
      <template v-if="jobId === null">
        <v-text-field v-model="band.price" label="Price" name="price" :error-messages="said('$.price')" />
        <v-text-field
          v-model="band.inStock"
          type="number"
          label="How many"
          name="inStock"
          :error-messages="said('$.inStock')"
        />
      </template>
      <details class="four" :open="moreIsRefused">
        <summary>More about it: material, how it attaches, looks, what it closes with</summary>
        <div class="more">
          <v-select
            v-if="!isMetal"
            v-model="band.material"
            :items="softMaterials"
            label="Material"
            data-field="material"
          />
          <v-select
            v-if="kind !== 'onePiece'"
            v-model="band.attaches"
            :items="attachings"
            label="Attaches by"
            data-field="attaches"
          />
          <v-text-field
            v-model="band.claspName"
            label="Closes with"
            name="claspName"
            :error-messages="said('$.claspName')"
          />
          <v-text-field
            v-model="band.colour"
            label="Colour"
            name="colour"
            :error-messages="said('$.colour')"
          />
          <v-text-field
            v-model="band.finish"
            label="Finish"
            name="finish"
            :error-messages="said('$.finish')"
          />
          <v-select v-model="band.end" :items="ends" label="End at the case" data-field="end" />
          <v-text-field
            v-model="band.endThickness"
            label="End’s thickness"
            name="endThickness"
            :error-messages="said('$.endThickness')"
          />
          <v-text-field
            v-model="band.tubeBore"
            label="Bore of its tube"
            name="tubeBore"
            :error-messages="said('$.tubeBore')"
          />
          <v-text-field
            v-model="band.claspEnd"
            label="Width at the clasp"
            name="claspEnd"
            :error-messages="said('$.claspEnd')"
          />
          <v-text-field
            v-if="band.end === 'fitted' || band.attaches === 'screwThrough'"
            v-model="band.family"
            label="Maker’s family code"
            name="family"
            :error-messages="said('$.family')"
          />
          <v-text-field
            v-if="kind === 'linkBracelet' && band.end === 'straight'"
            v-model="band.boreToFace"
            label="Its bore to its face toward the case"
            name="boreToFace"
            :error-messages="said('$.boreToFace')"
          />
          <v-checkbox
            v-if="kind === 'twoPiece' && band.material === 'leather'"
            v-model="band.firm"
            label="Firm leather"
            hide-details
          />
          <v-checkbox v-if="isMetal" v-model="band.nickelSafe" label="Declared nickel-safe" hide-details />
          <v-text-field
            v-if="kind === 'linkBracelet'"
            v-model="bracelet.spares"
            class="two"
            label="Spare links"
            name="spares"
            :error-messages="said('$.bracelet.spares')"
          />
          <v-checkbox
            v-if="kind === 'linkBracelet'"
            v-model="bracelet.solidEnd"
            label="Solid end links"
            hide-details
          />
          <v-text-field
            v-if="kind === 'linkBracelet'"
            v-model="bracelet.position"
            type="number"
            label="Now in hole, from the tight end"
            name="position"
            :error-messages="said('$.bracelet.position')"
          />
          <v-select
            v-if="kind === 'linkBracelet'"
            v-model="bracelet.microSide"
            :items="sides"
            label="Micro-adjust on"
            data-field="microSide"
          />
          <v-text-field
            v-if="kind === 'onePiece'"
            v-model="onePiece.whole"
            label="Whole, to the tip, if measured"
            name="whole"
            :error-messages="said('$.onePiece.whole')"
          />
          <v-text-field
            v-if="kind === 'onePiece'"
            v-model="onePiece.underRun"
            label="Under-run, if measured"
            name="underRun"
            :error-messages="said('$.onePiece.underRun')"
          />
        </div>
      </details>
      <p v-if="error" class="four refused" role="alert">{{ titleOf(error) }}</p>
    </form>
  </section>
</template>

<style scoped>
.new {
  display: grid;
  gap: 14px;
  padding: 28px 36px;
  max-width: 66rem;
}
h1 {
  font-size: 30px;
  font-weight: 600;
}
.kind {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
form {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 12px 22px;
  align-items: start;
}
.two {
  grid-column: span 2;
}
.four {
  grid-column: 1 / -1;
}
.more {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 12px 22px;
  align-items: start;
}
summary {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  text-decoration: underline;
  cursor: pointer;
}
@media (max-width: 800px) {
  .more,
  form {
    grid-template-columns: minmax(0, 1fr);
  }
  .two {
    grid-column: auto;
  }
}
</style>
