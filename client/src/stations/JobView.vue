<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { BenchPlace } from '../api/bench'
import type { GaugedFigure } from '../api/gauge'
import { useTried, type PullThroughWay } from '../api/match'
import { useJob, type LooseLink } from '../api/shop'
import { useSize } from '../api/size'
import { wholeOf } from '../api/refused'
import StationChain from '../frame/StationChain.vue'
import { asDay } from '../frame/days'
import LayOutMat from '../loop/LayOutMat.vue'
import LoopDrawing from '../loop/LoopDrawing.vue'
import { atPosition, movedAcross, toggled, withLoose, type Place } from '../loop/rows'
import FourRulers from '../rulers/FourRulers.vue'
import ConditionView from './take-in/ConditionView.vue'
import BenchStation from './bench/BenchStation.vue'
import ClaspStation from './clasp/ClaspStation.vue'
import ClaspView from './clasp/ClaspView.vue'
import BraceletMat from './gauge/BraceletMat.vue'
import GaugeStation from './gauge/GaugeStation.vue'
import GaugeView from './gauge/GaugeView.vue'
import HandOverStation from './hand-over/HandOverStation.vue'
import MatchStation from './match/MatchStation.vue'
import SizeStation from './size/SizeStation.vue'
import { stationAt } from './stations'
import TakeInStation from './take-in/TakeInStation.vue'

const route = useRoute()
const id = computed(() => Number(route.params.id))
const station = computed(() => stationAt(String(route.params.station)))
const sheets = {
  takeIn: TakeInStation,
  gauge: GaugeStation,
  match: MatchStation,
  clasp: ClaspStation,
  size: SizeStation,
  bench: BenchStation,
  handOver: HandOverStation,
}

/** The figure the tool is on, at Gauge. */
const figure = ref<GaugedFigure | null>(null)
/** The part of the gauging sheet that is open. */
const part = ref('watch')
const shop = useJob(id)
const size = useSize(id)
/** The link the fitter is on, at Size. */
const at = ref<Place | null>(null)
const job = computed(() => shop.job.data.value)
/** What is on the screen stays there while the server does not answer: it may hold what is not saved yet. */
const notThere = computed(() => (job.value ? null : shop.job.error.value))
/** Where the bench step is worked. */
const marked = ref<BenchPlace | null>(null)
/** A band that is only looked at, at Match. */
const tried = ref<{ bandId: number; way: PullThroughWay } | null>(null)
const triedLoop = useTried(id, tried)
const loop = computed(() =>
  station.value === 'match' && tried.value && triedLoop.data.value
    ? triedLoop.data.value
    : shop.loop.data.value,
)
/** A sheet that takes the whole width for a while. */
const wide = ref(false)
watch([id, station], () => {
  tried.value = null
  at.value = null
  marked.value = null
  wide.value = false
})
const says = computed(() => job.value?.stations.find((s) => s.station === station.value)?.says)
/** At Clasp the chart and the jaws take the rulers' place. */
const measuring = computed(() => station.value === 'clasp' && ['measure', 'choose'].includes(part.value))
const changeable = computed(() => station.value === 'size' && job.value?.may.arrange.ok === true)

function toggle(place: Place) {
  if (loop.value?.layOut) shop.arrange.mutate(toggled(loop.value.layOut, place))
}
function putIn(link: LooseLink, side: 'twelve' | 'six') {
  if (loop.value?.layOut) shop.arrange.mutate(withLoose(loop.value.layOut, link, side))
}
function across(place: Place) {
  const moved = loop.value?.layOut && movedAcross(loop.value.layOut, place)
  if (moved) shop.arrange.mutate(moved)
}
function pin(place: Place) {
  const link = loop.value?.layOut?.[place.side][place.ordinal]
  if (link && (link.pinned || link.fate !== 'fixed')) void size.pin({ ...place, pinned: !link.pinned })
}
function move(position: number) {
  const layOut = loop.value?.layOut
  const positions = layOut?.clasp?.positions ?? layOut?.strap?.holesMm.length ?? 1
  if (layOut && changeable.value && position >= 0 && position < positions)
    shop.arrange.mutate(atPosition(layOut, position))
}
</script>

