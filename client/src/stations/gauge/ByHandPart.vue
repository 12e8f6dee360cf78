<script setup lang="ts">
import { computed, reactive, watch } from 'vue'
import { useTellByHand, type HandWork } from '../../api/counter'
import { wholeOf } from '../../api/refused'
import RefusedLine from '../../controls/RefusedLine.vue'
import { useActing } from '../../controls/acting'
import { useJobHere } from '../../job/here'
import { onTheWatch } from '../came'

/** Work that is told by a count, a place or a part, and needs no figure. */
const { id, job } = useJobHere()
const { tell, forget } = useTellByHand(id)
const { busy, error, act } = useActing(200)
const may = computed(() => job.value.may.tellByHand.ok)
const request = computed(() => job.value.request)
const isLinks = computed(() => ['takeLinksOut', 'putLinksIn', 'refit'].includes(request.value))

const typed = reactive({
  twelve: '',
  six: '',
  of: 'soft' as HandWork['of'],
  from: '',
  to: '',
  part: 'lugBar' as NonNullable<HandWork['part']>,
  side: 'twelve' as 'twelve' | 'six' | 'both',
  lost: true,
  attaches: 'looseBar' as NonNullable<HandWork['attaches']>,
})
watch(
  () => job.value.byHand,
  (told) => {
    if (!told) return
    const sign = request.value === 'putLinksIn' ? -1 : 1
    Object.assign(typed, {
      twelve: told.twelve == null ? '' : String(sign * Number(told.twelve)),
      six: told.six == null ? '' : String(sign * Number(told.six)),
      of: told.of,
      from: String(told.from ?? ''),
      to: String(told.to ?? ''),
      part: told.part ?? 'lugBar',
      side: told.side ?? 'both',
      lost: told.lost ?? true,
      attaches: told.attaches,
    })
  },
  { immediate: true },
)

const whole = (text: string) => Math.trunc(Number(text)) || 0
function told(): HandWork {
  if (isLinks.value) {
    const sign = request.value === 'putLinksIn' ? -1 : 1
    return { kind: 'byCount', twelve: sign * whole(typed.twelve), six: sign * whole(typed.six) }
  }
  if (request.value === 'positionOnly')
    return { kind: 'atPlace', of: typed.of, from: whole(typed.from), to: whole(typed.to) }
  if (request.value === 'replacePart') {
    const of = typed.part === 'linkPin' ? 'bracelet' : typed.of
    return {
      kind: 'part',
      of,
      part: typed.part,
      side: typed.side === 'both' ? null : typed.side,
      lost: typed.lost,
    }
  }
  return { kind: 'ownBandOn', of: typed.of, attaches: typed.attaches }
}
const bands = onTheWatch.filter((o) => o.value !== 'nothing')
const parts: { value: NonNullable<HandWork['part']>; title: string }[] = [
  { value: 'lugBar', title: 'bar at the lugs' },
  { value: 'linkPin', title: 'pin or screw between links' },
  { value: 'claspPin', title: 'pin or bar at the clasp' },
  { value: 'keeper', title: 'keeper' },
  { value: 'tongue', title: 'buckle’s tongue' },
]
</script>

<template>
  <form class="by-hand" @submit.prevent="act(() => tell(told()))">
    <fieldset :disabled="!may || busy">
      <legend>
        {{ isLinks ? 'By count: links ' + (request === 'putLinksIn' ? 'in' : 'out') : 'Told by hand' }}
      </legend>
      <template v-if="isLinks">
        <label
          >12 side <input v-model="typed.twelve" class="plain-field" name="twelveCount" inputmode="numeric"
        /></label>
        <label
          >6 side <input v-model="typed.six" class="plain-field" name="sixCount" inputmode="numeric"
        /></label>
      </template>
      <template v-else>
        <select
          v-if="request === 'replacePart'"
          v-model="typed.part"
          class="plain-field"
          name="whichPart"
          aria-label="Which part"
        >
          <option v-for="p in parts" :key="p.value" :value="p.value">{{ p.title }}</option>
        </select>
        <select
          v-if="typed.part !== 'linkPin' || request !== 'replacePart'"
          v-model="typed.of"
          class="plain-field"
          name="ofBand"
          aria-label="What the band is"
        >
          <option v-for="o in bands" :key="o.value" :value="o.value">{{ o.title }}</option>
        </select>
        <template v-if="request === 'positionOnly'">
          <label
            >in place <input v-model="typed.from" class="plain-field" name="fromPlace" inputmode="numeric"
          /></label>
          <label
            >to place <input v-model="typed.to" class="plain-field" name="toPlace" inputmode="numeric"
          /></label>
          <span class="quiet">counted from the tightest</span>
        </template>
        <template v-if="request === 'replacePart'">
          <select v-model="typed.side" class="plain-field" name="whichSide" aria-label="Where">
            <option value="twelve">12 side</option>
            <option value="six">6 side</option>
            <option value="both">both</option>
          </select>
          <label><input v-model="typed.lost" type="checkbox" name="lostPart" /> lost; else worn</label>
        </template>
        <select
          v-if="request === 'putOwnBandOn'"
          v-model="typed.attaches"
          class="plain-field"
          name="attachesBy"
          aria-label="How it attaches"
        >
          <option value="looseBar">loose bars</option>
          <option value="quickRelease">its own levered bars</option>
          <option value="openEnd">open ends</option>
        </select>
      </template>
      <v-btn variant="outlined" size="small" type="submit">{{
        job.byHand ? 'So it is' : 'Tell it so'
      }}</v-btn>
      <v-btn v-if="job.byHand && isLinks" variant="text" size="small" @click="act(forget)"
        >By figures instead</v-btn
      >
    </fieldset>
    <RefusedLine :of="wholeOf(error)" />
  </form>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
}
legend {
  font-size: 17px;
  font-weight: 600;
  padding: 0;
}
input[inputmode] {
  width: 4.5em;
}
</style>