<template>
  <section v-if="notThere" class="job">
    <p role="alert" class="says">{{ wholeOf(notThere) }}</p>
  </section>
  <section v-else-if="job" class="job">
    <header class="who">
      <h1>
        {{ job.client }} <span class="watch">{{ job.watch }}</span>
      </h1>
      <p class="quiet">
        Tag <span class="figure">{{ job.id }}</span>, promised {{ asDay(job.promised) }}
        <strong v-if="job.late">— late</strong>
        <strong v-if="job.closedAt">— handed over</strong>
      </p>
    </header>
    <StationChain :job="job" :here="station" />

    <div class="mid" :class="{ wide }">
      <div class="sheet">
        <p class="says" data-testid="says">{{ says }}</p>
        <component
          :is="sheets[station]"
          :key="`${job.id}-${station}`"
          :job="job"
          :loop="loop"
          v-bind="station === 'size' ? { at } : {}"
          @position="move"
          @put-in="putIn"
          @toggle="toggle"
          @across="across"
          @pin="pin"
          @mark="marked = $event"
          @figure="figure = $event"
          @part="part = $event"
          @try="tried = $event"
          @wide="wide = $event"
        />
      </div>
      <div v-if="!wide" class="view">
        <ConditionView v-if="station === 'takeIn'" :key="job.id" :job="job" />
        <GaugeView v-else-if="station === 'gauge'" :job-id="job.id" :figure="figure" :loop="loop" />
        <ClaspView
          v-else-if="station === 'clasp' && job.band"
          :key="job.id"
          :job-id="job.id"
          :figure="figure"
          :part="part"
          :loop="loop"
        />
        <div v-else-if="loop?.drawing" class="drawing">
          <LoopDrawing
            :drawing="loop.drawing"
            :temper="loop.rulers?.temper"
            :marked="station === 'bench' ? marked : null"
          />
        </div>
        <p v-else class="empty quiet">
          The loop is drawn here once lug-to-lug, wrist and wear preference are gauged.
        </p>
        <FourRulers
          v-if="loop?.rulers && station !== 'takeIn' && station !== 'gauge' && !measuring"
          :rulers="loop.rulers"
        />
      </div>
    </div>

    <div v-if="station === 'gauge' && part === 'bracelet'" class="flat sheeted">
      <BraceletMat :key="job.id" :job-id="job.id" :changeable="job.may.gaugeBracelet.ok" />
    </div>
    <div v-else-if="loop?.layOut && loop.drawing && station !== 'takeIn' && station !== 'gauge'" class="flat">
      <LayOutMat
        :lay-out="loop.layOut"
        :bar-to-bar-mm="loop.drawing.barToBarMm"
        :changeable="changeable"
        :marked="station === 'bench' ? marked : null"
        @toggle="toggle"
        @position="move"
        @here="at = $event"
        @across="across"
        @pin="pin"
      />
    </div>
  </section>
</template>

<style scoped>
.job {
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr) auto;
  gap: 10px;
  padding: 10px 20px 8px;
  min-height: 100vh;
  height: 100vh;
}
.who {
  min-width: 0;
  overflow-wrap: anywhere;
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: 16px;
}
h1 {
  font-size: 25px;
  font-weight: 600;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  min-width: 0;
}
.who p {
  white-space: nowrap;
}
.watch {
  font-weight: 400;
  color: rgb(var(--v-theme-iron));
}
.mid {
  display: grid;
  grid-template-columns: minmax(400px, 5fr) minmax(0, 6fr);
  gap: 28px;
  min-height: 0;
}
.mid.wide {
  grid-template-columns: minmax(0, 1fr);
}
.sheet {
  display: flex;
  flex-direction: column;
  gap: 12px;
  min-height: 0;
  overflow-y: auto;
  padding: 2px 6px 6px 2px;
}
.view {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  gap: 6px;
  min-height: 0;
}
.drawing {
  min-height: 0;
}
.empty {
  align-self: center;
  text-align: center;
  padding: 0 40px;
}
.flat {
  height: 118px;
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding-top: 4px;
}
.sheeted {
  height: 142px;
}
@media (max-width: 960px) {
  .job {
    height: auto;
    min-height: 0;
  }
  .who {
    display: block;
  }
  h1 {
    white-space: normal;
  }
  .mid {
    grid-template-columns: minmax(0, 1fr);
  }
  .drawing {
    height: 300px;
  }
}
</style>
